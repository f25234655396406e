/** Texts: their slips, styles, grounds and room. All of it is plain data. */
import type {
  Conditions,
  ElementRef,
  InkThere,
  LinkLooks,
  MarginSide,
  MeetingMargins,
  Palette,
  RhythmStep,
  Setting,
  Slip,
  StandsOn,
  StyleRow,
  TargetOption,
  Veils,
} from "@/core";

export interface TextsAnswers {
  /** How a longhand comes out in places, and what its units refer to. */
  setting(
    picked: ElementRef,
    places: readonly ElementRef[],
    property: string,
    conditions: Conditions,
  ): Promise<Setting | null>;
  /** The grounds that the picked text's ink stands on, in these places. */
  grounds(picked: ElementRef, places: readonly ElementRef[], conditions: Conditions): Promise<StandsOn[]>;
  /** The inks that stand on the picked text's ground; on one of its own, which it may not have yet, it is alone. */
  inks(picked: ElementRef, ground: "own" | "given", conditions: Conditions): Promise<InkThere[]>;
  /** The weakest veils with which all texts on the picked text's ground can be read: black, white, and one of a colour, if one is named. */
  veils(picked: ElementRef, color: string | null, conditions: Conditions): Promise<Veils>;
  /** The margins that meet with one of the picked text; null where none does, or that is not known. */
  margins(picked: ElementRef, side: MarginSide, conditions: Conditions): Promise<MeetingMargins | null>;
  palette(conditions: Conditions): Promise<Palette>;
  styleTable(conditions: Conditions): Promise<StyleRow[]>;
  /** The steps of the site's margins and paddings; null where they were asked for again meanwhile. */
  rhythm(conditions: Conditions): Promise<RhythmStep[] | null>;
  linkLooks(ref: ElementRef, conditions: Conditions): Promise<LinkLooks | null>;
  /** At once: what each way to write reaches is told of the text's own page. */
  slip(ref: ElementRef, conditions: Conditions): Promise<Slip | null>;
  /** Where the text of a slip can be written to, counted over the site; null where another slip was asked for. */
  targets(ref: ElementRef, conditions: Conditions): Promise<TargetOption[] | null>;
}
