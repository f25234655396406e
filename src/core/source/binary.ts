/** Bytes as text, for what takes text alone. */

/** So many bytes at a time: functions take no more arguments than that everywhere. A multiple of three gives whole groups of four digits. */
const piece = 0x6000;

function* pieces(bytes: Uint8Array): Generator<string> {
  for (let at = 0; at < bytes.length; at += piece) yield String.fromCharCode(...bytes.subarray(at, at + piece));
}

/** A character for each byte, U+0000 to U+00FF. */
export const toBinary = (bytes: Uint8Array): string => [...pieces(bytes)].join("");

/** The same back. */
export const fromBinary = (text: string): Uint8Array => Uint8Array.from(text, (character) => character.charCodeAt(0));

/** Bytes as an address that holds them (RFC 2397; RFC 4648, 4). */
export function dataAddress(type: string, bytes: Uint8Array): string {
  let text = "";
  for (const part of pieces(bytes)) text += btoa(part);
  return `data:${type};base64,${text}`;
}
