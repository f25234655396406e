import { invisibleBelow } from "../ground/ground";
import { showRatio } from "../color/contrast";
import { textsOf } from "../text/pageTexts";
import { legibilityOn } from "../text/textStyles";
import { plainSelector } from "../source/html/document";
import { at, type Check, type Finding } from "./types";

/** Text that cannot be read well enough on its ground (WCAG 2.2, 1.4.3); one finding for a text style and page. */
export const contrast: Check = {
  name: "contrast",
  onPage: (page, layouts) => {
    const found = new Map<string, Finding>();
    for (const style of textsOf(page)) {
      const { pseudo } = style;
      const { ratio, needs, passes, verdict, ground } = legibilityOn(page, style, layouts);
      if (passes || verdict === "unjudged") continue;
      const { element } = style;
      const name = plainSelector(element) + (pseudo ? `::${pseudo}` : "");
      const key = `${name} ${showRatio(ratio)} ${needs}`;
      const place = { page: page.file.path, index: element.index };
      const known = found.get(key);
      if (known) known.places.push(place);
      else {
        const invisible = ratio < invisibleBelow;
        const says = invisible ? "is invisible" : "cannot be read well";
        found.set(key, {
          check: "contrast",
          level: verdict === "fails" ? "error" : "warning",
          message: `${name} ${says} on its ground: ${showRatio(ratio)} to 1, and ${needs} is needed${ground.certain ? "" : ". The ground is not certain"}.`,
          ...at(page.file, element.source?.startTag.start ?? 0),
          places: [place],
        });
      }
    }
    return [...found.values()];
  },
};
