/** What the views of a site are called in addresses, in the order of the tabs: those that a server has pages of. */
export const viewPaths = ["page", "text-styles", "colours", "stacks", "sheets", "findings", "changes"] as const;

export type ViewPath = (typeof viewPaths)[number];

/** The site and the view of a path such as "/site/1/page"; null for others. */
export function viewAt(path: string): { id: string; view: ViewPath } | null {
  const [, id, name] = /^\/site\/([^/]+)\/([^/]+)$/.exec(path) ?? [];
  const view = viewPaths.find((one) => one === name);
  return id && view ? { id, view } : null;
}
