/** What a site needs once it is opened, loaded while somebody looks at the shelf. */
import { prepareEngine } from "@/engine/client";
import { siteToWarmOn } from "@/store/warming";
import { loadReader } from "@/store/zip";

export async function loadAhead(): Promise<void> {
  prepareEngine(siteToWarmOn().files);
  await Promise.all([import("../desk/Desk"), import("../page/PageDesk"), loadReader()]);
}
