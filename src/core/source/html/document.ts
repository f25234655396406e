/** A page as a tree of elements with their places in the source. parse5 does the reading (HTML, 13.2). */
import { append } from "../groups";
import { html, parse, type DefaultTreeAdapterTypes as Tree, type Token } from "parse5";
import type { Span } from "../css/syntax";
import { made, Recent } from "../memo";
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
  children: readonly ElementNode[];
  /** Position among its parent's element children. */
  position: number;
  /** Elements and text in document order, comments left out. */
  content: readonly (ElementNode | TextNode)[];
  /** Whether a text node directly in it holds more than white space. */
  hasText: boolean;
  /** Null for elements that the parser made up (a left-out `tbody`, for one). */
  source: ElementSource | null;
}

export interface TextNode {
  text: string;
  source: Span | null;
}

/** The text directly in an element, as it is written. */
export const textIn = ({ content }: Pick<ElementNode, "content">): string =>
  content
    .filter(isText)
    .map(({ text }) => text)
    .join("");

/** The words of an element's own text nodes, blanks folded. */
export function ownWords(element: ElementNode): string {
  return element.content
    .filter(isText)
    .map(({ text }) => text)
    .join(" ")
    .replace(/\s+/g, " ")
    .trim();
}

/** All elements in an element, in document order, however deep. */
export function descendantsOf({ children }: ElementNode): ElementNode[] {
  const found: ElementNode[] = [];
  const open = children.toReversed();
  for (let next = open.pop(); next; next = open.pop()) {
    found.push(next);
    for (let at = next.children.length - 1; at >= 0; at -= 1) open.push(next.children[at]!);
  }
  return found;
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
  const make = new ElementMaker();
  const elements: ElementNode[] = [];
  let root: ElementNode | null = null;
  // `slot` is the place among the parent's content that waits for the element, `position` that among its elements.
  type Pending = { node: Tree.Element; parent: Growing | null; slot: number; position: number };
  const pending: Pending[] = tree.childNodes
    .filter(isElement)
    .map((node) => ({ node, parent: null, slot: 0, position: 0 }));
  // Depth first without recursion: pages may nest deeper than the stack.
  while (pending.length > 0) {
    const { node, parent, slot, position } = pending.pop()!;
    const element = make.element(node, parent, elements.length, position);
    elements.push(element);
    root ??= element;
    if (parent) parent.children[position] = parent.content[slot] = element;
    const inside: Pending[] = [];
    for (const [slot, child] of node.childNodes.filter(isContent).entries()) {
      if (isElement(child)) inside.push({ node: child, parent: element, slot, position: inside.length });
      else {
        element.content[slot] = textOf(child);
        if (/[^ \t\n\r\f]/.test(child.value)) element.hasText = true;
      }
    }
    append(pending, inside.reverse());
  }
  const body =
    root?.children.find((child) => child.namespace === "html" && (child.tag === "body" || child.tag === "frameset")) ??
    null;
  return { path: file.path, elements, root, body, mode: tree.mode };
}

const isContent = (node: Tree.ChildNode): node is Tree.Element | Tree.TextNode =>
  isElement(node) || node.nodeName === "#text";

const countOf = (nodes: readonly Tree.ChildNode[], is: (node: Tree.ChildNode) => boolean) =>
  nodes.reduce((sum, node) => sum + Number(is(node)), 0);

function textOf({ value, sourceCodeLocation: at }: Tree.TextNode): TextNode {
  return { text: value, source: at ? { start: at.startOffset, end: at.endOffset } : null };
}

function isElement(node: Tree.ChildNode): node is Tree.Element {
  return "tagName" in node;
}

/** Large sites have very many elements without any. */
const none: ReadonlyMap<string, never> = new Map<string, never>();
const noWords: readonly string[] = [];

function wordsIn(text: string | undefined): readonly string[] {
  return text ? text.split(/[ \t\n\r\f]+/).filter(Boolean) : noWords;
}

/** An element whose content is being read. */
type Growing = ElementNode & { children: ElementNode[]; content: (ElementNode | TextNode)[] };

/** What elements with the same attributes share. */
type Named = Pick<ElementNode, "attributes" | "id" | "classes">;

const unnamed: Named = { attributes: none, id: null, classes: noWords };

/** On all pages: those of one site are made of the same parts. */
const sharedNames = new Recent<string, Named>(5000);

/** Makes the elements of one page. */
class ElementMaker {
  private readonly names = new Map<string, readonly string[]>();
  private readonly places: number[] = [];

  element(node: Tree.Element, parent: ElementNode | null, index: number, position: number): Growing {
    const at = node.sourceCodeLocation;
    const named = this.namedBy(node.attrs);
    return {
      index,
      tag: node.tagName,
      namespace: namespaces[node.namespaceURI] ?? "html",
      attributes: named.attributes,
      id: named.id,
      classes: named.classes,
      parent,
      // As long as they will be: lists that grow have room for many more than most elements hold.
      children: new Array(countOf(node.childNodes, isElement)),
      position,
      content: new Array(countOf(node.childNodes, isContent)),
      hasText: false,
      source: at?.startTag ? this.source(at, at.startTag) : null,
    };
  }

  private namedBy(attributes: Tree.Element["attrs"]): Named {
    if (attributes.length === 0) return unnamed;
    const entries = attributes.map(({ name, prefix, value }) => [prefix ? `${prefix}:${name}` : name, value] as const);
    const key = entries.flat().join("\0");
    return made(sharedNames, key, () => {
      const byName = new Map(entries);
      return { attributes: byName, id: byName.get("id") || null, classes: wordsIn(byName.get("class")) };
    });
  }

  private source(at: Token.ElementLocation, startTag: Token.Location): ElementSource {
    const from = this.places.length;
    const { endTag, attrs } = at;
    this.places.push(startTag.startOffset, startTag.endOffset, at.startOffset, at.endOffset);
    this.places.push(endTag?.startOffset ?? -1, endTag?.endOffset ?? -1);
    for (const span of Object.values(attrs ?? {})) this.places.push(span.startOffset, span.endOffset);
    const names = attrs ? Object.keys(attrs) : noWords;
    return new PlacesOfElement(
      this.places,
      from,
      made(this.names, names.join("\0"), () => names),
    );
  }
}

/** Made out of numbers when it is asked for: few elements are asked for where they stand. */
class PlacesOfElement implements ElementSource {
  constructor(
    private readonly places: readonly number[],
    private readonly from: number,
    private readonly names: readonly string[],
  ) {}

  get startTag(): Span {
    return this.spanAt(0);
  }

  get whole(): Span {
    return this.spanAt(2);
  }

  get endTag(): Span | null {
    return this.places[this.from + 4]! < 0 ? null : this.spanAt(4);
  }

  get attributes(): ReadonlyMap<string, Span> {
    return new Map(this.names.map((name, at) => [name, this.spanAt(6 + 2 * at)]));
  }

  private spanAt(at: number): Span {
    return { start: this.places[this.from + at]!, end: this.places[this.from + at + 1]! };
  }
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
