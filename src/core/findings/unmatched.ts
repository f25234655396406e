import { isEntry, rulesOf } from "../cascade/rules";
import { matchingElements } from "../cascade/selectors";
import { sheetTexts } from "../edits/locate";
import { documentOf } from "../source/html/document";
import { pagesOf, sheetsOf } from "../source/site";
import { at, type Check, type CheckContext, type Finding } from "./types";

/** Rules whose selector matches nothing though a very near one would: letter case, or a blank too many or too few. */
export const unmatchedSelectors: Check = {
  name: "unmatched-selector",
  run: (context) => {
    const { site } = context;
    const findings: Finding[] = [];
    const names = namesOn(context);
    for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
      for (const sheet of sheetTexts(site, file)) {
        for (const step of rulesOf(sheet.items).steps) {
          if (!isEntry(step)) continue;
          for (const { text, pseudoElement } of step.selectors) {
            const near = pseudoElement === null && text.length < 200 ? nearSelector(text, names) : null;
            if (!near || count(context, text) > 0) continue;
            const places = count(context, near.selector);
            if (places === 0) continue;
            const message = `\`${text}\` matches nothing. ${near.why} \`${near.selector}\` would match ${places} ${places === 1 ? "element" : "elements"}.`;
            findings.push({
              check: "unmatched-selector",
              level: "warning",
              message,
              ...at(site, file.path, sheet.offset + step.rule.start),
              places: [],
            });
          }
        }
      }
    }
    return findings;
  },
};

interface Names {
  classes: ReadonlySet<string>;
  ids: ReadonlySet<string>;
}

function namesOn({ site }: CheckContext): Names {
  const elements = pagesOf(site).flatMap((file) => documentOf(file).elements);
  return {
    classes: new Set(elements.flatMap(({ classes }) => classes)),
    ids: new Set(elements.flatMap(({ id }) => (id ? [id] : []))),
  };
}

function count({ site }: CheckContext, selector: string): number {
  return pagesOf(site).reduce((sum, file) => sum + (matchingElements(documentOf(file), selector)?.length ?? 0), 0);
}

/** A selector that may have been meant, and what is different about it. */
function nearSelector(text: string, { classes, ids }: Names): { selector: string; why: string } | null {
  let changed = false;
  const recased = text.replace(/([.#])(-?[_a-z][-\w]*)/gi, (whole, sign: string, name: string) => {
    const known = sign === "." ? classes : ids;
    if (known.has(name)) return whole;
    const other = [...known].find((one) => one.toLowerCase() === name.toLowerCase());
    if (other) changed = true;
    return other ? sign + other : whole;
  });
  if (changed) return { selector: recased, why: "The letter case of classes and ids counts:" };
  const joined = text.replace(/([\w-])\s+([.#])/g, "$1$2");
  if (joined !== text) return { selector: joined, why: "With a blank it asks for something inside; without it," };
  const parted = text.replace(/([\w-])([.#])/g, "$1 $2");
  if (parted !== text)
    return { selector: parted, why: "Without a blank it asks for one element that is both; with it," };
  return null;
}
