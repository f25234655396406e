/** Elements of HTML (HTML, Elements index), those of old included. */
import { table } from "../../source/table";
import { nearestWords } from "./near";

const elements = new Set(
  `a abbr acronym address applet area article aside audio b base basefont bdi bdo bgsound big blink blockquote body br
   button canvas caption center cite code col colgroup data datalist dd del details dfn dialog dir div dl dt em embed
   fencedframe fieldset figcaption figure font footer form frame frameset h1 h2 h3 h4 h5 h6 head header hgroup hr html i
   iframe img input ins isindex kbd keygen label legend li link listing main map mark marquee math menu menuitem meta meter
   multicol nav nextid nobr noembed noframes noscript object ol optgroup option output p param picture plaintext portal pre
   progress q rb rp rt rtc ruby s samp script search section select selectedcontent slot small source spacer span strike
   strong style sub summary sup svg table tbody td template textarea tfoot th thead time title tr track tt u ul var video
   wbr xmp image`.split(/\s+/),
);

const calledOtherwise: Readonly<Record<string, string>> = table({
  paragraph: "p",
  para: "p",
  par: "p",
  heading: "h2",
  heading1: "h1",
  headline: "h2",
  h7: "h6",
  h0: "h1",
  centre: "center",
  bold: "b",
  italic: "i",
  italics: "i",
  underline: "u",
  css: "style",
  styles: "style",
  stylesheet: "style",
  list: "ul",
  item: "li",
  image: "img",
  link: "a",
  quote: "blockquote",
  break: "br",
  line: "hr",
  row: "tr",
  cell: "td",
  box: "div",
  text: "p",
});

const otherNames = Object.keys(calledOtherwise);

/** Whether browsers know an element, or it is one of the page's own making. */
export const isElement = (tag: string) => elements.has(tag) || tag.includes("-") || tag.includes(":");

/** The element that an unknown one stands for; null where none is near. */
export function meantElement(tag: string): string | null {
  const level = /^h(?:ead(?:er|ing|line)?)?-?([1-6l])$/.exec(tag)?.[1];
  if (level) return `h${level.replace("l", "1")}`;
  const near = nearestWords(tag, elements, tag.length > 4 ? 2 : 1).find((one) => one.length > 1 || tag.length < 3);
  const named = near === undefined && tag.length > 4 ? nearestWords(tag, otherNames, 1)[0] : undefined;
  return calledOtherwise[tag] ?? near ?? (named ? calledOtherwise[named]! : null);
}
