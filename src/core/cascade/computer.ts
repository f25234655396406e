/** Computing styles: the cascade of each element's declarations, and every longhand from what won (CSS Cascade 5, 4 to 7). */
import type { Declaration } from "../source/css/syntax";
import { componentsOf } from "../source/css/components";
import { made } from "../source/memo";
import type { ElementNode, HtmlDocument } from "../source/html/document";
import { adjustStyle, isAdjustedByAttributes } from "./adjust";
import { Ancestors } from "./ancestors";
import {
  blockOf,
  blocksFor,
  compareMatches,
  inOrder,
  matchedBlock,
  matchedPseudoBlock,
  type Block,
  type CustomWinner,
  type Winner,
} from "./blocks";
import { measuresKey, type Conditions } from "./conditions";
import { matchesContainer, type ContainerAncestor } from "./containers";
import { black, Context } from "./context";
import { readPending, type Given } from "./declarations";
import { isAskedFor, matchRules, ruleMatching, type Match, type PageRules, type RuleMatching } from "./pageRules";
import { longhandIndex, longhands, physicalName } from "./properties";
import { fitMonospace, isMonospaceAlone, type FamilyName, type FontSize } from "./properties/font";
import { computeRegistered, isAny, type LazyContext } from "./registered";
import type { KnownSyntax } from "./styleQuery";
import type { RuleChanges } from "./ruleChanges";
import type { RuleIndex } from "./ruleSet";
import type { MatchContext } from "./selectors/match";
import { fontKey, fontMeasure, type FontSetting } from "./fonts/fontUnits";
import type { FontMeasure } from "./fonts/metrics";
import type { FontFace } from "./fonts/pageFonts";
import { matchesMedia } from "./media";
import { isEqual, rootOf, valueOf, type ContainerBasis, type SharedStyle, type Style } from "./style";
import { bankOf, type StyleBank } from "./styleBank";
import { substitute, type Sources } from "./substitution";
import { matchesSupports } from "./supports";
import { resolveVariables, type CustomProperties } from "./variables";
import { cascadeOf, rolledBack, winnersIn } from "./winners";

const initials = longhands.map(({ parse, initial }) => parse(componentsOf(initial)));
const colorAt = longhandIndex.get("color")!;
const sizeAt = longhandIndex.get("font-size")!;
const familyAt = longhandIndex.get("font-family")!;
const schemeAt = longhandIndex.get("color-scheme")!;
/** Browsers show nothing larger than so many times its size. */
const largestZoom = 1e6;
const zoomAt = longhandIndex.get("zoom")!;
const displayAt = longhandIndex.get("display")!;
const directionAt = longhandIndex.get("direction")!;
const writingAt = longhandIndex.get("writing-mode")!;

const fontFirst = ["writing-mode", "font-family", "font-size", "font-weight", "font-style", "line-height"].map((name) =>
  longhandIndex.get(name)!,
);
const containerTypeAt = longhandIndex.get("container-type")!;
const windowBasis: ContainerBasis = { width: null, height: null };

/** What lengths that refer to the root go by. */
const rootLonghands = [
  "font-size",
  "font-family",
  "font-weight",
  "font-style",
  "font-stretch",
  "line-height",
  "zoom",
].map((name) => longhandIndex.get(name)!);

/** By version of the rules, by page, by pseudo-element, by index of the element; most have none. */
const pseudoMatches = new WeakMap<object, WeakMap<HtmlDocument, Map<string, (readonly Match[] | undefined)[]>>>();
const noMatches: readonly Match[] = [];

const metaSchemes = new WeakMap<HtmlDocument, { scheme: string | null }>();

/** The schemes that a page's `meta` says it has (CSS Color Adjust 1, 2.2.1); null where none does. */
function metaSchemeOf(document: HtmlDocument): string | null {
  return made(metaSchemes, document, () => {
    const meta = document.elements.find(
      (element) => element.tag === "meta" && element.attributes.get("name")?.toLowerCase() === "color-scheme",
    );
    return { scheme: meta?.attributes.get("content")?.toLowerCase() ?? null };
  }).scheme;
}

export class Computer {
  private readonly results: Style[] = [];
  private rootStyle: SharedStyle | null = null;
  private readonly metaScheme: string | null;
  private readonly bank: StyleBank;
  private readonly measured: Map<string, SharedStyle>;
  /** Styles that come from something of this page alone, by what they come from. */
  private readonly own = new Map<string, SharedStyle>();
  private readonly matching: RuleMatching;

