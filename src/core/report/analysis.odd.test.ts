import { expect, test } from "vitest";
import { analyse } from "./analysis";
import { openSite } from "../source/site";

/** Names of members every object has, where sheets and pages may write any name. */
const members = ["constructor", "__proto__", "toString", "hasOwnProperty", "valueOf"];
const deep = (open: string, close: string, times: number, inner = "x") =>
  open.repeat(times) + inner + close.repeat(times);

test.each([
  ["properties", members.map((name) => `p{${name}:red;font-${name}:1px}`).join("")],
  [
    "media features",
    members.map((name) => `@media (${name}: 1px){p{color:red}} @media ${name}{p{color:red}}`).join(""),
  ],
  [
    "values",
    members
      .map((name) => `p{font:${name};font-size:${name};border:${name};white-space:${name};list-style:${name}}`)
      .join(""),
  ],
  ["custom properties", members.map((name) => `p{--${name}:red;color:var(--${name})}`).join("")],
  [
    "functions",
    members.map((name) => `p{width:${name}(1px);color:${name}(1 2 3);background:${name}-gradient(red)}`).join(""),
  ],
  [
    "at-rules",
    members
      .map(
        (name) =>
          `@${name} x{p{color:red}} @layer ${name}{p{color:tan}} @property --${name}{syntax:'<${name}>';inherits:true;initial-value:x}`,
      )
      .join(""),
  ],
  ["units", members.map((name) => `p{width:1${name};margin:calc(1${name} + 2px)}`).join("")],
  [
    "a chain of references",
    Array.from({ length: 5000 }, (_, at) => `p{--c${at}:var(--c${at + 1})}`).join("") + "p{color:var(--c0)}",
  ],
  ["fallbacks in fallbacks", `p{color:${deep("var(--x, ", ")", 3000, "red")}}`],
  ["parentheses", `p{width:calc(${deep("(", ")", 5000, "1px")})}`],
  [
    "conditions",
    `@media ${deep("(", ")", 3000, "width > 1px")}{p{color:red}} @supports ${deep("(", ")", 3000, "color: red")}{p{color:red}}`,
  ],
  ["nesting", deep("a{", "}", 3000, "color:red")],
  ["selectors", `${deep(":not(", ")", 3000, "a")}{color:red} ${deep(":is(", ")", 3000, "a")}{color:red}`],
  ["mixed colours", `p{color:${deep("color-mix(in srgb, red, ", ")", 2000, "blue")}}`],
])("nothing throws: %s", (_, css) => {
  const site = openSite([
    {
      path: "index.html",
      text: `<link rel=stylesheet href=a.css><p constructor=1 __proto__=2 type=constructor align=constructor>x</p>`,
    },
    { path: "a.css", text: css },
  ]);
  expect(() => analyse(site)).not.toThrow();
});

test("sheets that import each other in a long chain", () => {
  const files = Array.from({ length: 1500 }, (_, at) => ({
    path: `${at}.css`,
    text: `@import "${at + 1}.css"; p{color:red}`,
  }));
  const site = openSite([{ path: "index.html", text: "<link rel=stylesheet href=0.css><p>x</p>" }, ...files]);
  expect(() => analyse(site)).not.toThrow();
});

test("elements nested as deep as they like", () => {
  const site = openSite([{ path: "index.html", text: `<style>p{color:red}</style>${"<div>".repeat(4000)}<p>x</p>` }]);
  expect(() => analyse(site)).not.toThrow();
});
