/** Run inside a page: pages of a site shown one after the other in one frame, as those that are looked at out of sight are. */
import { defaultConditions, openSite } from "../../src/core";
import { outOfSightOf } from "../../src/engine/views";
import { frameSandbox, showNextPage, showPage, type ShownPage } from "../../src/preview/frame";
import { settle } from "../../src/preview/settle";

interface Result {
  compared: number;
  /** So many were shown in a document that one was shown in before. */
  again: number;
  /** The first element that came out otherwise than in a document of its own. */
  differs: { path: string; element: string; next: string; alone: string } | null;
}

declare global {
  interface Window {
    showOneAfterTheOther(pages: readonly { path: string; text: string }[]): Promise<Result>;
  }
}

function frameOutOfSight(): HTMLIFrameElement {
  const frame = document.createElement("iframe");
  frame.setAttribute("sandbox", frameSandbox);
  frame.style.cssText = "width: 800px; height: 600px; border: 0";
  document.body.append(frame);
  return frame;
}

/** What is to be seen of an element: its box, and all that is computed of it. */
function looksOf({ document }: ShownPage, node: Element): string {
  const { x, y, width, height } = node.getBoundingClientRect();
  const style = document.defaultView!.getComputedStyle(node);
  return JSON.stringify([x, y, width, height, ...[...style].map((name) => `${name}: ${style.getPropertyValue(name)}`)]);
}

window.showOneAfterTheOther = async (pages) => {
  const site = openSite(pages);
  const [own, one] = [frameOutOfSight(), frameOutOfSight()];
  const result: Result = { compared: 0, again: 0, differs: null };
  for (const { path } of pages) {
    const conditions = { ...defaultConditions, width: 800, height: 600 };
    const view = outOfSightOf(site, path, conditions, () => null);
    const before = one.contentDocument;
    const next = await showNextPage(one, view);
    const showing = showPage(own, view);
    // What was asked for before may still come.
    own.dispatchEvent(new Event("load"));
    const alone = await showing;
    if (one.contentDocument === before) result.again += 1;
    settle(next.document);
    settle(alone.document);
    for (const [at, node] of next.nodes.entries()) {
      const seen = { next: looksOf(next, node), alone: looksOf(alone, alone.nodes[at]!) };
      result.compared += 1;
      if (seen.next === seen.alone) continue;
      const [values, expected] = [JSON.parse(seen.next) as unknown[], JSON.parse(seen.alone) as unknown[]];
      const which = values.findIndex((value, index) => value !== expected[index]);
      result.differs ??= {
        path,
        element: node.localName,
        next: String(values[which]),
        alone: String(expected[which]),
      };
    }
    if (result.differs) break;
    next.document.defaultView!.scrollTo(0, 40);
  }
  return result;
};
