import { escapeAttribute, insertAttribute, replaceValue } from "../edits/attributes";
import type { TextChange } from "../source/changes";
import { documentOf, type ElementNode } from "../source/html/document";
import { attributeSource } from "../source/html/attributeSource";
import type { TextFile } from "../source/site";
import { editDistance } from "../source/path";
import { canHold, isSlip, meantQuery } from "./meant/media";
import { quoted } from "./texts";
import { at, type Check, type Found, type Level, type Way } from "./types";

/** Links to style sheets that ask for nothing, and `style` elements that are not read. */
export const sheetLinks: Check = {
  name: "sheet-link",
  group: "idle",
  inFile: (file) =>
    file.kind === "html" ? documentOf(file).elements.flatMap((element) => inElement(file, element)) : [],
};

const because =
  'A page reads a sheet only through `<link rel="stylesheet" href="…">` or `<style>` (HTML, 4.2.4 and 4.2.6).';

const linkTo = (address: string) => `<link rel="stylesheet" href="${escapeAttribute(address, '"')}">`;

const isCss = (address: string | undefined) => /\.css(?:[?#].*)?$/i.test((address ?? "").trim());

/** What asks for a sheet, or is written by those who mean to. */
const asking = new Set(["link", "style", "script", "css", "stylesheet", "import", "meta"]);

/** Addresses of a sheet among an element's attributes, whatever they are called. */
function inElement(file: TextFile, element: ElementNode): Found[] {
  const { tag, source, attributes, namespace } = element;
  if (!source || namespace !== "html" || !asking.has(tag)) return [];
  // Quotation marks that are none are told of the tag.
  if (/=\s*[\u201c\u201d\u2018\u2019]/.test(file.text.slice(source.startTag.start, source.startTag.end))) return [];
  const found = (message: string, ways: () => Way[], level: Level = "error"): Found[] => [
    { level, message, because, ...at(file, source.startTag.start), ways },
  ];
  const tagText = quoted(file.text.slice(source.startTag.start, source.startTag.end));
  if (tag === "link") return inLink(file, element, (message, ways) => found(`${tagText} ${message}`, ways));
  if (tag === "style") return inStyle(file, element, found);
  const address = attributes.get("src") ?? attributes.get("href");
  const meant = (): Way[] => [
    {
      label: "Write it as a link to a sheet",
      changes: [{ path: file.path, ...whole(element), insert: linkTo(address!) }],
    },
  ];
  if (tag === "script" && isCss(attributes.get("src")))
    return found(`${tagText} loads a style sheet as a script: nothing of it is read as styles.`, meant);
  if ((tag === "css" || tag === "stylesheet" || tag === "import") && isCss(address))
    return found(`${tagText} is no element that browsers know: a sheet is asked for by \`link\`.`, meant);
  if (tag === "meta" && isCss(address)) return found(`${tagText} asks for no sheet: that is done by \`link\`.`, meant);
  return [];
}

function whole({ source, children, content }: ElementNode) {
  const { startTag, endTag } = source!;
  return children.length || content.length ? startTag : { start: startTag.start, end: endTag?.end ?? startTag.end };
}

/** An attribute called otherwise, in place of the one it stands for. */
function renamed(file: TextFile, { source }: ElementNode, from: string, to: string) {
  const { start } = source!.attributes.get(from)!;
  return { path: file.path, start, end: start + from.length, insert: to };
}

function setAttribute(file: TextFile, element: ElementNode, name: string, value: string) {
  const written = attributeSource(file.text, element, name);
  const change = written ? replaceValue(file.text, written, value) : insertAttribute(file.text, element, name, value);
  return { path: file.path, ...change };
}

function inLink(file: TextFile, element: ElementNode, found: (message: string, ways: () => Way[]) => Found[]): Found[] {
  const { attributes } = element;
  const others = [...attributes].filter(([name]) => name !== "href" && name !== "rel");
  const href = attributes.get("href");
  const address = href ?? others.find(([, value]) => isCss(value))?.[1];
  const rel = attributes.get("rel");
  const asRel = others.find(
    ([name, value]) => /style\s*sheet/i.test(value) && name !== "type" && name !== "title" && name !== "as",
  );
  if (!isCss(address) && !/style\s*sheet/i.test(rel ?? "") && !asRel) return [];
  const words = (rel ?? "").toLowerCase().trim().split(/\s+/);
  if (
    words.some((word) =>
      /^(?:preload|prefetch|modulepreload|canonical|alternate|icon|manifest|next|prev|help)$/.test(word),
    ) &&
    !words.includes("stylesheet")
  )
    return [];
  const changes: TextChange[] = [];
  const why: string[] = [];
  if (!words.includes("stylesheet")) {
    if (rel === undefined && asRel) {
      why.push(`\`${asRel[0]}\` stands for \`rel\``);
      changes.push(renamed(file, element, asRel[0], "rel"));
      if (!asRel[1].toLowerCase().split(/\s+/).includes("stylesheet"))
        changes.push(setAttribute(file, element, asRel[0], "stylesheet"));
    } else if (rel === undefined) {
      why.push('`rel="stylesheet"` is missing');
      changes.push(setAttribute(file, element, "rel", "stylesheet"));
    } else if (
      editDistance(rel.toLowerCase().replace(/[\s_-]/g, ""), "stylesheet") <= 4 ||
      /^(?:css|style|styles|text\/css)$/i.test(rel.trim()) ||
      isCss(address)
    ) {
      why.push(`\`rel="${rel}"\` is not "stylesheet"`);
      changes.push(setAttribute(file, element, "rel", "stylesheet"));
    } else return [];
  }
  if (href === undefined) {
    const holder = others.find(([, value]) => isCss(value));
    if (!holder) return found("has no address: `href` is missing, so no sheet is read.", () => []);
    why.push(`\`${holder[0]}\` stands for \`href\``);
    changes.push(renamed(file, element, holder[0], "href"));
  } else if (href.trim() === "") return found("has an empty address, so no sheet is read.", () => []);
  const type = attributes.get("type");
  if (type !== undefined && !/^\s*(?:text\/css\s*(?:;.*)?)?$/i.test(type)) {
    why.push(`\`type="${type}"\` is not that of a style sheet`);
    changes.push(setAttribute(file, element, "type", "text/css"));
  }
  const media = attributes.get("media");
  if (media?.trim() && !canHold(media)) {
    const meant = meantQuery(media);
    if (meant || isSlip(media)) {
      why.push(`\`media="${media}"\` never holds`);
      if (meant) changes.push(setAttribute(file, element, "media", meant));
    }
  }
  if (why.length === 0) return [];
  return found(`reads no sheet: ${why.join(", and ")}.`, () => [{ label: "Set the link right", changes }]);
}

function inStyle(
  file: TextFile,
  element: ElementNode,
  found: (message: string, ways: () => Way[], level?: Level) => Found[],
): Found[] {
  const { attributes, source } = element;
  const type = attributes.get("type");
  const address = attributes.get("src") ?? attributes.get("href");
  if (isCss(address) && source!.endTag)
    return found("`<style>` takes no address: a sheet of its own is asked for by `link`.", () => [
      {
        label: "Write it as a link to a sheet",
        changes: [
          {
            path: file.path,
            start: source!.startTag.start,
            end: source!.endTag!.end,
            insert: linkTo(address!),
          },
        ],
      },
    ]);
  if (type !== undefined && !/^\s*(?:text\/css)?\s*$/i.test(type))
    return found(`\`type="${type}"\` is not that of a style sheet, so nothing in it is read.`, () => [
      { label: "Write `text/css`", changes: [setAttribute(file, element, "type", "text/css")] },
    ]);
  if (source!.endTag) return [];
  const { end } = source!.startTag;
  const rest = file.text.slice(end);
  const again = /<style\s*>/i.exec(rest);
  if (again && !/<\/style/i.test(rest))
    return found(
      "`<style>` is opened twice and never closed: the rest of the page is read as styles and not shown.",
      () => [
        {
          label: "Write `</style>`",
          changes: [
            { path: file.path, start: end + again.index, end: end + again.index + again[0].length, insert: "</style>" },
          ],
        },
      ],
    );
  const next = /<\/?(?:head|body|title|meta|link|script|h[1-6]|p|div|main|header)\b|<\/?style\s*(?=[^>]*$)/i.exec(rest);
  const stop = end + (next ? next.index : rest.trimEnd().length);
  return found("`<style>` is never closed: the rest of the page is read as styles and not shown.", () => [
    { label: "Close it", changes: [{ path: file.path, start: stop, end: stop, insert: "</style>\n" }] },
  ]);
}
