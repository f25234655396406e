import { describe, expect, test } from "vitest";
import { defaultConditions } from "../../cascade/conditions";
import { rewritingFor } from "../../cascade/rehearse";
import { openSite, textFile } from "../site";
import { safeDocument, safeSheets } from "./safe";

const far = "https://far.example";

/** All that would be shown of a page, as text, without any policy. */
function shown(css: string, body = "", head = ""): string {
  const site = openSite([
    { path: "index.html", text: `<html><head>${head}<style>${css}</style></head><body>${body}</body></html>` },
  ]);
  const file = textFile(site, "index.html")!;
  const document = safeDocument(site, file, () => null);
  const sheets = safeSheets(site, file, rewritingFor(defaultConditions, file.path), () => null);
  return JSON.stringify([document, sheets]).replaceAll("\\\\", "\\");
}

describe("no address elsewhere passes the cleaner, policy or not", () => {
  test.each([
    `p{background:url(${far}/a)}`,
    `p{background:URL("${far}/a")}`,
    `p{background:u\\72l(${far}/a)}`,
    `p{background:\\75 rl("${far}/a")}`,
    `p{background:url(\\68ttps://far.example/a)}`,
    `p{background:image-set("${far}/a" 1x)}`,
    `p{background:-webkit-image-set(url(${far}/a) 1x)}`,
    `p{background:im\\61ge-set("${far}/a" 1x)}`,
    `p{background:src("${far}/a")}`,
    `p{background:SRC("${far}/a")}`,
    `p{background:image("${far}/a")}`,
    `p{background:cross-fade("${far}/a", red)}`,
    `p{--u:"${far}/a";background:image-set(var(--u) 1x)}`,
    `p{--u:"${far}/a";background:src(var(--u))}`,
    `p{\\2d\\2d u:"${far}/a";background:src(var(--u))}`,
    `@property --u{syntax:"*";inherits:true;\\69nitial-value:"${far}/a"}`,
    `p{--u:url(${far}/a)}`,
    `@import "${far}/a";`,
    `@import url(${far}/a) screen;`,
    `@\\69mport "${far}/a";`,
    `@import "${far}/a" layer(x) supports(display: grid) screen and (min-width: 1px);`,
    `p{} @import "${far}/late";`,
    `@media screen{@import "${far}/a";}`,
    `@namespace x url(${far}/a);`,
    `@font-face{font-family:x;src:url(${far}/a) format("woff2"), local(x)}`,
    `@property --u{syntax:"<url>";inherits:true;initial-value:url(${far}/a)}`,
    `@layer x{p{cursor:url(${far}/a) 1 1, auto}}`,
    `p{filter:url(${far}/a#b)}`,
    `p{list-style-image:url( "${far}/a" )}`,
    `p::before{content:url('${far}/a')}`,
    `p{background:url(//far.example/a)}`,
    `p{background:url("\\2f/far.example/a")}`,
  ])("%s", (css) => {
    const text = shown(css);
    expect(text).not.toMatch(/far\.example/);
  });

  test.each([
    `<img src="${far}/a" srcset="${far}/b 2x">`,
    `<p style="background:url(${far}/a)">`,
    `<p style="background:u\\72l(${far}/a)">`,
    `<svg><rect fill="url(${far}/a#b)" filter="url('${far}/a')" mask="u\\72l(${far}/a)" marker-start="url(${far}/m)"/></svg>`,
    `<svg><image href="${far}/a" xlink:href="${far}/b"/><use href="${far}/u#x"/><feImage href="${far}/f"/></svg>`,
    `<svg><linearGradient href="${far}/a#x"/><textPath href="${far}/p"/><pattern xlink:href="${far}/p"/></svg>`,
    `<svg><animate attributeName="href" to="${far}/a" values="${far}/b"/><set attributeName="href" to="${far}/c"/></svg>`,
    `<table background="${far}/a"><tr><td background="//far.example/b">`,
    `<video poster="${far}/p" src="${far}/v"><source src="${far}/s" srcset="${far}/t"><track src="${far}/k"></video>`,
    `<object data="${far}/a" codebase="${far}/"></object><embed src="${far}/e"><iframe src="${far}/i" srcdoc="<img src=${far}/s>"></iframe>`,
    `<input type=image src="${far}/a"><button formaction="${far}/f"></button><form action="${far}/g"></form>`,
    `<link rel=preload href="${far}/a" imagesrcset="${far}/b 2x"><meta http-equiv=refresh content="0;url=${far}/r"><base href="${far}/">`,
    `<math><mglyph src="${far}/a"/><mi xlink:href="${far}/x" href="${far}/y">z</mi></math>`,
    `<body background="${far}/a"><blockquote cite="${far}/c"><q cite="${far}/d">x</q></blockquote>`,
  ])("%s", (body) => {
    const text = shown("", body);
    // Where a link leads is kept: it is followed by nobody.
    expect(text.replace(/\["href","https:\/\/far\.example\/[yu]#?x?"\]/g, "")).not.toMatch(/far\.example/);
  });
});
