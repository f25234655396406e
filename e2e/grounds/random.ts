/** Pages made at random, about all that may lie under, over and around a text. */
import { chanceOf, type Chance } from "../support/random";

const words =
  "Two boats go out to the islands every day but on the last Sunday of the month when the harbour is closed for repairs and the ferry waits".split(
    " ",
  );

function channel(chance: Chance): number {
  return chance.among([0, 0, 255, 255, chance.upTo(256), chance.upTo(256)]);
}

function color(chance: Chance, alpha = 0.25): string {
  const [r, g, b] = [channel(chance), channel(chance), channel(chance)];
  if (chance.is(alpha)) return `rgb(${r} ${g} ${b} / ${chance.among([0, 0.2, 0.5, 0.8])})`;
  return chance.among([
    `rgb(${r}, ${g}, ${b})`,
    `#${[r, g, b].map((value) => value.toString(16).padStart(2, "0")).join("")}`,
    `hsl(${chance.upTo(360)} ${chance.upTo(101)}% ${chance.upTo(101)}%)`,
    chance.among(["black", "white", "yellow", "navy", "tomato", "#ffc800", "transparent", "currentColor"]),
  ]);
}

function picture(chance: Chance): string {
  const [a, b] = [color(chance, 0), color(chance, 0.3)];
  const kind = chance.upTo(6);
  const place = chance.among(["", "", " at 20% 30%", " at right"]);
  if (kind === 0)
    return `linear-gradient(${chance.among(["", "to right, ", "30deg, ", "to bottom left, "])}${a}, ${b})`;
  if (kind === 1)
    return `radial-gradient(${chance.among(["circle", "ellipse"])}${place}, ${a}, ${b} ${20 + chance.upTo(80)}%)`;
  if (kind === 2)
    return `repeating-linear-gradient(${chance.upTo(360)}deg, ${a} 0 ${4 + chance.upTo(20)}px, ${b} 0 ${30 + chance.upTo(20)}px)`;
  if (kind === 3) return `conic-gradient(${a}, ${b})`;
  const size = chance.among([
    'width="40" height="30"',
    'viewBox="0 0 40 30"',
    'width="64" height="64" viewBox="0 0 8 8"',
  ]);
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" ${size}><rect width="25" height="30" fill="${a.startsWith("c") || a.startsWith("t") ? "red" : a}"/></svg>`;
  return `url("data:image/svg+xml,${encodeURIComponent(svg)}")`;
}

function background(chance: Chance): string[] {
  const list: string[] = [];
  if (chance.is(0.6)) list.push(`background-color:${color(chance)}`);
  if (!chance.is(0.3)) return list;
  const layers = chance.is(0.6) ? 1 : 2 + chance.upTo(3);
  /** A value, or one for each layer. */
  const each = (values: readonly string[]) =>
    Array.from({ length: chance.is(0.5) ? layers : 1 }, () => chance.among(values)).join(", ");
  list.push(`background-image:${Array.from({ length: layers }, () => picture(chance)).join(", ")}`);
  if (chance.is(0.4)) list.push(`background-size:${each(["50% 40px", "cover", "contain", "20px auto", "auto 70%"])}`);
  if (chance.is(0.4))
    list.push(`background-repeat:${each(["no-repeat", "repeat-x", "space", "round", "round space"])}`);
  if (chance.is(0.3)) list.push(`background-position:${each(["center", "right 10px bottom 5px", "30% 60%"])}`);
  if (chance.is(0.2)) list.push(`background-clip:${each(["padding-box", "content-box", "border-box"])}`);
  if (chance.is(0.2)) list.push(`background-origin:${each(["border-box", "content-box", "padding-box"])}`);
  if (chance.is(0.1)) list.push(`background-blend-mode:${each(["multiply", "difference", "normal"])}`);
  if (chance.is(0.1)) list.push(`background-attachment:${each(["local", "fixed", "scroll"])}`);
  return list;
}