  constructor(
    private readonly rules: PageRules,
    private readonly conditions: Conditions,
    private readonly document: HtmlDocument,
    context: MatchContext,
    private readonly faces: readonly FontFace[],
  ) {
    this.matching = ruleMatching(context, rules, document);
    this.metaScheme = metaSchemeOf(document);
    this.bank = bankOf(rules.set, faces, this.metaScheme);
    this.measured = this.bank.measuredWith(measuresKey(conditions));
  }

  all(): readonly Style[] {
    const ancestors = new Ancestors();
    for (const element of this.document.elements) {
      ancestors.enter(element);
      const parent = element.parent ? this.results[element.parent.index]! : null;
      const blocks = this.blocksFor(element, parent, ancestors);
      const style: Style = {
        element,
        pseudo: null,
        parent,
        blocks,
        shared: this.sharedStyle(element, parent?.shared ?? null, blocks),
      };
      this.rootStyle ??= style.shared;
      this.results.push(style);
      ancestors.leave(element);
    }
    return this.results;
  }

  private blocksFor(element: ElementNode, parent: Style | null, ancestors: Ancestors | null): readonly Block[] {
    return this.bank.blocksLike(blocksFor(element, this.rules.set, this.matching, ancestors, this.containedIn(parent)));
  }

  /** Whether a container's condition holds for what is in an element. */
  private containedIn(parent: Style | null): (text: string) => boolean {
    return (text) => matchesContainer(text, this.containersAbove(parent), this.document.path, this.conditions);
  }

  /**
   * The styles of another version made over: only what the changed rules reach is computed, and what goes by fonts
   * that measure otherwise. The very same list where that is nothing; null where all has to be computed.
   */
  over(before: readonly Style[], changes: RuleChanges, sameFonts: boolean): readonly Style[] | null {
    let stays = !changes.pseudo && sameFonts;
    for (const old of before) {
      const parent = old.parent ? this.results[old.parent.element.index]! : null;
      const blocks = this.blocksOver(old, parent, changes);
      if (blocks === old.blocks && parent === old.parent && (sameFonts || !old.shared.asksFonts)) {
        this.rootStyle ??= old.shared;
        this.results.push(old);
        continue;
      }
      stays = false;
      const shared = this.sharedOver(old, parent, blocks);
      // All lengths in `rem` and its kin go by the root.
      if (!parent && !rootLonghands.every((at) => isEqual(shared.values[at], old.shared.values[at]))) return null;
      this.rootStyle ??= shared;
      this.results.push({ element: old.element, pseudo: null, parent, blocks, shared });
    }
    return stays ? before : this.results;
  }

  /** The blocks of another version made over; the very same where nothing is different. */
  private blocksOver({ element, blocks }: Style, parent: Style | null, changes: RuleChanges): readonly Block[] {
    const { changed, gone, added } = changes;
    const come = added ? matchRules(added, element, this.matching, null, this.containedIn(parent)) : noMatches;
    const isGone = ({ match }: Block) => match !== null && gone.has(match.rule.id);
    if (come.length || blocks.some(isGone)) {
      const stay = blocks.filter((block) => !isGone(block)).map((block) => this.ofNow(block));
      const { quirks } = this.matching.context;
      return this.bank.blocksLike([...stay, ...come.map((match) => matchedBlock(match, quirks))].sort(inOrder));
    }
    if (!blocks.some(({ match }) => match !== null && changed.has(match.rule.id))) return blocks;
    return blocks.map((block) => (block.match && changed.has(block.match.rule.id) ? this.ofNow(block) : block));
  }

  /** A block of another version as its rule is in this one. */
  private ofNow(block: Block): Block {
    const { match } = block;
    const rule = match && this.rules.set.byId.get(match.rule.id)!;
    return rule && rule !== match.rule ? matchedBlock({ ...match, rule }, this.matching.context.quirks) : block;
  }

  /** The values of another version made over. */
  private sharedOver(
    { element, parent: above, blocks: before, shared: old }: Style,
    parent: Style | null,
    blocks: readonly Block[],
  ): SharedStyle {
    const make = () => this.sharedStyle(element, parent?.shared ?? null, blocks);
    if (blocks !== before || !parent || old.asksFonts) return make();
    if (parent.shared === above!.shared || this.alike(parent.shared, above!.shared)) return old;
    return old.isCommon && parent.shared.isCommon ? this.bank.under.of(parent.shared, old, make) : make();
  }

