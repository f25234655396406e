import { expect, test } from "vitest";
import { styleOf, pageWith } from "../testing/site";
import { faultOf, fitsSyntax } from "./registered";

/** Syntax, what it has without a value that fits, a value, and what the browser (Chromium 156) computes. */
const rows: readonly (readonly [syntax: string, initial: string, value: string, computed: string])[] = [
  ["*", "i", "a  b", "a  b"],
  ["<length>", "9px", "2em", "40px"],
  ["<length>", "9px", "calc(1px + 2px)", "3px"],
  ["<length>", "9px", "5%", "9px"],
  ["<length>", "9px", "0", "0px"],
  ["<length>", "9px", "-3px", "-3px"],
  ["<length-percentage>", "9px", "5%", "5%"],
  ["<length-percentage>", "9px", "calc(5% + 2em)", "calc(5% + 40px)"],
  ["<percentage>", "9%", "calc(5% * 2)", "10%"],
  ["<percentage>", "9%", "5", "9%"],
  ["<number>", "9", "1e2", "100"],
  ["<number>", "9", "calc(1/4)", "0.25"],
  ["<number>", "9", "1px", "9"],
  ["<integer>", "9", "7", "7"],
  ["<integer>", "9", "7.5", "9"],
  ["<integer>", "9", "calc(7.5)", "8"],
  ["<angle>", "9deg", ".5turn", "180deg"],
  ["<angle>", "9deg", "0", "9deg"],
  ["<time>", "9s", "250ms", "0.25s"],
  ["<resolution>", "9dppx", "96dpi", "1dppx"],
  ["<color>", "black", "#0f08", "rgba(0, 255, 0, 0.533)"],
  ["<color>", "black", "currentcolor", "currentcolor"],
  ["<color>", "black", "5", "rgb(0, 0, 0)"],
  ["<custom-ident>", "i", "Boat", "Boat"],
  ["<custom-ident>", "i", "default", "i"],
  ["<custom-ident>", "i", "'x'", "i"],
  ["<integer>", "9", "1e1", "9"],
  ["<string>", "'a'", "'b\"'", '"b\\""'],
  ["<url>", "url(a)", "url( b )", 'url("b")'],
  ["<image>", "url(a)", "url('b')", 'url("b")'],
  ["<color>", "black", "light-dark(red, blue)", "rgb(255, 0, 0)"],
  ["<transform-function>", "scale(9)", "blur(2px)", "scale(9)"],
  ["<transform-list>", "scale(9)", "none", "none"],
  ["<transform-function>", "scale(9)", "scale(2)", "scale(2)"],
  ["<transform-function>", "scale(9)", "scale(2) rotate(1deg)", "scale(9)"],
  ["<transform-list>", "scale(9)", "scale(2)  rotate(1deg)", "scale(2) rotate(1deg)"],
  ["<transform-list>", "scale(9)", "scale(2), rotate(1deg)", "scale(9)"],
  ["small | large", "small", "large", "large"],
  ["small | large", "small", "Large", "small"],
  ["small | large", "small", "medium", "small"],
  ["small | large", "small", "'large'", "small"],
  ["<length>+", "9px", "1px 2em", "1px 40px"],
  ["<length>+", "9px", "1px,2px", "9px"],
  ["<length>#", "9px", "1px,2em", "1px, 40px"],
  ["<length>#", "9px", "1px 2px", "9px"],
  ["auto | <length>", "auto", "auto", "auto"],
  ["auto | <length>", "auto", "3px", "3px"],
  ["<color>#", "black", "red,#00f", "rgb(255, 0, 0), rgb(0, 0, 255)"],
  ["<number> | <percentage>", "9", "5%", "5%"],
];

test.each(rows)("as %s, at first %s, %s is %s", (syntax, initial, value, computed) => {
  const from = pageWith(
    `@property --x{syntax:"${syntax}";inherits:false;initial-value:${initial}} p{font-size:20px;--x:${value}}`,
    '<p id="t">',
  );
  expect(styleOf(from, "t").shared.custom.get("--x")).toBe(computed);
  // Without a value that fits, it is as it is at first.
  expect(fitsSyntax(` ${syntax} `, value)).toBe(syntax === "*" || computed !== computedAtFirst(syntax, initial));
});

test.each<[syntax: string, initial: string | null, registrable: boolean]>([
  ["*", null, true],
  ["*", "anything  [x]", true],
  ["*", "", true],
  ["*", "inherit", false],
  ["<length>", null, false],
  ["<length>", "1px", true],
  ["<length>", "1vw", true],
  ["<length>", "1em", false],
  ["<length>", "1cqw", false],
  ["<length>", "calc(1px + 1rem)", false],
  ["<length>", "red", false],
  ["<length-percentage>", "calc(5% + 1px)", true],
  ["<color>", "currentcolor", true],
  ["<image>", "linear-gradient(red 1em, blue)", true],
  ["<transform-function>", "translate(1em)", false],
  ["<transform-list>+", "scale(2)", false],
  ["<length>+#", "1px", false],
  ["<LENGTH>", "1px", false],
  ["<nope>", "1px", false],
  ["< length>", "1px", false],
  ["", "1px", false],
  ["a | ", "a", false],
  ["a|b", "b", true],
  ["\\66 oo", "foo", true],
  ["--a", "--a", false],
  ["initial", "initial", false],
  ["a b", "a b", false],
])("%s with %s can be registered: %s", (syntax, initial, registrable) => {
  expect(faultOf(syntax, initial) === null).toBe(registrable);
});

test.each(["var(--y)", "env(safe-area-inset-top)", "attr(title)"])("none is registered with %s", (initial) => {
  const from = pageWith(`@property --x{syntax:"*";inherits:false;initial-value:${initial}}`, '<p id="t">');
  expect(styleOf(from, "t").shared.custom.has("--x")).toBe(false);
});

/** What the first value of a syntax comes to. */
function computedAtFirst(syntax: string, initial: string): string {
  if (syntax.startsWith("<color>")) return "rgb(0, 0, 0)";
  if (syntax === "<url>" || syntax === "<image>") return 'url("a")';
  return syntax.startsWith("auto") ? "9px" : initial;
}
