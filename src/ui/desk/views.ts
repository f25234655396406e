/** The views of a site. Their order, and what addresses call them, stands in `viewPaths.ts`. */
import { isChanged } from "@/store/write";
import type { Workspace } from "../workspace/state";
import { troubles } from "../workspace/troubles";
import { lazyView, type LazyView } from "./lazyView";
import { viewPaths, type ViewPath } from "./viewPaths";

interface ViewEntry extends LazyView {
  label: string;
  /** What the tab counts; undefined while it is not known. */
  count?(state: Workspace): number | undefined;
}

const entries: Readonly<Record<ViewPath, ViewEntry>> = {
  page: { label: "Page", ...lazyView(async () => (await import("../page/PageDesk")).PageDesk) },
  "text-styles": {
    label: "Text styles",
    ...lazyView(async () => (await import("../textstyles/TextStyles")).TextStyles),
    count: ({ summary }) => summary?.textStyles,
  },
  colours: {
    label: "Colours",
    ...lazyView(async () => (await import("../colors/Colors")).Colors),
    count: ({ summary }) => summary?.colors,
  },
  stacks: {
    label: "Stacks",
    ...lazyView(async () => (await import("../stacks/Stacks")).Stacks),
    count: ({ summary }) => summary?.stacks,
  },
  sheets: {
    label: "Sheets",
    ...lazyView(async () => (await import("../sheets/Sheets")).Sheets),
    count: ({ files }) => [...files.values()].filter(({ file }) => file.kind === "css").length,
  },
  findings: {
    label: "Findings",
    ...lazyView(async () => (await import("../findings/Findings")).Findings),
    count: (state) => (state.summary ? troubles(state).length : undefined),
  },
  changes: {
    label: "Changes",
    ...lazyView(async () => (await import("../changes/Changes")).Changes),
    count: ({ files, gone }) => [...files.values()].filter(isChanged).length + gone.size,
  },
};

export const views = viewPaths.map((path) => ({ path, ...entries[path] }));

export type View = (typeof views)[number];
