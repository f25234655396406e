/**
 * The browser's own style sheet, as data: the rendering section of the HTML standard (15.3 and 15.5) where it
 * says anything about what is computed here, with the values Chromium gives where the standard leaves them open.
 */
import { parseSheet } from "../source/css/syntax";
import type { SheetSource } from "../source/html/sheets";

const text = `
@namespace "http://www.w3.org/1999/xhtml";
@namespace svg "http://www.w3.org/2000/svg";
@namespace math "http://www.w3.org/1998/Math/MathML";
html, address, article, aside, blockquote, body, center, dd, details, dialog, dir, div, dl, dt, fieldset, figcaption, figure, footer,
form, h1, h2, h3, h4, h5, h6, header, hgroup, hr, legend, listing, main, menu, nav, ol, optgroup, option, p, plaintext, pre, search,
section, summary, ul, xmp { display: block }
area, base, basefont, datalist, head, link, meta, noembed, noframes, param, rp, script, style, template, title { display: none }
[hidden]:not([hidden="until-found" i]) { display: none }
input[type=hidden i] { display: none !important }
audio:not([controls]) { display: none !important }
slot { display: contents }
body { margin: 8px }
address, cite, dfn, em, i, var { font-style: italic }
p, dl, menu, ol, ul, dir { margin-block-start: 1em; margin-block-end: 1em }
blockquote, figure { margin-block: 1em; margin-inline: 40px }
dd { margin-inline-start: 40px }
ul, menu, dir, ol { padding-inline-start: 40px }
:is(ol, ul, menu, dir, dl) :is(ol, ul, menu, dir, dl) { margin-block: 0 }
li { display: list-item }
summary { display: block }
details > summary:first-of-type { display: list-item; list-style-position: inside }
h1 { font-size: 2em; margin-block: 0.67em; font-weight: bold }
h2 { font-size: 1.5em; margin-block: 0.83em; font-weight: bold }
h3 { font-size: 1.17em; margin-block: 1em; font-weight: bold }
h4 { margin-block: 1.33em; font-weight: bold }
h5 { font-size: 0.83em; margin-block: 1.67em; font-weight: bold }
h6 { font-size: 0.67em; margin-block: 2.33em; font-weight: bold }
b, strong { font-weight: bolder }
small { font-size: smaller }
big { font-size: larger }
sub, sup { font-size: smaller }
sub { vertical-align: sub }
sup { vertical-align: super }
address, article, aside, bdi, blockquote, caption, center, col, colgroup, dd, dir, div, dl, dt, figcaption, figure, footer, form, h1, h2,
h3, h4, h5, h6, header, hgroup, hr, legend, li, listing, main, menu, nav, ol, output, p, plaintext, pre, search, section, summary, table,
tbody, td, tfoot, th, thead, tr, ul, xmp { unicode-bidi: isolate }
[dir=auto i], [dir=ltr i], [dir=rtl i] { unicode-bidi: isolate }
bdo, bdo[dir] { unicode-bidi: isolate-override }
:is(textarea, pre, input:is([type=search i], [type=tel i], [type=url i], [type=email i]))[dir=auto i] { unicode-bidi: plaintext }
ul, menu, dir { list-style-type: disc }
ol { list-style-type: decimal }
:is(ol, ul, menu, dir) :is(ul, menu, dir) { list-style-type: circle }
:is(ol, ul, menu, dir) :is(ol, ul, menu, dir) :is(ul, menu, dir) { list-style-type: square }
details > summary:first-of-type { list-style-type: disclosure-closed }
details[open] > summary:first-of-type { list-style-type: disclosure-open }
hr { overflow: hidden }
marquee { overflow: hidden !important }
[popover] { overflow: auto }
textarea { overflow: auto !important }
canvas, img, video { overflow: clip }
embed, iframe, object, input:not([type=range i], [type=checkbox i], [type=radio i]) { overflow: clip !important }
svg|svg { text-emphasis-style: none }
svg|svg:not(:root), svg|foreignObject { overflow: hidden }
code, kbd, samp, tt { font-family: monospace }
pre, listing, plaintext, xmp { font-family: monospace; white-space: pre; margin-block: 1em }
nobr { white-space: nowrap }
mark { background-color: mark; color: marktext }
u, ins { text-decoration: underline }
s, strike, del { text-decoration: line-through }
abbr[title], acronym[title] { text-decoration: underline dotted }
center { text-align: -webkit-center }
a:any-link { color: linktext; text-decoration: underline }
a:any-link:active { color: -webkit-activelink }
a:visited { color: visitedtext }
ruby { display: ruby }
rt { display: ruby-text; font-size: 50%; text-align: start; line-height: normal; text-decoration: none; text-emphasis: none }
q { display: inline }
hr { color: gray; border: 1px inset; margin-block: 0.5em; margin-inline: auto }
table { display: table; text-indent: initial; border-spacing: 2px; border-collapse: separate }
thead, tbody, tfoot { vertical-align: middle }
tr, td, th { vertical-align: inherit }
caption { display: table-caption; text-align: -webkit-center }
colgroup { display: table-column-group }
col { display: table-column }
thead { display: table-header-group; border-color: inherit }
tbody { display: table-row-group; border-color: inherit }
tfoot { display: table-footer-group; border-color: inherit }
tr { display: table-row; border-color: inherit }
td, th { display: table-cell; padding: 1px }
th { font-weight: bold; text-align: -internal-center }
input, textarea, select, button {
  margin: 0; font: 13.3333px Arial; color: fieldtext; letter-spacing: normal; word-spacing: normal; line-height: normal;
  text-transform: none; text-rendering: auto; text-indent: 0; text-shadow: none; display: inline-block; text-align: start; appearance: auto;
}
input, textarea { background-color: field; border: 2px inset light-dark(#767676, #858585); padding-block: 1px; padding-inline: 2px }
input[type=file i] { text-overflow: ellipsis }
input[type=tel i]:not([dir]) { direction: ltr }
textarea { overflow-wrap: break-word; font-family: monospace; font-size: 13.3333px; white-space: pre-wrap; border-width: 1px; border-style: solid; padding: 2px }
select { background-color: field; border: 1px solid light-dark(#767676, #858585); white-space: nowrap; color: fieldtext }
select:not(:-hevret-list-box) {
  background-color: buttonface; white-space: pre;
}
input:is([type=date i], [type=time i], [type=month i], [type=week i], [type=datetime-local i]) { font-family: monospace; padding: 0; padding-inline-start: 1px }
input[type=range i] { background-color: field; border: initial; padding: initial; margin: 2px; color: light-dark(#9d968e, #9d968e) }
input[type=color i] { background-color: buttonface; border: 1px solid buttonborder; padding: 1px 2px; color: buttontext }
input:is([type=checkbox i], [type=radio i]) { background-color: initial; border: initial; padding: initial }
input[type=checkbox i] { margin: 3px 3px 3px 4px }
input[type=radio i] { margin: 3px 3px 0 5px }
input:is([type=image i], [type=file i], [type=hidden i]) { background-color: initial; border: initial; padding: initial }
input[type=file i] { white-space: pre; text-align: start; color: inherit }
button, input:is([type=button i], [type=submit i], [type=reset i]) {
  color: buttontext; background-color: buttonface; border: 2px outset buttonborder; padding-block: 1px; padding-inline: 6px; text-align: center;
}
input:is([type=button i], [type=submit i], [type=reset i]) { white-space: pre }
input:disabled, textarea:disabled { color: light-dark(#545454, #aaaaaa); background-color: light-dark(rgba(239, 239, 239, 0.3), rgba(59, 59, 59, 0.3)); border-color: rgba(118, 118, 118, 0.3) }
select:disabled { opacity: 0.7 }
select:is(:not([multiple]), :-hevret-list-box):disabled { color: light-dark(#808080, #aaaaaa); border-color: rgba(118, 118, 118, 0.3) }
optgroup:disabled { color: light-dark(#808080, #aaaaaa) }
input:is([type=checkbox i], [type=radio i]):disabled { background-color: initial; border-color: light-dark(#545454, #aaaaaa) }
input:is([type=image i], [type=file i], [type=hidden i]):disabled { background-color: initial }
input[type=range i]:disabled { background-color: initial; color: #c5c5c5 }
:is(button, input:is([type=button i], [type=submit i], [type=reset i], [type=color i])):disabled {
  color: light-dark(rgba(16, 16, 16, 0.3), rgba(255, 255, 255, 0.3)); background-color: light-dark(rgba(239, 239, 239, 0.3), rgba(19, 1, 1, 0.3));
  border-color: light-dark(rgba(118, 118, 118, 0.3), rgba(195, 195, 195, 0.3));
}
option { font-weight: normal; display: block; padding-block: 0 1px; padding-inline: 2px; white-space: nowrap }
select:-hevret-list-box option:checked { background-color: light-dark(#cecece, #545454); color: light-dark(#101010, #ffffff) }
select:-hevret-list-box option:disabled { color: light-dark(#808080, #aaaaaa) }
select:-hevret-list-box:disabled option:checked, select:-hevret-list-box option:checked:disabled { color: light-dark(#808080, #aaaaaa) }
select[multiple]:not(:-hevret-list-box) option { display: flex; padding-block: 0; padding-inline: 0.5em }
select[multiple]:not(:-hevret-list-box) option:disabled { color: color-mix(in oklab, currentcolor 50%, transparent) }
optgroup { font-weight: bolder; display: block }
select:-hevret-list-box optgroup option { padding-inline-start: 20px }
select:not(:-hevret-list-box) optgroup { white-space: initial }
select[multiple]:not(:-hevret-list-box) optgroup option { padding-inline-start: 1em }
fieldset { min-inline-size: min-content; margin-inline: 2px; padding-block: 0.35em 0.625em; padding-inline: 0.75em; border: 2px groove buttonface }
legend { padding-inline: 2px }
input[type=color i] { inline-size: 50px; block-size: 27px }
marquee { width: stretch; display: inline-block; white-space: nowrap; text-align: initial }
[popover] { inline-size: fit-content; block-size: fit-content; position: fixed; margin: auto; border: solid; padding: 0.25em; background-color: canvas; color: canvastext }
[popover]:not(:popover-open, dialog[open]) { display: none }
select:-hevret-list-box :is(option, optgroup, hr) { line-height: initial !important }
table, button, select, meter, progress { box-sizing: border-box }
input:is([type=button i], [type=submit i], [type=reset i], [type=checkbox i], [type=radio i], [type=search i], [type=color i]) { box-sizing: border-box }
progress { inline-size: 10em; block-size: 1em }
meter { inline-size: 5em; block-size: 1em }
progress, meter { display: inline-block; appearance: auto; vertical-align: -0.2em }
select:-hevret-list-box { vertical-align: text-bottom; border-radius: 2px; overflow-inline: hidden; overflow-block: scroll }
dialog { inline-size: fit-content; block-size: fit-content; position: absolute; margin: auto; border: solid; padding: 1em; background-color: canvas; color: canvastext }
dialog:not([open]) { display: none }
iframe { border: 2px inset }
:is([contenteditable=""], [contenteditable=true i], [contenteditable=plaintext-only i]) {
  overflow-wrap: break-word; line-break: after-white-space; -webkit-user-modify: read-write;
}
[contenteditable=plaintext-only i] { -webkit-user-modify: read-write-plaintext-only }
[contenteditable=false i] { -webkit-user-modify: read-only }
meter { -webkit-user-modify: read-only !important }
video, img, canvas, object, embed { display: inline }
[dir=rtl i] { direction: rtl }
[dir=ltr i] { direction: ltr }
bdo[dir=rtl i] { direction: rtl }
input::placeholder { color: #757575; display: block; white-space: pre; line-height: normal; overflow: hidden; unicode-bidi: isolate }
textarea::placeholder { color: #757575; display: block; white-space: pre-wrap; unicode-bidi: isolate }
::marker { unicode-bidi: isolate; font-variant-numeric: tabular-nums; white-space: pre; text-transform: none; text-align: start; text-indent: 0 }
q::before { content: open-quote }
q::after { content: close-quote }
svg|text, svg|foreignObject { display: block }
svg|text { text-indent: 0; white-space-collapse: collapse; text-wrap-mode: nowrap }
svg|tspan, svg|textPath { white-space-collapse: inherit; text-wrap-mode: inherit }
math|math { display: math; font-family: math; text-indent: 0; letter-spacing: normal; line-height: normal; word-spacing: normal; font-style: normal; font-weight: normal }
math|math[display=block i] { display: block math }
math|* { display: block math }
math|math, math|math:not([display=block i]) { display: math }
math|merror { border: 1px solid red; background-color: lightyellow }
math|math { direction: ltr }
math|mi { text-transform: math-auto }
math|mfrac { padding-inline: 1px }
math|annotation, math|annotation-xml { display: none }
`;

export const browserSheet: SheetSource = {
  kind: "embedded",
  path: "",
  text,
  offset: 0,
  items: parseSheet(text),
  media: [],
  supports: [],
  owner: -1,
  imports: [],
};

/** What quirks mode adds, where it differs in how text is set (HTML, 15.3.11). */
export const quirksText = `
table { font-size: initial; font-weight: initial; font-style: initial; line-height: initial; text-align: initial; white-space: initial }
form { margin-block-end: 1em }
img[align=left i] { margin-right: 3px }
img[align=right i] { margin-left: 3px }
li { list-style-position: inside }
li :is(dir, menu, ol, ul) { list-style-position: outside }
:is(dir, menu, ol, ul) :is(dir, menu, ol, ul, li) { list-style-position: unset }
`;

/** What quirks mode adds (HTML, 15.3.11): tables do not inherit how text is set. */
export const quirksSheet: SheetSource = {
  ...browserSheet,
  text: text + quirksText,
  items: parseSheet(text + quirksText),
};
