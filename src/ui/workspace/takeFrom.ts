import type { FromFolder } from "@/store/folder";
import { plural } from "../shared/numbers";
import type { WorkspaceStore } from "./store";

/** Writes what came from a folder as a step with its name. */
export async function takeFrom(found: FromFolder, name: string, store: WorkspaceStore): Promise<void> {
  const { write, noteOnDisk, setMeetings } = store.getState();
  const { changes, files, meetings, onDisk } = found;
  if (changes.length + files.length > 0) {
    const paths = [...new Set([...changes, ...files].map(({ path }) => path))];
    const what = paths.length === 1 ? paths[0]! : plural(paths.length, "file");
    const { plan } = await write({ kind: "text", changes }, `${what}, changed in ${name}`, files);
    // What is not taken is not known here either.
    if (!plan) return;
  }
  await noteOnDisk(onDisk);
  if (meetings.length > 0) setMeetings(meetings);
}
