/** A site from scratch: a page, and a sheet that it links to. */
import { object, string } from "yup";
import { barredInPaths, readFile, type StoredFile } from "@/core/files";
import type { Opened } from "./read";

export interface NewSite {
  name: string;
  /** Path of the page. */
  page: string;
  /** Path of the sheet; "" for none. */
  sheet: string;
  /** The page's language, as a BCP 47 tag. */
  language: string;
}

const path = (ending: RegExp, words: string) =>
  string()
    .trim()
    .max(200, "A name of 200 characters at most.")
    .test("plain", 'A name has none of these in it: \\ ? # * : | " < >', (value = "") => !barredInPaths.test(value))
    .test(
      "inside",
      "A name stays inside the site's folder.",
      (value = "") => !/(?:^|\/)\.{0,2}(?:\/|$)/.test(`${value}`) || value === "",
    )
    .matches(ending, { message: words, excludeEmptyString: true });

const newSiteSchema = object({
  name: string()
    .trim()
    .min(1, "The site needs a name.")
    .max(200, "A name of 200 characters at most.")
    .required("The site needs a name."),
  page: path(/\.html?$/i, "A page ends in .html.").required("The page needs a name."),
  sheet: path(/\.css$/i, "A style sheet ends in .css.").default(""),
  language: string()
    .trim()
    .matches(/^[a-z]{2,3}(?:-[a-z0-9]{2,8})*$/i, "A language is a tag such as en, de or pt-BR.")
    .required("The page needs a language, so that its words can be parted and read aloud."),
});

/** @throws ValidationError, in plain words */
export function newSite(asked: NewSite): Opened {
  const { name, page, sheet, language } = newSiteSchema.validateSync(asked);
  const up = "../".repeat(page.split("/").length - 1);
  const title = name.replaceAll("&", "&amp;").replaceAll("<", "&lt;");
  const html = `<!doctype html>
<html lang="${language}">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <title>${title}</title>
${sheet ? `  <link rel="stylesheet" href="${up}${sheet}">\n` : ""}</head>
<body>
  <h1>${title}</h1>
  <p>Write here.</p>
</body>
</html>
`;
  const files = [{ path: page, text: html }, ...(sheet ? [{ path: sheet, text: "" }] : [])];
  return { name, files: files.map((file) => readFile(file) as StoredFile), refused: [], folder: null };
}
