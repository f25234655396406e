/** The command called by tests: in a folder of its own, with what it says kept. */
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { afterEach, beforeEach, vi } from "vitest";

export interface Call {
  folder: string;
  /** What was said, as text; a test may empty it. */
  out: string;
  err: string;
  /** Writes files into the folder. */
  put(files: Record<string, string | Uint8Array>): void;
}

/** Made anew for each test of a file. */
export function inFolder(): Call {
  const call: Call = {
    folder: "",
    out: "",
    err: "",
    put(files) {
      for (const [path, data] of Object.entries(files)) {
        mkdirSync(dirname(join(call.folder, path)), { recursive: true });
        writeFileSync(join(call.folder, path), data);
      }
    },
  };
  beforeEach(() => {
    call.folder = mkdtempSync(join(tmpdir(), "hevret-"));
    call.out = "";
    call.err = "";
    vi.spyOn(process.stdout, "write").mockImplementation(((said: string | Uint8Array, done?: () => void) => {
      call.out += Buffer.from(said).toString("utf8");
      done?.();
      return true;
    }) as typeof process.stdout.write);
    vi.spyOn(process.stderr, "write").mockImplementation((text) => {
      call.err += String(text);
      return true;
    });
  });
  afterEach(() => {
    vi.restoreAllMocks();
    rmSync(call.folder, { recursive: true });
  });
  return call;
}
