/**
 * The sheets of a page in its frame. What is typed changes a rule or two: only these are exchanged (CSSOM, 6.4), since a
 * browser that reads a large sheet anew styles all of the page anew.
 */
import type { RuleExchange } from "@/core";
import type { ShownSheet } from "@/engine/protocol";

interface Shown {
  text: string;
  edition: string;
  /** The edition it comes from, and how to go back to it. */
  from: { edition: string; back: Exchanged } | null;
}

/** Rules that came in the place of others. */
interface Exchanged {
  list: RuleList;
  at: number;
  count: number;
  gone: readonly string[];
}

type RuleList = Pick<CSSStyleSheet, "cssRules" | "insertRule" | "deleteRule">;

export class ShownSheets {
  private readonly shown = new Map<Element, Shown>();
  private readonly counts = new RuleCounts();

  /** Gives a `style` element the text of a sheet. */
  put(node: HTMLStyleElement, { text, edition, since }: ShownSheet): void {
    const shown = this.shown.get(node);
    if (shown?.edition === edition) return;
    let from: Shown["from"] = null;
    if (shown?.from?.edition === edition) this.exchange(shown.from.back);
    else {
      if (shown?.from && shown.from.edition === since?.edition) {
        this.exchange(shown.from.back);
        shown.edition = shown.from.edition;
      }
      const place = since && shown?.edition === since.edition && node.sheet && this.placeOf(node.sheet, since.exchange);
      if (place) from = { edition: since.edition, back: this.exchange(place, since.exchange.in) };
      else node.textContent = text;
    }
    this.shown.set(node, { text, edition, from });
  }

  /** The text of a `style` element as it was given; its own content may be of an earlier edition. */
  textOf(node: Element): string {
    return this.shown.get(node)?.text ?? node.textContent;
  }

  /** The rules to take out; null where the browser's rules are others than ours. */
  private placeOf(sheet: CSSStyleSheet, { ahead, out }: RuleExchange): Exchanged | null {
    let list: RuleList = sheet;
    let at = 0;
    for (const [depth, before] of ahead.entries()) {
      if (depth > 0) {
        const group = list.cssRules[at];
        if (!group || !("insertRule" in group)) return null;
        list = group as CSSGroupingRule;
      }
      at = this.counts.of(before);
    }
    const count = out.reduce((sum, text) => sum + this.counts.of(text), 0);
    return at + count <= list.cssRules.length ? { list, at, count, gone: out } : null;
  }

  /** @returns how to undo it */
  private exchange({ list, at, count, gone }: Exchanged, texts: readonly string[] = gone): Exchanged {
    for (let left = count; left > 0; left -= 1) list.deleteRule(at);
    const rules = texts.filter((text) => this.counts.of(text) > 0);
    rules.forEach((text, index) => list.insertRule(text, at + index));
    return { list, at, count: rules.length, gone };
  }
}

/** How many rules a browser reads from texts. */
class RuleCounts {
  private readonly known = new Map<string, number>();

  of(text: string): number {
    let count = this.known.get(text);
    if (count === undefined) {
      const sheet = new CSSStyleSheet();
      sheet.replaceSync(text);
      count = sheet.cssRules.length;
      if (this.known.size >= 50) this.known.clear();
      this.known.set(text, count);
    }
    return count;
  }
}
