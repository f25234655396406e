/** What a site needs once it is opened, loaded while somebody looks at the shelf. */
import { prepareEngine } from "@/engine/client";
import { loadReader } from "@/store/zip";

export async function loadAhead(): Promise<void> {
  const ready = import("@/store/warming").then(({ siteToWarmOn }) => prepareEngine(siteToWarmOn().files));
  const page = import("../desk/views").then(({ views }) => views.find(({ path }) => path === "page")!.load());
  await Promise.all([ready, import("../desk/Desk"), page, loadReader()]);
}