  /** Whether what is inside comes out the same under either. */
  private alike(now: SharedStyle, before: SharedStyle): boolean {
    return this.bank.alike.of(
      now,
      before,
      () =>
        // Without a box of its own, what is inside looks further up.
        now.values[displayAt] !== "contents" &&
        now.inside === before.inside &&
        sameCustom(now.custom, before.custom) &&
        now.values.every((value, at) => isEqual(value, before.values[at])),
    );
  }

  /** The style of a box that rules generate before or after what is in an element; null where none says with what. */
  generated(name: "before" | "after", origin: Style): Style | null {
    const index = this.rules.set.contentIndex.get(name);
    return index && this.pseudoMatches(`content of ${name}`, index, origin).length > 0
      ? this.pseudo(name, origin, origin)
      : null;
  }

  /** The style of a pseudo-element, or null when no rule is for it. */
  pseudo(name: string, origin: Style, parent: Style): Style | null {
    const index = this.rules.set.pseudoIndex.get(name);
    if (!index) return null;
    const found = this.pseudoMatches(name, index, origin);
    if (found.length === 0) return null;
    const { quirks } = this.matching.context;
    const blocks = this.bank.blocksLike(found.map((match) => matchedPseudoBlock(match, quirks, name)));
    this.rootStyle ??= rootOf(origin).shared;
    return {
      element: origin.element,
      pseudo: name,
      parent,
      blocks,
      shared: this.sharedStyle({ ...origin.element, tag: `::${name}` }, parent.shared, blocks),
    };
  }

  /** The rules for a pseudo-element of an element, weakest first; kept as long as they say the same. */
  private pseudoMatches(name: string, index: RuleIndex, origin: Style): readonly Match[] {
    const look = () => {
      const found = matchRules(index, origin.element, this.matching, null, this.containedIn(origin));
      found.sort(compareMatches);
      return found.length ? found : noMatches;
    };
    if (!isAskedFor(index, origin.element)) return noMatches;
    if (this.matching.context.forced || this.rules.set.hasContainers) return look();
    const byPage = made(pseudoMatches, this.rules.set.pseudoVersion, () => new WeakMap());
    const byName = made(byPage, this.document, () => new Map());
    return (made(byName, name, () => new Array(this.document.elements.length))[origin.element.index] ??= look());
  }

  /** A style as it would be with declarations in the element's style attribute. */
  attaching(style: Style, declarations: readonly Declaration[]): Style {
    const { element, pseudo, parent } = style;
    if (parent) this.rootStyle ??= rootOf(style).shared;
    const own = blockOf(declarations, this.matching.context.quirks);
    const blocks = [...style.blocks, { origin: "author", attached: true, match: null, ...own } as const];
    const named = pseudo === null ? element : { ...element, tag: `::${pseudo}` };
    return { ...style, blocks, shared: this.compute(named, parent?.shared ?? null, blocks) };
  }

  private sharedStyle(element: ElementNode, parent: SharedStyle | null, blocks: readonly Block[]): SharedStyle {
    if (isAdjustedByAttributes(element)) return this.compute(element, parent, blocks);
    const common = parent === null || parent.isCommon;
    const [known, measured] = common ? [this.bank.styles, this.measured] : [this.own, this.own];
    const key = `${parent ? this.bank.numbers.of(parent) : ""} ${element.namespace} ${element.tag} ${this.bank.numberOfBlocks(blocks)}`;
    let style = known.get(key) ?? measured.get(key);
    if (!style) {
      style = this.compute(element, parent, blocks);
      // What is inside a container goes by the size of that very one.
      if (style.values[containerTypeAt] === "normal" && !this.isParticular) {
        style.isCommon = common;
        (style.asksFonts ? measured : known).set(key, style);
      }
    }
    return style;
  }

  private element: ElementNode | null = null;
  /** Whether the style that is computed goes by more of its element than the declarations that apply to it. */
  private isParticular = false;
  /** Whether the style that is computed goes by how a font measures. */
  private askedFonts = false;

  /** What values may ask of the element whose style is computed. */
  private readonly sources: Omit<Sources, "variable" | "syntax"> = {
    attribute: (name) => {
      this.isParticular = true;
      const { attributes, namespace } = this.element!;
      return attributes.get(namespace === "html" ? name.toLowerCase() : name) ?? null;
    },
    media: (text) => matchesMedia(text, this.conditions),
    supports: matchesSupports,
    siblings: () => {
      this.isParticular = true;
      const { parent, index } = this.element!;
      const all = parent?.children ?? [];
      return { index: all.findIndex((one) => one.index === index) + 1 || 1, count: all.length || 1 };
    },
  };

