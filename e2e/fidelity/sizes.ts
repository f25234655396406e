/** Random pages whose boxes are sized in every way, for what their sizes are computed to. */
import { chanceOf } from "../support/random";
import { sizeNames } from "../../src/core/cascade/properties/sizes";

const lengths = [
  "0",
  "10px",
  "2em",
  "50%",
  "12.5rem",
  "30vw",
  "1in",
  "calc(50% - 2em)",
  "min(30rem, 100%)",
  "calc(3em + 1px)",
];
const words = [
  "auto",
  "none",
  "min-content",
  "max-content",
  "fit-content",
  "stretch",
  "-webkit-fill-available",
  "-webkit-fit-content",
  "-1px",
  "12",
  "inherit",
  "initial",
  "unset",
  "red",
];
const names = [
  ...sizeNames,
  "inline-size",
  "block-size",
  "min-inline-size",
  "max-block-size",
  "max-inline-size",
  "clear",
  "box-sizing",
];
const tags = [
  "div",
  "p",
  "section",
  "span",
  "img",
  "table",
  "td",
  "hr",
  "fieldset",
  "progress",
  "meter",
  "iframe",
  "button",
  "dialog",
  "textarea",
  "select",
  "video",
  "canvas",
  "summary",
  "legend",
  "marquee",
  "object",
  "embed",
  "li",
  "caption",
  "h1",
  "pre",
  "input",
];
const inputs = [
  "text",
  "button",
  "submit",
  "checkbox",
  "radio",
  "search",
  "color",
  "range",
  "date",
  "number",
  "file",
  "image",
];
const own: Readonly<Record<string, readonly string[]>> = {
  clear: ["left", "both", "none", "inline-end", "up"],
  "box-sizing": ["border-box", "content-box", "padding-box"],
};
const amounts = ["0", "40", "50%", "12.5", "abc", " 7px", "+3", ".5", "100%%"];

export function randomSizedPage(seed: number): string {
  const chance = chanceOf(seed);
  const rules = Array.from({ length: 12 }, () => {
    const declarations = Array.from({ length: 1 + chance.upTo(4) }, () => {
      const name = chance.among(names);
      const value = chance.among(own[name] ?? [...lengths, ...words]);
      return `${name}: ${value}${chance.upTo(8) === 0 ? " !important" : ""}`;
    });
    const selector = chance.upTo(3) === 0 ? `#e${chance.upTo(14)}` : chance.among(tags);
    return `${selector} { ${declarations.join("; ")} }`;
  });
  const flows = ["", "writing-mode: vertical-rl", "writing-mode: sideways-lr", "direction: rtl", "font-size: 20px"];
  const boxes = Array.from({ length: 14 }, (_, at) => {
    const tag = chance.among(tags);
    const sized = ["width", "height"].map((name) =>
      chance.upTo(4) === 0 ? ` ${name}="${chance.among(amounts)}"` : "",
    );
    const open = `id="e${at}" style="${chance.among(flows)}"${sized.join("")}${tag === "hr" && chance.upTo(2) ? ' size="5"' : tag === "input" ? ` type="${chance.among(inputs)}"` : tag === "dialog" ? " open" : ""}`;
    if (tag === "td") return `<table><tr><td ${open}>Sailings</td></tr></table>`;
    return /^(?:img|hr|input|embed)$/.test(tag) ? `<${tag} ${open}>` : `<${tag} ${open}>Sailings</${tag}>`;
  });
  return `<!doctype html><title>Sizes</title><style>${rules.join("\n")}</style>${boxes.join("\n")}`;
}
