import type { StoredFile } from "@/core";
import type { VersionId } from "./versions";

/** One side of what is compared. */
export interface ChosenSide<Page = string | null> {
  id: VersionId;
  files: StoredFile[];
  /** Null for all pages. */
  page: Page;
}
