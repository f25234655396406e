/** A further scheme for a site: each of its colours with a counterpart. Plain data. */
import type { Color } from "../color/types";
import type { ElementRef } from "../text/refs";
import type { ColorSpot } from "../palette/values";

/** What a colour is there for. Lines and what is drawn count as ink. */
export type Part = "ink" | "ground" | "edge" | "shadow";

/** A reference to a custom property, where its name stands: offsets of the file. */
export interface NameSpot {
  path: string;
  start: number;
  end: number;
}

/** A colour in one part: all of it gets the same counterpart, under one name. */
export interface Tone {
  id: string;
  part: Part;
  /** As it is written where it is met first. */
  value: string;
  /** The same as `rgb()`. */
  css: string;
  /** The custom property of the root that holds it and nothing else; null where it has no name yet. */
  name: string | null;
  /** Where that is defined, of those that have a name. */
  definition: ColorSpot | null;
  /** Where the colour is written and is to be named. */
  spots: ColorSpot[];
  /** References to a name that holds a ground, too: they are to refer to a name of their own. */
  references: NameSpot[];
  /** A rule of its own, where it is the browser that gives the colour. */
  rule: { selector: string; property: string } | null;
  /** "ink of h1, .lead" */
  words: string;
}

/** Texts with the same that makes their contrast. */
export interface TonedText {
  /** The first of them is looked at for all. */
  places: ElementRef[];
  /** Unrounded, as the site is. */
  ratio: number;
  needs: number;
  passes: boolean;
  /** What it stands on, the worst of it, and its ink as it comes out there. */
  ground: Color;
  ink: Color;
  /** Of its ink, and of all that lies under it up to what is opaque. */
  inkTones: readonly string[];
  groundTones: readonly string[];
  /** Whether a picture lies under it. */
  onPicture: boolean;
}

/** A colour with its counterpart. */
export interface DraftTone extends Tone {
  /** As it would be written. */
  counterpart: string;
  counterpartCss: string;
  /** Whether it stays as it is. */
  stays: boolean;
  /** Whether somebody chose it. */
  chosen: boolean;
  /** The least ratio of texts with it, in this scheme and in the draft; null where no text has it. */
  least: { ratio: number; now: number } | null;
  texts: number;
}

/** Texts with one ink on one ground, as they are and as drafted. */
export interface DraftPair {
  ink: string;
  ground: string;
  ratio: number;
  draftInk: string;
  draftGround: string;
  draftRatio: number;
  needs: number;
  /** Whether it has the ratio that is wanted: in the dark, at least that which it has; with more contrast, 7 or 4.5. */
  keeps: boolean;
  /** Whether it is enough (WCAG 2.2, 1.4.3); `passed`: whether it was. */
  passes: boolean;
  passed: boolean;
  /** "" as the page stands; "in the state hover". */
  under: string;
  places: ElementRef[];
}

export interface Draft {
  kind: DraftKindName;
  tones: DraftTone[];
  /** Those that keep least first. */
  pairs: DraftPair[];
}

export type DraftKindName = "dark" | "contrast";

/** What is asked of a draft. */
export interface DraftAsked {
  kind: DraftKindName;
  /** How light grounds become, 0 for as dark as can be to 1 for as light as the ratios allow. */
  lift: number;
  /** Counterparts that somebody chose, by the id of their tone. */
  chosen: Readonly<Record<string, string>>;
}
