import { execFile } from "node:child_process";
import { promisify } from "node:util";

/** Families of the fonts of this machine, where it can tell; null where it cannot. */
export async function installedFamilies(): Promise<string[] | null> {
  try {
    const { stdout } = await promisify(execFile)("fc-list", [":", "family"], { timeout: 5000, maxBuffer: 10_000_000 });
    const families = stdout.split("\n").flatMap((line) => line.split(",").map((name) => name.trim()));
    return [...new Set(families)].filter((name) => name !== "").sort();
  } catch {
    return null;
  }
}
