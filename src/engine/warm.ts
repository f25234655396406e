/** Works through a small site before one is opened: what a browser has run before, it runs several times faster. */
import {
  changeSite,
  defaultConditions,
  pagesOf,
  planOnPage,
  siteOf,
  slipAtOnce,
  textsOf,
  type Conditions,
  type Site,
  type StoredFile,
} from "@/core";
import { summarySteps } from "./summary";
import { lookOf, pageOf } from "./views";

/** In steps; what comes of them is thrown away. */
export function* warmSteps(files: readonly StoredFile[]): Generator<void, void> {
  const site = siteOf(files);
  for (const width of [1280, 640]) {
    const conditions = { ...defaultConditions, width };
    for (const { path } of pagesOf(site)) yield* lookedAt(site, path, conditions);
    for (const steps = summarySteps(site, conditions, {}); !steps.next().done;) yield;
  }
}

/** A page that is shown, a text of it that is picked, and a size that is tried. */
function* lookedAt(site: Site, path: string, conditions: Conditions): Generator<void, void> {
  const page = pageOf(site, path, conditions);
  yield;
  view(site, path, conditions);
  const [text] = textsOf(page);
  if (!text) return;
  yield;
  const ref = { page: path, index: text.element.index };
  const target = slipAtOnce(site, ref, conditions, {})?.targets[0]?.target;
  if (!target) return;
  yield;
  const plan = planOnPage(site, { kind: "declare", target, property: "font-size", value: "31px" }, conditions, path);
  yield;
  view(changeSite(site, plan.changes), path, conditions);
}

const noAddress = () => null;
const noLayouts = () => ({});
const view = (site: Site, path: string, conditions: Conditions) => lookOf(site, path, conditions, noAddress, noLayouts);
