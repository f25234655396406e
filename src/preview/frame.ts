/**
 * The page in its frame. The frame is sandboxed and runs no script; its policy lets in nothing but what is in
 * memory; and the document is built node by node from the safe tree, so nothing in it is ever parsed as HTML.
 */
import type { SafeElement, SafeSheet } from "@/core";
import type { PageView } from "@/engine/protocol";

const policy = "default-src 'none'; img-src blob: data:; font-src blob: data:; style-src 'unsafe-inline'";
const namespaces = { html: "http://www.w3.org/1999/xhtml", svg: "http://www.w3.org/2000/svg", math: "http://www.w3.org/1998/Math/MathML" };

/** What the frame's sandbox attribute must be: its document can be reached from here and can do nothing. */
export const frameSandbox = "allow-same-origin";

export interface ShownPage {
  document: Document;
  /** The page's elements by index. */
  nodes: readonly Element[];
  setSheets(sheets: readonly SafeSheet[]): void;
  setUnstyled(unstyled: boolean): void;
}

/** Puts a page into a frame; whatever was in it is gone. */
export async function showPage(frame: HTMLIFrameElement, view: PageView): Promise<ShownPage> {
  const doctype = view.document.quirks ? "" : "<!doctype html>";
  const skeleton = `${doctype}<meta charset="utf-8"><meta http-equiv="Content-Security-Policy" content="${policy}"><title>Page</title>`;
  const address = URL.createObjectURL(new Blob([skeleton], { type: "text/html" }));
  await new Promise<void>((resolve) => {
    frame.addEventListener("load", () => resolve(), { once: true });
    frame.src = address;
  });
  URL.revokeObjectURL(address);
  const document = frame.contentDocument!;
  const nodes: Element[] = [];
  const root = view.document.root ? build(document, view.document.root, nodes) : document.createElement("html");
  document.replaceChild(root, document.documentElement);
  return shownPage(document, nodes, view.sheets);
}

function build(document: Document, top: SafeElement, nodes: Element[]): Element {
  const make = ({ tag, namespace, attributes, index }: SafeElement): Element => {
    const node = createElement(document, namespaces[namespace], tag);
    for (const [name, value] of attributes) setAttribute(node, name, value);
    nodes[index] = node;
    return node;
  };
  const root = make(top);
  const pending: [SafeElement, Element][] = [[top, root]];
  for (let next = pending.pop(); next; next = pending.pop()) {
    const [element, node] = next;
    for (const child of element.content) {
      if (typeof child === "string") node.append(child);
      else {
        const made = make(child);
        node.append(made);
        pending.push([child, made]);
      }
    }
  }
  return root;
}

/** Names a parser lets through may be refused by the DOM: such elements become plain ones. */
function createElement(document: Document, namespace: string, tag: string): Element {
  try {
    return document.createElementNS(namespace, tag);
  } catch {
    return document.createElementNS(namespace, "x-unnamed");
  }
}

function setAttribute(node: Element, name: string, value: string): void {
  try {
    if (name.startsWith("xlink:")) node.setAttributeNS("http://www.w3.org/1999/xlink", name, value);
    else node.setAttribute(name, value);
  } catch {
    // A name such as `"` or `@click` on a broken tag: no selector can ask for it.
  }
}

function shownPage(document: Document, nodes: readonly Element[], sheets: readonly SafeSheet[]): ShownPage {
  let unstyled = false;
  const attributes = new Map<Element, string>();
  const setSheets = (next: readonly SafeSheet[]) => {
    for (const { owner, media, text } of next) {
      const node = nodes[owner];
      if (!node) continue;
      if (node.textContent !== text) node.textContent = text;
      node.setAttribute("media", unstyled ? "not all" : media);
    }
    current = next;
  };
  let current = sheets;
  setSheets(sheets);
  return {
    document,
    nodes,
    setSheets,
    setUnstyled: (next) => {
      if (next === unstyled) return;
      unstyled = next;
      setSheets(current);
      if (unstyled) {
        for (const node of document.querySelectorAll("[style]")) {
          attributes.set(node, node.getAttribute("style")!);
          node.removeAttribute("style");
        }
      } else {
        for (const [node, style] of attributes) node.setAttribute("style", style);
        attributes.clear();
      }
    },
  };
}
