/**
 * The page in its frame. The frame is sandboxed and runs no script; its policy lets in nothing but what is in
 * memory; and the document is built node by node from the safe tree, so nothing in it is ever parsed as HTML.
 */
import { scriptedText, stateAttribute, type SafeElement } from "@/core";
import { ShownSheets } from "./sheets";
import { harmless, unclobbered } from "./clobber";
import type { PageGlance } from "@/engine/protocol";

const policy = "default-src 'none'; img-src blob: data:; font-src blob: data:; style-src 'unsafe-inline'";
/** Document types that bring about each mode (HTML, 13.2.6.4.1). */
const doctypes: Record<Mode, string> = {
  quirks: "",
  "limited-quirks": '<!doctype html public "-//W3C//DTD XHTML 1.0 Transitional//EN" "">',
  "no-quirks": "<!doctype html>",
};
const namespaces = {
  html: "http://www.w3.org/1999/xhtml",
  svg: "http://www.w3.org/2000/svg",
  math: "http://www.w3.org/1998/Math/MathML",
};

/** The page is shown as it is, whatever colours the reader forces upon the interface (CSS Color Adjust 1, 3.2). */
const trueColors = "\n@media (forced-colors: active) { :root { forced-color-adjust: none } }";

/** What the frame's sandbox attribute must be: its document can be reached from here and can do nothing. */
export const frameSandbox = "allow-same-origin";

export interface ShownPage {
  document: Document;
  mode: Mode;
  /** The page's elements by index. */
  nodes: readonly Element[];
  /** Shows the page as it is said; what is not said any more is taken back. */
  dress(dress: Dress): void;
  /** What a `style` element was given to show. */
  textOf(node: Element): string;
}

/** The page as it is shown, and a count that goes up whenever its layout may have changed. Scrolling does not change it. */
export interface Shown {
  page: ShownPage;
  layout: number;
}

export interface Dress extends Pick<PageGlance, "sheets" | "overrides" | "states"> {
  /** Without any style of the site's own. */
  unstyled: boolean;
}

type Mode = PageGlance["document"]["mode"];

/** Documents that pages were built in, with the mode that each has for good. */
const modes = new WeakMap<Document, Mode>();

/** Puts a page into a frame; whatever was in it is gone. */
export async function showPage(frame: HTMLIFrameElement, view: PageGlance): Promise<ShownPage> {
  return buildIn(await emptyDocument(frame, view.document.mode), view);
}

/**
 * The same for a frame in which one page is looked at after the other, or a page that comes with other elements: the
 * document is used again where its mode is the same, since a browser takes longer to make one than to lay most pages out.
 */
export async function showNextPage(frame: HTMLIFrameElement, view: PageGlance): Promise<ShownPage> {
  const { mode } = view.document;
  const known = frame.contentDocument && modes.get(frame.contentDocument) === mode ? frame.contentDocument : null;
  if (known) frame.contentWindow!.scrollTo({ top: 0, left: 0, behavior: "instant" });
  return buildIn(known ?? (await emptyDocument(frame, mode)), view);
}

async function emptyDocument(frame: HTMLIFrameElement, mode: Mode): Promise<Document> {
  const skeleton = `${doctypes[mode]}<meta charset="utf-8"><meta http-equiv="Content-Security-Policy" content="${policy}"><title>Page</title>`;
  const address = URL.createObjectURL(new Blob([skeleton], { type: "text/html" }));
  await new Promise<void>((resolve) => {
    const onLoad = () => {
      // What was asked for before waits in vain.
      if (frame.contentDocument?.URL !== address) return;
      frame.removeEventListener("load", onLoad);
      resolve();
    };
    frame.addEventListener("load", onLoad);
    load(frame, address);
  });
  URL.revokeObjectURL(address);
  modes.set(frame.contentDocument!, mode);
  return frame.contentDocument!;
}

/**
 * Taken out and put in again, a frame begins anew. Were it sent from one address to the next, each would be a step of the
 * window's history: Back would lead the frame to what it held, which is gone (HTML, 7.4.1.1).
 */
