/** A font made for tests: a box for every letter from "A" to "z", with whatever axes are asked for (OpenType 1.9). */

interface Axis {
  tag: string;
  name: string;
  min: number;
  default: number;
  max: number;
}

const bytes = (...values: number[]) => Uint8Array.from(values);
const u16 = (...values: number[]) => bytes(...values.flatMap((value) => [(value >> 8) & 255, value & 255]));
const u32 = (...values: number[]) =>
  bytes(...values.flatMap((value) => [(value >>> 24) & 255, (value >>> 16) & 255, (value >>> 8) & 255, value & 255]));
const fixed = (value: number) => u32(Math.round(value * 65536));
const text = (value: string) => bytes(...[...value].map((letter) => letter.charCodeAt(0)));
const wide = (value: string) => u16(...[...value].map((letter) => letter.charCodeAt(0)));

const joined = (...parts: Uint8Array[]) => bytes(...parts.flatMap((part) => [...part]));

const em = 1000;
const [first, last] = [65, 122];
const glyphs = last - first + 2;

function cmap(): Uint8Array {
  // One segment of letters, and the one that ends the list.
  const segments = joined(
    u16(4, 32, 0, 4, 4, 1, 0),
    u16(last, 0xffff),
    u16(0),
    u16(first, 0xffff),
    u16(1 - first, 1),
    u16(0, 0),
  );
  return joined(u16(0, 1, 3, 1), u32(12), segments);
}

function nameTable(names: readonly string[]): Uint8Array {
  let offset = 0;
  const records = names.map((name, at) => {
    const record = u16(3, 1, 0x409, [1, 2, 4, 6][at] ?? 252 + at, name.length * 2, offset);
    offset += name.length * 2;
    return record;
  });
  return joined(u16(0, names.length, 6 + names.length * 12), ...records, ...names.map(wide));
}

function fvar(axes: readonly Axis[]): Uint8Array {
  const records = axes.map((axis, at) =>
    joined(text(axis.tag), fixed(axis.min), fixed(axis.default), fixed(axis.max), u16(0, 256 + at)),
  );
  return joined(u16(1, 0, 16, 2, axes.length, 20, 0, 4 + axes.length * 4), ...records);
}

/** A TrueType file. */
export function testFont(family: string, axes: readonly Axis[] = [], weight = 400, widthClass = 5): Uint8Array {
  const box = joined(
    u16(1, 50, 0, 550, 700),
    u16(3),
    u16(0),
    bytes(0x01, 0x01, 0x01, 0x01),
    u16(50, 500, 0, 0x10000 - 500),
    u16(0, 0, 700, 0),
  );
  const os2 = joined(
    u16(4, 500, weight, widthClass, 0),
    new Uint8Array(22),
    new Uint8Array(10),
    u32(1, 0, 0, 0),
    text("TEST"),
    u16(64, first, last, 800, 0x10000 - 200, 0, 800, 200),
    u32(1, 0),
    u16(500, 700, 0, 32, 1),
  );
  const tables: [string, Uint8Array][] = [
    ["OS/2", os2],
    ["cmap", cmap()],
    ...(axes.length ? [["fvar", fvar(axes)] as [string, Uint8Array]] : []),
    ["glyf", joined(...Array.from({ length: glyphs }, () => box))],
    [
      "head",
      joined(u32(0x10000, 0x10000, 0, 0x5f0f3cf5), u16(3, em), new Uint8Array(16), u16(0, 0, 600, 700, 0, 8, 2, 1, 0)),
    ],
    ["hhea", joined(u32(0x10000), u16(800, 0x10000 - 200, 0, 600, 0, 0, 600, 1, 0, 0, 0, 0, 0, 0, 0, 1))],
    ["hmtx", joined(u16(600, 50), u16(...Array.from({ length: glyphs - 1 }, () => 50)))],
    ["loca", u32(...Array.from({ length: glyphs + 1 }, (_, at) => at * box.length))],
    ["maxp", joined(u32(0x10000), u16(glyphs, 8, 1, 0, 0, 1, 0, 0, 0, 0, 0, 0, 0, 0))],
    ["name", nameTable([family, "Regular", family, family.replace(/ /g, ""), ...axes.map(({ name }) => name)])],
    ["post", joined(u32(0x30000, 0), u16(0, 0), u32(0, 0, 0, 0, 0))],
  ];
  let offset = 12 + tables.length * 16;
  const directory: Uint8Array[] = [u32(0x10000), u16(tables.length, 128, 3, tables.length * 16 - 128)];
  const bodies: Uint8Array[] = [];
  for (const [tag, table] of tables) {
    directory.push(text(tag), u32(0, offset, table.length));
    const padded = new Uint8Array(Math.ceil(table.length / 4) * 4);
    padded.set(table);
    bodies.push(padded);
    offset += padded.length;
  }
  return joined(...directory, ...bodies);
}
