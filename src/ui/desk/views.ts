/** The views of a site, in the order of the tabs. The page of each stands in `src/app/site/[id]/<path>`. */
import { isChanged } from "@/store/write";
import type { Workspace } from "../workspace/state";
import { troubles } from "../workspace/troubles";

interface ViewEntry {
  path: string;
  label: string;
  /** What the tab counts; undefined while it is not known. */
  count?(state: Workspace): number | undefined;
}

export const views: readonly ViewEntry[] = [
  { path: "page", label: "Page" },
  { path: "text-styles", label: "Text styles", count: ({ summary }) => summary?.textStyles },
  { path: "colours", label: "Colours", count: ({ summary }) => summary?.colors },
  { path: "stacks", label: "Stacks", count: ({ summary }) => summary?.stacks },
  {
    path: "sheets",
    label: "Sheets",
    count: ({ files }) => [...files.values()].filter(({ file }) => file.kind === "css").length,
  },
  {
    path: "findings",
    label: "Findings",
    count: (state) => (state.summary ? troubles(state).length : undefined),
  },
  {
    path: "changes",
    label: "Changes",
    count: ({ files, gone }) => [...files.values()].filter(isChanged).length + gone.size,
  },
];
