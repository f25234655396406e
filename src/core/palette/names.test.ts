/** Values under names: whatever is named, on whatever site, nothing comes out otherwise for any reader. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { sameValues } from "../cascade/style";
import { styledPage } from "../cascade/styledPages";
import { EditError } from "../edits/types";
import { groupBy } from "../source/groups";
import { changeSite, pagesOf, type Site } from "../source/site";
import { randomSite } from "../testing/randomSite";
import { nameColor } from "./properties";
import { definedProperties } from "./references";
import { colorSpots } from "./values";
import { runs } from "../testing/runs";

const readers = (["light", "dark"] as const).flatMap((scheme) =>
  [1280, 400].map((width) => ({ ...defaultConditions, scheme, width })),
);

/** Elements of both sites whose values differ, as words. */
const differing = (before: Site, after: Site): string[] =>
  readers.flatMap((conditions) =>
    pagesOf(before).flatMap((file, page) => {
      const now = styledPage(after, pagesOf(after)[page]!, conditions).styles;
      return styledPage(before, file, conditions).styles.flatMap((style, at) =>
        sameValues(style, now[at]!) ? [] : [`${file.path} ${style.element.tag} at ${conditions.width}px`],
      );
    }),
  );

test("colours of random sites", () => {
  let named = 0;
  fc.assert(
    fc.property(randomSite, (site) => {
      const taken = definedProperties(site);
      for (const spots of groupBy(colorSpots(site), ({ css }) => css).values()) {
        try {
          const after = changeSite(site, nameColor(site, spots, "--named", taken));
          expect(differing(site, after)).toEqual([]);
          named += 1;
        } catch (error) {
          if (!(error instanceof EditError)) throw error;
        }
      }
    }),
    runs(8),
  );
  expect(named).toBeGreaterThan(30);
});
