/**
 * Bytes to text and back without loss: whatever bytes come in, encoding the unchanged text gives the
 * same bytes. Encodings are found as the Encoding standard, HTML (13.2.3) and CSS Syntax 3 (3.2) say.
 */
export interface Encoding {
  /** Name in the Encoding standard, lower case: "utf-8", "utf-16le", "windows-1252" … */
  name: string;
  bom: boolean;
}

export type TextKind = "html" | "css";

const marks: [string, number[]][] = [
  ["utf-8", [0xef, 0xbb, 0xbf]],
  ["utf-16le", [0xff, 0xfe]],
  ["utf-16be", [0xfe, 0xff]],
];

/** How far the standards look for a declared encoding, in bytes. */
const declarationReach = 1024;

/** Bytes that mean nothing in an encoding travel as U+DC00 + byte, which no valid text contains. */
const strayBase = 0xdc00;

/** A text whose encoding is known, or the reason why it cannot be read, in plain words. */
export type Decoded = { text: string; encoding: Encoding } | { reason: string };

/**
 * The text of a file and its encoding, found as browsers find it (CSS Syntax 3, 3.2; HTML, 13.2.3), or why it cannot
 * be read.
 */
export function decodeText(bytes: Uint8Array, kind: TextKind): Decoded {
  const mark = marks.find(([, mark]) => mark.every((byte, at) => bytes[at] === byte));
  if (mark) {
    const [name, signature] = mark;
    return decodeAs(bytes.subarray(signature.length), { name, bom: true });
  }
  const label = declaredLabel(bytes, kind);
  if (label !== null) {
    const name = encodingName(label);
    // A page that can say it is UTF-16 in ASCII is not UTF-16 (HTML 13.2.3.2, CSS Syntax 3.2).
    if (name !== null) return decodeAs(bytes, { name: name.startsWith("utf-16") ? "utf-8" : name, bom: false });
  }
  const utf8 = { name: "utf-8", bom: false };
  if (isValidUtf8(bytes) || kind === "css") return decodeAs(bytes, utf8);
  return decodeAs(bytes, { name: "windows-1252", bom: false });
}

/** The bytes of a text; characters the encoding cannot hold become references (HTML) or escapes (CSS). */
export function encodeText(text: string, encoding: Encoding, kind: TextKind): Uint8Array<ArrayBuffer> {
  const body = encodeBody(text, encoding.name, kind);
  if (!encoding.bom) return body;
  const signature = marks.find(([name]) => name === encoding.name)![1];
  const all = new Uint8Array(signature.length + body.length);
  all.set(signature);
  all.set(body, signature.length);
  return all;
}

function declaredLabel(bytes: Uint8Array, kind: TextKind): string | null {
  let head = "";
  for (const byte of bytes.subarray(0, declarationReach)) head += String.fromCharCode(byte);
  if (kind === "css") return /^@charset "([^"]*)";/.exec(head)?.[1] ?? null;
  const uncommented = head.replace(/<!--[\s\S]*?(?:-->|$)/g, "");
  const meta = /<meta[\s/][^>]*?charset\s*=\s*["']?\s*([^\s"'>;/]+)/i.exec(uncommented);
  return meta?.[1] ?? null;
}

function encodingName(label: string): string | null {
  try {
    return new TextDecoder(label).encoding;
  } catch {
    return null;
  }
}

function isValidUtf8(bytes: Uint8Array): boolean {
  try {
    new TextDecoder("utf-8", { fatal: true }).decode(bytes);
    return true;
  } catch {
    return false;
  }
}

function decodeAs(bytes: Uint8Array, encoding: Encoding): Decoded {
  const { name } = encoding;
  if (name === "utf-8") {
    return { text: isValidUtf8(bytes) ? plainDecode(bytes, name) : decodeBrokenUtf8(bytes), encoding };
  }
  if (name === "utf-16le" || name === "utf-16be") {
    if (bytes.length % 2) return { reason: "It is UTF-16 but has an odd number of bytes." };
    return { text: decodeUtf16(bytes, name === "utf-16be"), encoding };
  }
  const table = singleByteTable(name);
  if (!table)
    return { reason: `Its encoding, ${name}, can be read but not written back without loss. Save it as UTF-8.` };
  const parts: string[] = [];
  for (const byte of bytes) parts.push(table[byte]!);
  return { text: parts.join(""), encoding };
}

function plainDecode(bytes: Uint8Array, name: string): string {
  return new TextDecoder(name, { ignoreBOM: true }).decode(bytes);
}

function decodeBrokenUtf8(bytes: Uint8Array): string {
  const decoder = new TextDecoder("utf-8", { fatal: true, ignoreBOM: true });
  const parts: string[] = [];
  for (let at = 0; at < bytes.length;) {
    const first = bytes[at]!;
    const length = lengthOf(first);
    try {
      parts.push(decoder.decode(bytes.subarray(at, at + length)));
      at += length;
    } catch {
      parts.push(String.fromCharCode(strayBase + first));
      at += 1;
    }
  }
  return parts.join("");
}

