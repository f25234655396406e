import { expect, test } from "vitest";
import { fileBytes, readFile } from "./site";

test("a file is saved as the bytes that it was read from, text or not", () => {
  const bytes = new Uint8Array([0xef, 0xbb, 0xbf, 0x70, 0x7b, 0x7d, 0x0d, 0x0a]);
  for (const path of ["a.css", "a.png"]) {
    const file = readFile({ path, bytes });
    expect("reason" in file ? file.reason : fileBytes(file)).toEqual(bytes);
  }
});
