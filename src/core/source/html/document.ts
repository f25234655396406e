/** A page as a tree of elements with their places in the source. parse5 does the reading (HTML, 13.2). */
import { html, parse, type DefaultTreeAdapterTypes as Tree } from "parse5";
import type { Span } from "../css/syntax";
import type { TextFile } from "../site";

export type Namespace = "html" | "svg" | "math";

export interface ElementNode {
  /** Position in `document.querySelectorAll("*")`. */
  index: number;
  /** Local name, lower case in HTML. */
  tag: string;
  namespace: Namespace;
  attributes: ReadonlyMap<string, string>;
  id: string | null;
  classes: readonly string[];
  parent: ElementNode | null;
  children: ElementNode[];
  /** Position among its parent's element children. */
  position: number;
  /** Elements and text in document order, comments left out. */
  content: (ElementNode | TextNode)[];
  /** Whether a text node directly in it holds more than white space. */
  hasText: boolean;
  /** Null for elements that the parser made up (a left-out `tbody`, for one). */
  source: ElementSource | null;
}

export interface TextNode {
  text: string;
  source: Span | null;
}

/** The words of an element's own text nodes, blanks folded. */
export function ownWords(element: ElementNode): string {
  return element.content
    .filter(isText)
    .map(({ text }) => text)
    .join(" ")
    .replace(/\s+/g, " ")
    .trim();
}

/** A selector for elements of a kind: the first class, or the tag. */
export function plainSelector({ classes, tag }: ElementNode): string {
  return classes[0] ? `.${classes[0]}` : tag;
}

/** The shortest selector people would know an element by: its id, its first class, or its tag. */
export function shortSelector(element: ElementNode): string {
  return element.id ? `#${element.id}` : plainSelector(element);
}

export interface ElementSource {
  startTag: Span;
  /** Null where the page leaves it out. */
  endTag: Span | null;
  /** From the start tag to the end of the end tag, or as far as the element goes. */
  whole: Span;
  /** Name to the span of name and value together. */
  attributes: ReadonlyMap<string, Span>;
}

export interface HtmlDocument {
  path: string;
  elements: ElementNode[];
  root: ElementNode | null;
  body: ElementNode | null;
  /** "quirks" changes how classes and ids match and how some values are read (HTML, 13.2.6.4.1). */
  mode: "quirks" | "limited-quirks" | "no-quirks";
}

const documents = new WeakMap<TextFile, HtmlDocument>();

const namespaces: Record<string, Namespace> = {
  [html.NS.HTML]: "html",
  [html.NS.SVG]: "svg",
  [html.NS.MATHML]: "math",
};

/** Whether a node of an element's content is text. */
export function isText(node: ElementNode | TextNode): node is TextNode {
  return "text" in node;
}

/** Reads a page with scripts off, as it is shown. Never throws; read once for each file. */
export function documentOf(file: TextFile): HtmlDocument {
  let document = documents.get(file);
  if (!document) {
    document = read(file);
    documents.set(file, document);
  }
  return document;
}

function read(file: TextFile): HtmlDocument {
  const tree = parse(file.text, { sourceCodeLocationInfo: true, scriptingEnabled: false });
  const elements: ElementNode[] = [];
  let root: ElementNode | null = null;
  // `slot` is the place among the parent's content that waits for the element.
  type Pending = { node: Tree.Element; parent: ElementNode | null; slot: number };
  const pending: Pending[] = tree.childNodes.filter(isElement).map((node) => ({ node, parent: null, slot: 0 }));
  // Depth first without recursion: pages may nest deeper than the stack.
  while (pending.length > 0) {
    const { node, parent, slot } = pending.pop()!;
    const element = elementOf(node, parent, elements.length);
    elements.push(element);
    root ??= element;
    if (parent) {
      element.position = parent.children.length;
      parent.children.push(element);
      parent.content[slot] = element;
    }
    const inside: Pending[] = [];
    for (const child of node.childNodes) {
      if (isElement(child)) {
        inside.push({ node: child, parent: element, slot: element.content.length });
        element.content.push(element);
      } else if (child.nodeName === "#text") {
        const { value, sourceCodeLocation: at } = child as Tree.TextNode;
        element.content.push({ text: value, source: at ? { start: at.startOffset, end: at.endOffset } : null });
        if (/[^ \t\n\r\f]/.test(value)) element.hasText = true;
      }
    }
    pending.push(...inside.reverse());
  }
  const body =
    root?.children.find((child) => child.namespace === "html" && (child.tag === "body" || child.tag === "frameset")) ??
    null;
  return { path: file.path, elements, root, body, mode: tree.mode };
}

function isElement(node: Tree.ChildNode): node is Tree.Element {
  return "tagName" in node;
}

/** Large sites have very many elements without any. */
const none: ReadonlyMap<string, never> = new Map<string, never>();
const noClasses: readonly string[] = [];

function classesIn(text: string | undefined): readonly string[] {
  return text ? text.split(/[ \t\n\r\f]+/).filter(Boolean) : noClasses;
}

function elementOf(node: Tree.Element, parent: ElementNode | null, index: number): ElementNode {
  const attributes: ReadonlyMap<string, string> = node.attrs.length
    ? new Map(node.attrs.map(({ name, prefix, value }) => [prefix ? `${prefix}:${name}` : name, value]))
    : none;
  const at = node.sourceCodeLocation;
  return {
    index,
    tag: node.tagName,
    namespace: namespaces[node.namespaceURI] ?? "html",
    attributes,
    id: attributes.get("id") || null,
    classes: classesIn(attributes.get("class")),
    parent,
    children: [],
    position: 0,
    content: [],
    hasText: false,
    source: at?.startTag
      ? {
          startTag: { start: at.startTag.startOffset, end: at.startTag.endOffset },
          endTag: at.endTag ? { start: at.endTag.startOffset, end: at.endTag.endOffset } : null,
          whole: { start: at.startOffset, end: at.endOffset },
          attributes: at.attrs
            ? new Map(
                Object.entries(at.attrs).map(([name, span]) => [
                  name,
                  { start: span.startOffset, end: span.endOffset },
                ]),
              )
            : none,
        }
      : null,
  };
}

const writtenOnce = new WeakMap<HtmlDocument, readonly ElementNode[]>();

/**
 * The elements whose tags stand in the source, each tag once: of formatting that is not closed where it should be, the
 * parser makes further elements (HTML, 13.2.4.3), which have the tag of the first.
 */
export function writtenElements(document: HtmlDocument): readonly ElementNode[] {
  let written = writtenOnce.get(document);
  if (!written) {
    const byTag = new Map<number, ElementNode>();
    for (const element of document.elements) {
      const start = element.source?.startTag.start;
      if (start !== undefined && !byTag.has(start)) byTag.set(start, element);
    }
    writtenOnce.set(document, (written = [...byTag.values()]));
  }
  return written;
}