function decodeUtf16(bytes: Uint8Array, bigEndian: boolean): string {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const parts: string[] = [];
  for (let at = 0; at < bytes.length; at += 2) parts.push(String.fromCharCode(view.getUint16(at, !bigEndian)));
  return parts.join("");
}

/** Bytes 0x80 to 0x9F of windows-1252 (Encoding, 9), which not every TextDecoder gets right. */
const windows1252 =
  "\u20ac\u0081\u201a\u0192\u201e\u2026\u2020\u2021\u02c6\u2030\u0160\u2039\u0152\u008d\u017d\u008f" +
  "\u0090\u2018\u2019\u201c\u201d\u2022\u2013\u2014\u02dc\u2122\u0161\u203a\u0153\u009d\u017e\u0178";

const tables = new Map<string, string[] | null>([
  ["windows-1252", Array.from({ length: 256 }, (_, byte) => windows1252[byte - 0x80] ?? String.fromCharCode(byte))],
]);

/** The 256 characters of a single-byte encoding; null for encodings that use several bytes. */
function singleByteTable(name: string): string[] | null {
  const known = tables.get(name);
  if (known !== undefined) return known;
  const decoder = new TextDecoder(name);
  const table = Array.from({ length: 256 }, (_, byte) => {
    const character = decoder.decode(Uint8Array.of(byte));
    return character === "\ufffd" || character === "" ? String.fromCharCode(strayBase + byte) : character;
  });
  const ascii = table.slice(0, 128).every((character, byte) => character.charCodeAt(0) === byte);
  const pair = decoder.decode(Uint8Array.of(0xb0, 0xa1)).length;
  const result = ascii && pair === 2 ? table : null;
  tables.set(name, result);
  return result;
}

function encodeBody(text: string, name: string, kind: TextKind): Uint8Array<ArrayBuffer> {
  if (name === "utf-16le" || name === "utf-16be") {
    const view = new DataView(new ArrayBuffer(text.length * 2));
    for (let at = 0; at < text.length; at += 1) view.setUint16(at * 2, text.charCodeAt(at), name === "utf-16le");
    return new Uint8Array(view.buffer);
  }
  if (name === "utf-8") return encodeUtf8(text);
  const table = singleByteTable(name)!;
  const byteOf = new Map(table.map((character, byte) => [character, byte]));
  const bytes: number[] = [];
  for (const character of text) {
    const byte = byteOf.get(character);
    if (byte !== undefined) bytes.push(byte);
    else for (const unit of escapeFor(character, kind)) bytes.push(unit.charCodeAt(0));
  }
  return Uint8Array.from(bytes);
}

function encodeUtf8(text: string): Uint8Array<ArrayBuffer> {
  const encoder = new TextEncoder();
  const stray = /[\udc80-\udcff]/g;
  const pieces: Uint8Array[] = [];
  let at = 0;
  for (const match of text.matchAll(stray)) {
    const before = text.charCodeAt(match.index - 1);
    if (before >= 0xd800 && before <= 0xdbff) continue;
    pieces.push(encoder.encode(text.slice(at, match.index)), Uint8Array.of(match[0].charCodeAt(0) - strayBase));
    at = match.index + 1;
  }
  pieces.push(encoder.encode(text.slice(at)));
  const all = new Uint8Array(pieces.reduce((sum, piece) => sum + piece.length, 0));
  let offset = 0;
  for (const piece of pieces) {
    all.set(piece, offset);
    offset += piece.length;
  }
  return all;
}

/**
 * Whether a text can be added to a file as it is: its encoding holds it, and is declared or shows in what is there
 * already. Of a file that is all ASCII and says nothing, readers would guess.
 */
export function holdsText(added: string, file: { kind: TextKind; text: string; encoding: Encoding }): boolean {
  const { name, bom } = file.encoding;
  const table = name.startsWith("utf-") ? null : singleByteTable(name);
  if (table && [...added].some((character) => !table.includes(character))) return false;
  const head = file.text.slice(0, declarationReach);
  const isDeclared =
    bom || (file.kind === "css" ? head.startsWith('@charset "') : /<meta[\s/][^>]*?charset\s*=/i.test(head));
  return isDeclared || /[^\u0000-\u007f]/.test(file.text);
}

function escapeFor(character: string, kind: TextKind): string {
  const code = character.codePointAt(0)!;
  return kind === "html" ? `&#${code};` : `\\${code.toString(16)} `;
}

/** How many bytes a character has that begins with this one (RFC 3629, 3). */
function lengthOf(first: number): number {
  if (first < 0x80) return 1;
  if (first < 0xe0) return 2;
  return first < 0xf0 ? 3 : 4;
}
