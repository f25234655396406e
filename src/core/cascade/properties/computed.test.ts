import { expect, test } from "vitest";
import { pageText, randomPage } from "../../../../e2e/fidelity/random";
import { site } from "../../testing/site";
import { pagesOf } from "../../source/site";
import { defaultConditions } from "../conditions";
import { valueOf } from "../style";
import { stylePage } from "../styles";
import type { ComputedValues, ReadLonghand } from "./computed";

type Check = (value: unknown) => boolean;

const isText: Check = (value) => typeof value === "string";
const isList =
  (holds: Check): Check =>
  (value) =>
    Array.isArray(value) && value.every(holds);
const has =
  (...keys: string[]): Check =>
  (value) =>
    typeof value === "object" && value !== null && keys.every((key) => key in value);
const isNumber =
  (from: number, to: number): Check =>
  (value) =>
    typeof value === "number" && value >= from && value <= to;
const isMargin: Check = (value) => value === "auto" || has("px", "percent")(value);
const isColor: Check = (value) => typeof value === "object" && value !== null;

/** What `ComputedValues` promises, one check for each of its longhands. */
const promised: { [Name in ReadLonghand]: Check } = {
  "-webkit-text-fill-color": isColor,
  "background-blend-mode": isList(isText),
  "background-clip": isList(isText),
  "background-color": isColor,
  "background-image": isList((value) => value === null || typeof value === "object"),
  "border-bottom-style": isText,
  "border-left-style": isText,
  "border-right-style": isText,
  "border-top-style": isText,
  color: has("color", "legacy"),
  "container-name": isList(isText),
  "container-type": isText,
  content: (value) => value === null || isList(has("type"))(value),
  direction: isText,
  display: isText,
  float: isText,
  "font-family": isList(has("name", "generic")),
  "font-size": has("px"),
  "font-style": isText,
  "font-weight": isNumber(1, 1000),
  "line-height": (value) => value === "normal" || typeof value === "object",
  "list-style-type": isText,
  "margin-bottom": isMargin,
  "margin-left": isMargin,
  "margin-right": isMargin,
  "margin-top": isMargin,
  "mix-blend-mode": isText,
  opacity: isNumber(0, 1),
  "overflow-x": isText,
  "overflow-y": isText,
  position: isText,
  "text-align": isText,
  "text-indent": (value) => has("px")((value as ComputedValues["text-indent"]).length),
  visibility: isText,
  "writing-mode": isText,
};

test("values that are read by name are of the type that is promised", () => {
  for (let seed = 1; seed <= 60; seed += 1) {
    const from = site({ "index.html": pageText(randomPage(seed)) });
    const { styles } = stylePage(from, pagesOf(from)[0]!, defaultConditions);
    for (const style of styles)
      for (const [name, holds] of Object.entries(promised)) {
        const value = valueOf(style, name as ReadLonghand);
        expect(holds(value), `${name} of ${style.element.tag}, seed ${seed}: ${JSON.stringify(value)}`).toBe(true);
      }
  }
});
