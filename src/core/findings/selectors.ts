import { rulesOf } from "../cascade/rules";
import { sheetTexts } from "../edits/locate";
import { pagesOf, sheetsOf } from "../source/site";
import { at, type Check } from "./types";

/** Rules that browsers skip because their selector is not one. */
export const invalidSelectors: Check = {
  name: "invalid-selector",
  run: ({ site }) =>
    [...sheetsOf(site), ...pagesOf(site)].flatMap((file) =>
      sheetTexts(site, file).flatMap((sheet) =>
        rulesOf(sheet.items).invalidSelectors.map(({ rule, message, offset }) => ({
          check: "invalid-selector",
          level: "error" as const,
          message: `The rule \`${rule.preludeText}\` is skipped. ${message}`,
          ...at(site, file.path, sheet.offset + offset),
          places: [],
        })),
      ),
    ),
};
