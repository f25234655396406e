import type { FontFace } from "../cascade/fonts/pageFonts";
import { valueOf, type Style } from "../cascade/style";
import type { KnownPage } from "../cascade/styledPages";
import { isWeightFaked } from "../type/weights";
import { refOf, textsOf } from "../text/pageTexts";
import { declareWay, spotFor, targetFor } from "./cause";
import { at, type Check, type Found } from "./types";

const because =
  "Where a font has no such letters the browser slants or thickens the upright ones, which nobody has drawn (CSS Fonts 4, 2.5).";

/** Weights and italics that no face of a font of the site has, so that the browser makes them up. */
export const fakedFaces: Check = {
  name: "faked-face",
  group: "readers",
  onPage: (page) => textsOf(page).flatMap((style) => fakedIn(page, style)),
};

function fakedIn(page: KnownPage, style: Style): Found[] {
  const [family] = valueOf(style, "font-family");
  const own = family ? page.faces.filter((face) => face.file && isNamed(face, family.name)) : [];
  if (!family || own.length === 0) return [];
  const weight = valueOf(style, "font-weight");
  const heaviest = Math.max(...own.map((face) => face.weight[1]));
  const isSlanted = valueOf(style, "font-style") !== "normal";
  const all: Found[] = [];
  const tell = (longhand: "font-weight" | "font-style", message: string, label: string, value: string) => {
    const spot = spotFor(page, style, longhand);
    all.push({
      level: "note",
      message,
      because,
      ...at(page.file, style.element.source?.startTag.start ?? 0),
      spot,
      kind: `${longhand} ${family.name}`,
      places: [refOf(page.file.path, style)],
      ways: ({ site }) => declareWay(site, label, targetFor(page, style, spot), longhand, value),
    });
  };
  if (isWeightFaked({ weights: own.map((face) => face.weight) }, weight))
    tell(
      "font-weight",
      `${family.name} has no letters of weight ${weight} here: its heaviest are ${heaviest}, and the browser thickens them.`,
      `Write \`${heaviest}\``,
      String(heaviest),
    );
  if (isSlanted && !own.some((face) => face.italic))
    tell(
      "font-style",
      `${family.name} has no italic letters here: the browser slants the upright ones.`,
      "Write `normal`",
      "normal",
    );
  return all;
}

const isNamed = ({ family }: FontFace, name: string) => family.toLowerCase() === name.toLowerCase();