  private compute(element: ElementNode, parent: SharedStyle | null, list: readonly Block[]): SharedStyle {
    this.element = element;
    this.isParticular = false;
    this.askedFonts = false;
    const { winners, custom } = this.cascade(list, parent);
    const style = this.blank(parent, custom, winners);
    const context = style.context as Context;
    style.values[directionAt] = this.longhand(directionAt, style, context);
    style.values[writingAt] = this.longhand(writingAt, style, context);
    style.values[schemeAt] = this.longhand(schemeAt, style, context);
    style.scheme = this.usedScheme(style.values[schemeAt] as string);
    style.values[zoomAt] = this.longhand(zoomAt, style, context);
    style.zoom = Math.min(largestZoom, style.zoom * (style.values[zoomAt] as number));
    for (let index = 0; index < longhands.length; index += 1) {
      if (style.values[index] === undefined)
        style.values[index] = this.bank.valueLike(index, this.longhand(index, style, context));
    }
    adjustStyle({
      element,
      get: (name) => style.values[longhandIndex.get(name)!],
      set: (name, value) => {
        style.values[longhandIndex.get(name)!] = value;
      },
      isAuthored: (names) =>
        names.some((name) => style.winners.has(name) && style.winners.get(name)!.block.origin !== "browser"),
    });
    style.inside = this.basisInside(element.index, style);
    style.asksFonts = this.askedFonts;
    return style;
  }

  private blank(
    parent: SharedStyle | null,
    custom: CustomProperties,
    winners: ReadonlyMap<string, Winner>,
  ): SharedStyle {
    const container = parent?.inside ?? windowBasis;
    const style: SharedStyle = {
      parent,
      values: new Array(longhands.length),
      custom,
      scheme: "light",
      zoom: parent?.zoom ?? 1,
      container,
      inside: container,
      winners,
      context: null!,
      texts: [],
      isCommon: false,
      asksFonts: false,
    };
    style.context = new Context(
      style,
      this.conditions,
      this.rootStyle,
      this.document.mode === "quirks",
      this.measureFont,
    );
    return style;
  }

  private readonly measures = new Map<string, FontMeasure>();

  private readonly measureFont = (setting: FontSetting): FontMeasure => {
    this.askedFonts = true;
    const key = fontKey(setting);
    let measure = this.measures.get(key);
    if (!measure) this.measures.set(key, (measure = fontMeasure(setting, this.faces, this.conditions)));
    return measure;
  };

  private basisInside(index: number, style: SharedStyle): ContainerBasis {
    const type = style.values[containerTypeAt];
    const size = type === "normal" ? undefined : this.conditions.containers[this.document.path]?.[index];
    if (!size) return style.container;
    if (type === "size") return size;
    return style.values[writingAt] === "horizontal-tb"
      ? { ...style.container, width: size.width }
      : { ...style.container, height: size.height };
  }

  private cascade(
    list: readonly Block[],
    parent: SharedStyle | null,
  ): { winners: ReadonlyMap<string, Winner>; custom: CustomProperties } {
    const { winners, own, usesLogical } = cascadeOf(list);
    const custom = this.variables(own, parent, winners);
    return { winners: usesLogical ? this.mapLogical(list, winners, parent, custom) : winners, custom };
  }

  private variables(
    own: ReadonlyMap<string, CustomWinner>,
    parent: SharedStyle | null,
    winners: ReadonlyMap<string, Winner>,
  ): CustomProperties {
    const { registered } = this.rules.set;
    const inherited = parent?.custom ?? null;
    const sources: Sources = { ...this.sources, variable: () => null, syntax: () => null };
    if (registered.size === 0) return resolveVariables(own, inherited, registered, sources);
    let context: Context | null = null;
    // Units of the element's own font: its size, from the properties as they are written.
    const lazily = () => {
      if (context) return context;
      const probe = this.blank(parent, resolveVariables(own, inherited, registered, sources), winners);
      context = probe.context as Context;
      for (const index of fontFirst) probe.values[index] = this.longhand(index, probe, context);
      context.computing = -1;
      return context;
    };
    const typed = { ...sources, syntax: (name: string) => this.syntaxOf(name, lazily) };
    return resolveVariables(own, inherited, registered, typed, (property, text) =>
      computeRegistered(property, text, lazily),
    );
  }

