import { strToU8, zipSync } from "fflate";
import { expect, test } from "vitest";
import { readZip } from "./read";

const page = strToU8("<p>Ferries</p>".repeat(40));
const packed = (files: Record<string, Uint8Array>, level: 0 | 9 = 0) =>
  zipSync({ "index.html": page, ...files }, { level });
const reasons = async (bytes: Uint8Array) => {
  const { files, refused } = await readZip("x.zip", bytes);
  return [files.map(({ path }) => path), refused.map(({ path, reason }) => `${path.slice(0, 20)}: ${reason}`)];
};
/** Where the bytes of a text begin, counted from the end or the start. */
const at = (bytes: Uint8Array, text: string) => Buffer.from(bytes).indexOf(text);

test("a changed byte is said, and the rest opens", async () => {
  const bytes = packed({ "a.css": strToU8("p { color: red }") });
  bytes[at(bytes, "color: red")] = 0x43;
  expect(await reasons(bytes)).toEqual([["index.html"], ["a.css: It is damaged in the archive."]]);
  const deflated = packed({ "a.css": strToU8("p { color: red } ".repeat(50)) }, 9);
  deflated[at(deflated, "a.css") + 8]! ^= 0xff;
  expect(await reasons(deflated)).toEqual([["index.html"], ["a.css: It is damaged in the archive."]]);
});

test("an archive that was cut is said to be damaged", async () => {
  const bytes = packed({ "a.css": strToU8("p{}") });
  await expect(readZip("x.zip", bytes.slice(0, bytes.length - 30))).rejects.toThrow("damaged, or its end is missing");
});

test("what is locked with a password is said", async () => {
  const bytes = packed({ "a.css": strToU8("p{}") });
  // The flag of encryption, in the entry's own header and in the directory (APPNOTE 4.4.4).
  const own = at(bytes, "a.css") - 30;
  const listed = Buffer.from(bytes).lastIndexOf("a.css") - 46;
  bytes[own + 6]! |= 1;
  bytes[listed + 8]! |= 1;
  expect(await reasons(bytes)).toEqual([["index.html"], ["a.css: It is locked with a password."]]);
});

test("names are dealt with one by one", async () => {
  const css = strToU8("p{}");
  const bytes = packed({
    "a.css": css,
    "./a.css": css,
    "x/../a.css": css,
    "../up.css": css,
    "__proto__/b.css": css,
    [`${"y".repeat(2000)}.css`]: css,
  });
  const [files, refused] = await reasons(bytes);
  expect(files).toEqual(["index.html", "a.css", "up.css"]);
  expect(refused).toEqual([
    "./a.css: Another file of the archive has the same path.",
    "x/../a.css: Another file of the archive has the same path.",
    "__proto__/b.css: It has a name that cannot be used.",
    `${"y".repeat(20)}: Its name is too long.`,
  ]);
});

test("two thousand small files are read", async () => {
  const many = Object.fromEntries(Array.from({ length: 1999 }, (_, number) => [`p/${number}.css`, strToU8("p{}")]));
  expect((await readZip("x.zip", packed(many))).files).toHaveLength(2000);
});
