import { sheetTexts } from "../source/declarations";
import { rulesOf } from "../cascade/rules";
import { at, type Check } from "./types";

/** Rules that browsers skip because their selector is not one. */
export const invalidSelectors: Check = {
  name: "invalid-selector",
  inFile: (file, site) =>
    sheetTexts(site, file).flatMap((sheet) =>
      rulesOf(sheet.items).invalidSelectors.map(({ rule, message, offset }) => ({
        check: "invalid-selector",
        level: "error" as const,
        message: `The rule \`${rule.preludeText}\` is skipped. ${message}`,
        ...at(file, sheet.offset + offset),
        places: [],
      })),
    ),
};
