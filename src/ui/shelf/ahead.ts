/** What a site needs once it is opened, loaded while somebody looks at the shelf. */
import { prepareEngine } from "@/engine/client";
import { specimenParts, specimenSite } from "@/store/specimen";
import { loadReader } from "@/store/zip";

const someWords = 60;

export async function loadAhead(): Promise<void> {
  prepareEngine(specimenSite({ words: someWords, parts: specimenParts, levels: [1, 2, 3], sheet: true }).files);
  await Promise.all([import("../desk/Desk"), import("../page/PageDesk"), loadReader()]);
}