function load(frame: HTMLIFrameElement, address: string): void {
  const { parentNode, nextSibling } = frame;
  frame.remove();
  frame.src = address;
  parentNode!.insertBefore(frame, nextSibling);
}

function buildIn(own: Document, view: PageGlance): ShownPage {
  const document = unclobbered(own);
  const nodes: Element[] = [];
  const root = view.document.root ? build(document, view.document.root, nodes) : document.createElement("html");
  // What a scheme is said by is heard only if it goes by itself.
  for (const meta of document.querySelectorAll("meta")) meta.remove();
  document.replaceChild(root, document.documentElement);
  // A sheet with a title names the set that its document prefers, for good (CSSOM, 6.8.1).
  if (root.querySelector("style[title]")) modes.delete(own);
  // Of a page that is tried with changes, elements that are gone keep their numbers: they stand nowhere.
  for (let index = 0; index < nodes.length; index += 1) nodes[index] ??= document.createElement("span");
  const scripted = new document.defaultView!.CSSStyleSheet();
  scripted.replaceSync(scriptedText(view.document) + trueColors);
  document.adoptedStyleSheets = [scripted];
  const page = shownPage(document, view.document.mode, nodes);
  page.dress({ ...view, unstyled: false });
  return page;
}

function build(document: Document, top: SafeElement, nodes: Element[]): Element {
  const make = ({ tag, namespace, attributes, index }: SafeElement): Element => {
    const node = createElement(document, namespaces[namespace], tag);
    for (const [name, value] of harmless(tag, attributes)) setAttribute(node, name, value);
    nodes[index] = node;
    return node;
  };
  const root = make(top);
  const pending: [SafeElement, Element][] = [[top, root]];
  for (let next = pending.pop(); next; next = pending.pop()) {
    const [element, node] = next;
    for (const child of element.content) {
      if (typeof child === "string") append(node, child);
      else {
        const made = make(child);
        append(node, made);
        pending.push([child, made]);
      }
    }
  }
  return root;
}

/** Until it is part of the document, a form has members by the names of its controls, wherever they say they belong. */
const append = (node: Element, child: Node | string) => Element.prototype.append.call(node, child);

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

function shownPage(document: Document, mode: ShownPage["mode"], nodes: readonly Element[]): ShownPage {
  /** Style attributes as the page has them, of the elements whose own were changed. */
  const styles = new Map<Element, string | null>();
  let stated: Element[] = [];
  const keep = (node: Element) => {
    if (!styles.has(node)) styles.set(node, node.getAttribute("style"));
  };
  const giveBack = () => {
    for (const [node, style] of styles) {
      if (style === null) node.removeAttribute("style");
      else node.setAttribute("style", style);
    }
    styles.clear();
    for (const node of stated) node.removeAttribute(stateAttribute);
    stated = [];
  };
  const shown = new ShownSheets();
  const dress = ({ sheets, overrides, states, unstyled }: Dress) => {
    giveBack();
    for (const sheet of sheets) {
      const node = nodes[sheet.owner];
      if (!node) continue;
      shown.put(node as HTMLStyleElement, sheet);
      const condition = unstyled ? "not all" : sheet.media;
      if (node.getAttribute("media") !== condition) node.setAttribute("media", condition);
    }
    if (unstyled) {
      for (const node of document.querySelectorAll("[style]")) {
        keep(node);
        node.removeAttribute("style");
      }
    }
    for (const [index, property, value] of unstyled ? [] : overrides) {
      const node = nodes[index] as HTMLElement | undefined;
      if (!node) continue;
      keep(node);
      node.style.setProperty(property, value, "important");
    }
    for (const [index, names] of states) {
      const node = nodes[index];
      if (!node) continue;
      node.setAttribute(stateAttribute, names);
      stated.push(node);
    }
  };
  return { document, mode, nodes, dress, textOf: (node) => shown.textOf(node) };
}
