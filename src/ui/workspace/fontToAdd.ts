import type { StoredFile } from "@/core";
import type { Desk, FontToAdd } from "./state";

/** What takes a font file into the site and declares it, or why it cannot be taken. */
export async function fontToAdd({ engine, get }: Desk, name: string, bytes: Uint8Array): Promise<FontToAdd> {
  const nothing = { family: "", changes: [], files: [] };
  const checked = await engine.checkFont(bytes);
  if (checked.problem) return { ...nothing, problem: checked.problem };
  const path = `fonts/${name.replace(/[^\w.-]+/g, "-")}`;
  if (get().files.has(path)) return { ...nothing, problem: `The site has a file ${path} already.` };
  const { changes, problem } = await engine.declareFont(path, bytes, checked.family);
  const after: StoredFile = { kind: "other", path, bytes };
  return { family: checked.family, changes, files: [{ path, before: null, after }], problem };
}
