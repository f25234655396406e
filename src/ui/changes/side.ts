import type { StoredFile } from "@/core";
import type { VersionId, Way } from "./versions";

/** One side of what is compared. */
export interface ChosenSide<Page = string | null> {
  id: VersionId;
  files: StoredFile[];
  /** What makes the files as they are now those of this side. */
  way: Way;
  /** Null for all pages. */
  page: Page;
}
