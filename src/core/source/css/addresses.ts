/** Addresses in sheets (CSS Values 4, 4.5; CSS Images 4, 2.4): where each stands, and as it is from another file. */
import { addressFrom, resolveAddress } from "../path";
import { closerOf, T, tokensOf } from "./tokens";

/** An address as it is written, without its quotation marks. Offsets of the text. */
export interface WrittenAddress {
  start: number;
  end: number;
  address: string;
}

/** Functions whose strings are addresses. */
const taking = /^(?:url|src|(?:-webkit-)?image-set)\($/i;

/** The addresses in a sheet's text, or in a value: of `url()`, of sets of images, and of imports. */
export function addressesIn(text: string): WrittenAddress[] {
  const { types, starts, count } = tokensOf(text);
  const found: WrittenAddress[] = [];
  const open: { closer: number; takes: boolean }[] = [];
  let isImport = false;
  for (let at = 0; at < count; at += 1) {
    const type = types[at]!;
    const [start, end] = [starts[at]!, starts[at + 1]!];
    const raw = text.slice(start, end);
    if (type === T.WhiteSpace || type === T.Comment) continue;
    if (type === T.Url) {
      const inside = /^url\(\s*([^]*?)\s*\)?$/i.exec(raw)![1]!;
      const from = start + raw.indexOf(inside, 4);
      found.push({ start: from, end: from + inside.length, address: inside });
    } else if (type === T.String && (isImport || open.at(-1)?.takes)) {
      const close = raw.length > 1 && raw.endsWith(raw[0]!) ? 1 : 0;
      found.push({ start: start + 1, end: end - close, address: raw.slice(1, raw.length - close) });
    }
    isImport = type === T.AtKeyword && raw.toLowerCase() === "@import";
    if (closerOf(type)) open.push({ closer: closerOf(type), takes: type === T.Function && taking.test(raw) });
    else if (type === open.at(-1)?.closer) open.pop();
  }
  // What is escaped is not read here, and stays as it is.
  return found.filter(({ address }) => address !== "" && !address.includes("\\"));
}

/**
 * A sheet's text, or a value, with its relative addresses as they are from another file; what stands from the root of the
 * site, elsewhere or in the address itself stays.
 * @param from the path it stands in, or a folder ending in "/" @param to the path it goes to
 */
export function readdressed(text: string, from: string, to: string): string {
  let moved = text;
  for (const { start, end, address } of addressesIn(text).toReversed()) {
    const target = /^[/#]/.test(address) ? null : resolveAddress(address, from);
    if (target?.kind !== "file") continue;
    const rest = /[?#].*$/s.exec(address)?.[0] ?? "";
    moved = moved.slice(0, start) + addressFrom(to, target.path) + rest + moved.slice(end);
  }
  return moved;
}
