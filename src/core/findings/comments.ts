import { T, tokensOf } from "../source/css/tokens";
import { sheetTexts, type SheetText } from "../source/declarations";
import { endOfLine } from "../source/lines";
import { changed, quoted, withoutWords } from "./texts";
import { at, type Check, type Found, type Way } from "./types";

const because =
  "Comments of a style sheet stand between `/*` and `*/` and nothing else (CSS Syntax 3, 4.3.2); other signs are read as part of what follows.";

/** Comments that are none, are never closed or stand in one another, and tags in a sheet. */
export const comments: Check = {
  name: "comments",
  group: "idle",
  inFile: (file, site) =>
    sheetTexts(site, file).flatMap((sheet) => [
      ...slashes(sheet),
      ...ofPages(sheet),
      ...open(sheet),
      ...closedTwice(sheet),
      ...tags(sheet),
    ]),
};

const found = ({ file, offset }: SheetText, start: number, message: string, ways: () => Way[]): Found => ({
  level: "error",
  message,
  because,
  ...at(file, offset + start),
  ways,
});

/** `//` up to the end of its line. */
function slashes(sheet: SheetText): Found[] {
  const plain = withoutWords(sheet);
  return [...plain.matchAll(/(?<![:\w/"'(])\/\/[^\r\n]*/g)].map(({ index }) => {
    const end = endOfLine(sheet.text, index);
    const words = sheet.text.slice(index + 2, end).trim();
    return found(
      sheet,
      index,
      `\`//\` begins no comment: what follows up to the next semicolon or brace is skipped with it.`,
      () => [
        {
          label: "Write it as a comment",
          changes: [changed(sheet, index, end, `/* ${words.replaceAll("*/", "* /")} */`)],
        },
        { label: "Take it out", changes: [changed(sheet, index, end, "")] },
      ],
    );
  });
}

/** `<!-- … -->` around words: around rules it was a habit once, and does no harm at the top of a sheet. */
function ofPages(sheet: SheetText): Found[] {
  const plain = withoutWords(sheet);
  return [...plain.matchAll(/<!--([^{}]*?)-->/g)]
    .filter(([, inside]) => inside!.trim() !== "")
    .map(({ 0: whole, index }) =>
      found(
        sheet,
        index,
        `${quoted(whole)} is a comment of a page, not of a style sheet: what follows it is skipped.`,
        () => [
          {
            label: "Write it as a comment",
            changes: [
              changed(sheet, index, index + 4, "/*"),
              changed(sheet, index + whole.length - 3, index + whole.length, "*/"),
            ],
          },
        ],
      ),
    );
}

function open(sheet: SheetText): Found[] {
  const { text } = sheet;
  const { types, starts, count } = tokensOf(text);
  const start = starts[count - 1]!;
  if (count === 0 || types[count - 1] !== T.Comment || /^\/\*[\s\S]*\*\/$/.test(text.slice(start))) return [];
  const end = endOfLine(text, start);
  const inLine = text.slice(start, end);
  // A slash without its star, a star without its slash, or a blank between them.
  const nearly = /\*\s+\/|\*(?=\s*$)|(?<!\/\*?)\/(?=\s*$)/.exec(inLine.slice(2));
  const at = nearly ? start + 2 + nearly.index : end;
  const to = nearly ? at + nearly[0].length : end;
  return [
    found(sheet, start, "A comment is opened here and never closed: all that follows is left out.", () => [
      { label: "Close it", changes: [changed(sheet, at, to, nearly ? "*/" : " */")] },
      { label: "Close it at the end of the line", changes: [changed(sheet, end, end, " */")] },
    ]),
  ];
}

/** A comment in a comment: the first end ends both. */
function closedTwice(sheet: SheetText): Found[] {
  const { text } = sheet;
  const plain = withoutWords(sheet);
  return [...plain.matchAll(/\*\//g)].map(({ index }) => {
    const inner = text.lastIndexOf("*/", index - 1);
    const parted = /\/[ \t]+\*(?![\s\S]*\/[ \t]+\*)/.exec(plain.slice(Math.max(0, inner), index));
    if (parted) return openedApart(sheet, Math.max(0, inner) + parted.index, parted[0].length);
    return found(
      sheet,
      index,
      "This ends a comment that has ended before: comments cannot stand in one another.",
      () => [
        ...(inner >= 0 ? [{ label: "Make one comment of both", changes: [changed(sheet, inner, inner + 2, "")] }] : []),
        { label: "Take it out", changes: [changed(sheet, index, index + 2, "")] },
      ],
    );
  });
}

/** A comment whose first two signs are parted by a blank. */
function openedApart(sheet: SheetText, start: number, length: number): Found {
  const message = "A blank parts the two signs that open a comment: what follows is skipped with it.";
  return found(sheet, start, message, () => [
    { label: "Write `/*`", changes: [changed(sheet, start, start + length, "/*")] },
  ]);
}

/** Tags of a page in a sheet, told once. */
function tags(sheet: SheetText): Found[] {
  const plain = withoutWords(sheet);
  const all = [...plain.matchAll(/<\/?(?:style|link|script|html|head|body|meta|title)\b[^<>{}]*>/gi)];
  const [first] = all;
  // A page whose style is never closed is told of by its tag.
  if (!first || (sheet.file.kind === "html" && !/<\/style/i.test(sheet.file.text.slice(sheet.offset)))) return [];
  const { 0: tag, index } = first;
  const told = `${quoted(tag)} is a tag of a page: in a style sheet it spoils the rule that follows.`;
  return [
    found(sheet, index, told, () => [
      {
        label: all.length > 1 ? "Take the tags out" : "Take the tag out",
        changes: all.map((one) => changed(sheet, one.index, one.index + one[0].length, "")),
      },
    ]),
  ];
}
