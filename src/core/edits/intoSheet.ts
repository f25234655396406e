/** What a page holds itself, in its head or on its elements, moved into a sheet. */
import { attachedDeclarations } from "../source/declarations";
import { changeBetween, type TextChange } from "../source/changes";
import { groupBy } from "../source/groups";
import { documentOf, isText, writtenElements, type ElementNode } from "../source/html/document";
import { leadBefore, lineEndOf, plainLines } from "../source/lines";
import { changeSite, pagesOf, sheetsOf, textFile, type Site, type TextFile } from "../source/site";
import { readdressed } from "../source/css/addresses";
import { baseOf } from "../source/html/sheets";
import { fileAt } from "./locate";
import { classNameFor, gatherAttributes, isClassTaken } from "./gather";
import { EditError } from "./types";
import { checkEmbeddable } from "./value";

/**
 * The rules of a page's style elements put at the end of a sheet, in their order; the elements are taken out. Those for
 * some readers only stay, as do those that import or name a charset, which would no longer stand first.
 * @throws EditError where none can be moved
 */
export function headIntoSheet(site: Site, path: string, sheet: string): TextChange[] {
  const page = fileAt(site, path);
  const into = fileAt(site, sheet);
  const moved = documentOf(page).elements.filter((element) => isMovable(element, page));
  if (moved.length === 0) throw new EditError(`${path} has no rules in its head that can be moved.`);
  const line = lineEndOf(into.text);
  const base = baseOf(documentOf(page));
  const rules = moved.map((element) =>
    readdressed(outdented(textIn(element, page)), base, sheet).replaceAll("\n", line),
  );
  for (const text of rules) checkEmbeddable(text, into);
  const end = into.text.trimEnd().length;
  const insert = `${end ? line + line : ""}${rules.join(line + line)}${line}`;
  return [
    { path: sheet, start: end, end: into.text.length, insert },
    ...moved.map(({ source }) => {
      const { start, end: stop } = source!.whole;
      return { path, start: leadBefore(page.text, start), end: stop, insert: "" };
    }),
  ];
}

function isMovable({ tag, attributes, source, content }: ElementNode, page: TextFile): boolean {
  if (tag !== "style" || !source?.endTag || !content.some(isText)) return false;
  const kind = attributes.get("type")?.trim().toLowerCase() ?? "";
  if (attributes.has("media") || attributes.has("title") || (kind !== "" && kind !== "text/css")) return false;
  return !/@(?:import|charset|namespace)\b/i.test(page.text.slice(source.startTag.end, source.endTag.start));
}

const textIn = ({ source }: ElementNode, { text }: TextFile): string =>
  text.slice(source!.startTag.end, source!.endTag!.start);

/** Lines without the blanks that all of them begin with. */
function outdented(text: string): string {
  const lines = plainLines(text)
    .replace(/^\s*\n|\s+$/g, "")
    .split("\n");
  const indents = lines.filter((line) => line.trim()).map((line) => /^[ \t]*/.exec(line)![0].length);
  const least = Math.min(...indents);
  return lines.map((line) => line.slice(least)).join("\n");
}

/**
 * The style attributes of a page made rules for classes at the end of a sheet; equal ones are gathered.
 * @throws EditError where none can be moved
 */
export function attributesIntoSheet(site: Site, path: string, sheet: string): TextChange[] {
  const groups = [...groupBy(styled(fileAt(site, path)), ({ attributes }) => attributes.get("style")!.trim()).values()];
  if (groups.length === 0) throw new EditError(`${path} has no style attributes that can be moved.`);
  const inPage: TextChange[] = [];
  // The sheet grows group by group, so that each finds the names of those before taken.
  let now = site;
  for (const elements of groups) {
    const files = [...sheetsOf(now), ...pagesOf(now)];
    const name = classNameFor(elements, (one) => isClassTaken(files, one));
    const refs = elements.map(({ index }) => ({ page: path, index }));
    const changes = gatherAttributes(now, refs, sheet, name);
    inPage.push(...changes.filter((change) => change.path === path));
    now = changeSite(
      now,
      changes.filter((change) => change.path === sheet),
    );
  }
  const inSheet = changeBetween(sheet, textFile(site, sheet)!.text, textFile(now, sheet)!.text);
  return inSheet ? [...inPage, inSheet] : inPage;
}

const styled = (page: TextFile): ElementNode[] =>
  writtenElements(documentOf(page)).filter((element) => attachedDeclarations(element).length > 0);