  private syntaxOf(name: string, context: LazyContext): KnownSyntax | null {
    const property = this.rules.set.registered.get(name);
    if (!property || isAny(property.syntax)) return null;
    const compute = (text: string) => computeRegistered(property, text, context);
    return { initial: compute(property.initial!), compute };
  }

  private *containersAbove(style: Style | null): Generator<ContainerAncestor> {
    for (let current = style; current; current = current.parent) {
      const { custom, context } = current.shared;
      yield {
        index: current.element.index,
        names: valueOf(current, "container-name"),
        type: valueOf(current, "container-type"),
        custom: (name) => custom.get(name) ?? null,
        syntax: (name) => this.syntaxOf(name, () => context),
      };
    }
  }

  /** Flow-relative longhands take the place of the physical ones they stand for, in the order of the cascade. */
  private mapLogical(
    list: readonly Block[],
    winners: ReadonlyMap<string, Winner>,
    parent: SharedStyle | null,
    custom: CustomProperties,
  ): ReadonlyMap<string, Winner> {
    const flow = (index: number): string => {
      const probe = this.blank(parent, custom, winners);
      return String(this.longhand(index, probe, probe.context as Context));
    };
    const direction = flow(directionAt);
    const writingMode = flow(writingAt);
    return winnersIn(list, (name) => physicalName(name, writingMode, direction)).winners;
  }

  private longhand(index: number, style: SharedStyle, context: Context): unknown {
    const { name, inherited } = longhands[index]!;
    const winner = style.winners.get(name) ?? null;
    const unset = inherited ? "inherit" : "initial";
    const specified = winner ? this.specified(winner, style, index) : unset;
    context.computing = index;
    const { parent } = style;
    if (specified === "inherit" && parent) {
      if (index === sizeAt) return inheritSize(style, this.conditions.rootSize, context.quirks);
      const value = parent.values[index];
      return longhands[index]!.inherit?.(value, context) ?? value;
    }
    // A root that is told to inherit its ink gets that of a light page, whatever its scheme.
    if (specified === "inherit" && winner && index === colorAt) return black;
    if (specified === "inherit" || specified === "initial") return longhands[index]!.compute(initials[index], context);
    return longhands[index]!.compute(specified.value, context);
  }

  private specified(winner: Winner, style: SharedStyle, index: number): { value: unknown } | "inherit" | "initial" {
    const { inherited } = longhands[index]!;
    const unset = inherited ? "inherit" : "initial";
    for (let current: Winner | null = winner; current;) {
      let given: Given = current.given;
      if (given.kind === "pending") {
        const read = this.readWith(style, current.name, given.shorthand, given.text);
        if (!read) return unset;
        given = read;
      }
      if (given.kind === "value") return given;
      const { keyword } = given as Given & { kind: "wide" };
      if (keyword === "inherit" || keyword === "initial") return keyword;
      if (keyword === "unset") return unset;
      current = rolledBack(current, keyword);
    }
    return unset;
  }

  /** What a pending text gives a longhand on an element; null where it comes to nothing valid. */
  private readWith(style: SharedStyle, name: string, shorthand: string | null, text: string): Given | null {
    const sources: Sources = {
      ...this.sources,
      variable: (one) => style.custom.get(one) ?? null,
      syntax: (one) => this.syntaxOf(one, () => style.context),
    };
    const replaced = substitute(text, sources);
    const read = replaced === null ? null : readPending(name, shorthand, replaced, this.matching.context.quirks);
    if (read?.kind !== "pending") return read;
    // A custom property counts the siblings of whoever uses it.
    const counted = substitute(replaced!, sources);
    return counted === null ? null : readPending(name, shorthand, counted, this.matching.context.quirks);
  }

  private usedScheme(value: string): "light" | "dark" {
    const words = value === "normal" ? (this.metaScheme ?? "light").split(/\s+/) : value.split(" ");
    const dark = words.includes("dark");
    const light = words.includes("light");
    return dark && (this.conditions.scheme === "dark" || !light) ? "dark" : "light";
  }
}

function sameCustom(a: CustomProperties, b: CustomProperties): boolean {
  return a === b || (a.size === b.size && [...a].every(([name, value]) => b.get(name) === value));
}

function inheritSize(style: SharedStyle, defaultSize: number, quirks: boolean): FontSize {
  const parent = style.parent!;
  const isMono = (one: SharedStyle) => isMonospaceAlone(one.values[familyAt] as FamilyName[]);
  return fitMonospace(parent.values[sizeAt] as FontSize, isMono(style), isMono(parent), defaultSize, quirks);
}