function box(chance: Chance): string[] {
  const list: string[] = [];
  if (chance.is(0.5)) list.push(`padding:${chance.upTo(16)}px`);
  if (chance.is(0.3)) list.push(`margin:${chance.upTo(20) - 4}px`);
  if (chance.is(0.25))
    list.push(`border:${1 + chance.upTo(9)}px ${chance.among(["solid", "dashed", "double"])} ${color(chance)}`);
  if (chance.is(0.15)) list.push(`border-radius:${chance.among(["8px", "50%", "30px 0"])}`);
  if (chance.is(0.12))
    list.push(
      `box-shadow:${chance.among(["", "inset "])}${chance.upTo(20)}px 4px ${chance.upTo(20)}px ${chance.upTo(10)}px ${color(chance)}`,
    );
  if (chance.is(0.08))
    list.push(`outline:${1 + chance.upTo(12)}px solid ${color(chance)};outline-offset:-${chance.upTo(16)}px`);
  if (chance.is(0.15)) list.push(`opacity:${chance.among([0, 0.3, 0.6, 0.9])}`);
  if (chance.is(0.1))
    list.push(
      `filter:${chance.among(["invert(1)", "brightness(.5)", "grayscale(1)", "hue-rotate(90deg)", "opacity(.5)"])}`,
    );
  if (chance.is(0.08)) list.push(`mix-blend-mode:${chance.among(["multiply", "screen", "difference", "color-burn"])}`);
  if (chance.is(0.1))
    list.push(`overflow:${chance.among(["hidden", "clip", "auto"])};height:${20 + chance.upTo(80)}px`);
  if (chance.is(0.06)) list.push(`clip-path:${chance.among(["inset(10px)", "circle(40%)", "inset(50%)"])}`);
  if (chance.is(0.06)) list.push(`mask-image:linear-gradient(#000, ${chance.among(["#0008", "transparent"])})`);
  if (chance.is(0.1))
    list.push(
      `transform:${chance.among(["translate(10px, -20px)", "scale(.8)", "scaleX(-1)", "rotate(6deg)", "translateZ(0)"])}`,
    );
  if (chance.is(0.1))
    list.push(
      chance.among([
        "will-change:transform",
        "contain:paint",
        "isolation:isolate",
        "perspective:100px",
        "translate:4px 9px",
        "backdrop-filter:invert(1)",
      ]),
    );
  if (chance.is(0.2)) {
    const kind = chance.among(["relative", "absolute", "sticky", "relative"]);
    list.push(`position:${kind};top:${chance.upTo(60) - 20}px;left:${chance.upTo(80) - 20}px`);
    if (chance.is(0.6)) list.push(`z-index:${chance.upTo(4) - 1}`);
  }
  if (chance.is(0.08)) list.push(`float:${chance.among(["left", "right"])}`);
  if (chance.is(0.1)) list.push(`display:${chance.among(["inline-block", "flex", "grid", "contents", "inline"])}`);
  if (chance.is(0.1)) list.push(`width:${80 + chance.upTo(300)}px`);
  return list;
}

function text(chance: Chance): string[] {
  const list: string[] = [];
  if (chance.is(0.5)) list.push(`color:${color(chance)}`);
  if (chance.is(0.3)) list.push(`font-size:${12 + chance.upTo(30)}px`);
  if (chance.is(0.1)) list.push(`line-height:${chance.among(["1", "2", "24px"])}`);
  if (chance.is(0.08)) list.push(`text-align:${chance.among(["center", "right"])}`);
  return list;
}

function generated(chance: Chance, selector: string): string {
  if (!chance.is(0.15)) return "";
  const placed = chance.is(0.6)
    ? `position:absolute;inset:${chance.upTo(20) - 5}px;z-index:${chance.upTo(3) - 1}`
    : `display:${chance.among(["block", "inline-block"])};width:60px;height:20px`;
  const content = chance.is(0.4) ? '"more words"' : '""';
  return `${selector}::${chance.among(["before", "after"])}{content:${content};${placed};${[...background(chance), ...text(chance)].join(";")}}\n`;
}

/** A page of nested boxes with texts in them, each known by its id. */
export function randomGroundPage(seed: number): string {
  const chance = chanceOf(seed);
  let rules = "";
  let count = 0;
  const sentence = () => {
    const length = 1 + chance.upTo(chance.is(0.3) ? 24 : 6);
    const from = chance.upTo(words.length);
    return Array.from({ length }, (_, at) => words[(from + at) % words.length]).join(" ");
  };
  const make = (depth: number): string => {
    const id = `t${count++}`;
    const declarations = [...background(chance), ...box(chance), ...text(chance)];
    rules += `#${id}{${declarations.join(";")}}\n${generated(chance, `#${id}`)}`;
    const tag = depth === 0 ? "section" : chance.among(["div", "p", "span", "b", "div", "mark"]);
    const parts: string[] = [];
    if (chance.is(0.7) || depth > 2) parts.push(sentence());
    if (depth < 3) for (let inner = chance.upTo(3); inner > 0; inner -= 1) parts.push(make(depth + 1));
    if (chance.is(0.2)) parts.push(sentence());
    return tag === "p" ? `<div id="${id}">${parts.join(" ")}</div>` : `<${tag} id="${id}">${parts.join(" ")}</${tag}>`;
  };
  const body = Array.from({ length: 3 + chance.upTo(3) }, () => make(0)).join("\n");
  const page = chance.is(0.5) ? `body{${background(chance).join(";")}}` : "";
  const root = chance.is(0.2) ? `html{${background(chance).join(";")}}` : "";
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><style>body{font:18px/1.4 sans-serif}\n${root}${page}\n${rules}</style></head><body>\n${body}\n</body></html>`;
}
