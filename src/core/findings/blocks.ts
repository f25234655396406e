/** Walks over what is written in a file: the blocks of its sheets and its style attributes, mistakes included. */
import { attributeSource } from "../source/html/attributeSource";
import { documentOf, writtenElements, type ElementNode } from "../source/html/document";
import { parseBlock, type AtRule, type Declaration, type Item, type StyleRule } from "../source/css/syntax";
import { descriptorRules, sheetTexts } from "../source/declarations";
import { isForPaper } from "./meant/media";
import { pagesOf, sheetsOf, type Site, type TextFile } from "../source/site";

/** The files in which something is looked for: sheets first, then pages. */
export const filesOf = (site: Site): TextFile[] => [...sheetsOf(site), ...pagesOf(site)];

/** What stands together: the items of a rule's block, of a style attribute, or of a sheet itself. */
export interface Block {
  file: TextFile;
  /** The text that offsets of the items are counted in, and where it stands in the file. */
  text: string;
  offset: number;
  items: readonly Item[];
  /** The rule around it; null for a sheet and a style attribute. */
  rule: StyleRule | AtRule | null;
  /** Selector of the innermost style rule, or what else holds it. */
  selector: string;
  /** The element of a style attribute. */
  element: ElementNode | null;
  /** How deep it stands in rules. */
  depth: number;
  /** Whether it is for paper alone, as far as its file says. */
  forPaper: boolean;
}

const known = new WeakMap<TextFile, readonly Block[]>();

/** All blocks of a file; in style attributes only those that are written as they are read. */
export function blocksOf(site: Site, file: TextFile): readonly Block[] {
  let blocks = known.get(file);
  if (!blocks) known.set(file, (blocks = [...blocksIn(site, file)]));
  return blocks;
}

function* blocksIn(site: Site, file: TextFile): Generator<Block> {
  for (const { text, offset, items, media } of sheetTexts(site, file)) {
    const forPaper = isForPaper(media);
    yield* within({ file, text, offset, items, rule: null, selector: "", element: null, depth: 0, forPaper });
  }
  if (file.kind !== "html") return;
  for (const element of writtenElements(documentOf(file))) {
    const attribute = attributeSource(file.text, element, "style");
    // Without quotation marks it ends at the first blank, which is told of the attribute.
    if (attribute?.quote === "" && /:\s*$/.test(attribute.value)) continue;
    if (!attribute || file.text.slice(attribute.raw.start, attribute.raw.end) !== attribute.value) continue;
    yield {
      file,
      text: attribute.value,
      offset: attribute.raw.start,
      items: parseBlock(attribute.value),
      rule: null,
      selector: `style of ${element.tag}`,
      element,
      depth: 1,
      forPaper: false,
    };
  }
}

function* within(block: Block): Generator<Block> {
  yield block;
  for (const item of block.items) {
    if ((item.kind !== "style" && item.kind !== "at") || !item.block) continue;
    if (item.kind === "at" && descriptorRules.has(item.name)) continue;
    const selector = item.kind === "style" ? item.preludeText.replace(/\s+/g, " ") : block.selector || `@${item.name}`;
    const forPaper = block.forPaper || (item.kind === "at" && item.name === "media" && isForPaper(item.preludeText));
    yield* within({ ...block, items: item.items, rule: item, selector, depth: block.depth + 1, forPaper });
  }
}

/** The declarations of a block that are its own. */
export const declarationsOf = ({ items }: Block): Declaration[] => items.filter((item) => item.kind === "declaration");
