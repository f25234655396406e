/** What can be drafted: a scheme for readers who wish for it. */
import type { Conditions } from "../cascade/conditions";
import { hasSchemes } from "../cascade/schemes";
import { parseColor } from "../color";
import { pagesOf, sheetsOf, type Site } from "../source/site";
import { darkCounterparts, type Counterpart } from "./counterparts";
import type { DraftKindName, Tone, TonedText } from "./types";

export interface DraftKind {
  name: DraftKindName;
  /** The condition that it is written under. */
  media: string;
  /** Whether a site asks for such readers already. */
  isAsked(site: Site): boolean;
  /** As a reader has it who does not wish for it, and as one who does. */
  without: Partial<Conditions>;
  within: Partial<Conditions>;
  /** What the root is told besides; null for nothing. */
  scheme: "dark" | null;
  /** Whether all inks become lighter than what they stand on; else each stays on the side it is on. */
  inksGoLight: boolean;
  first(tones: readonly Tone[], texts: readonly TonedText[], lift: number): Map<string, Counterpart>;
  /** The ratio that a text is to have. */
  wanted(text: Pick<TonedText, "ratio" | "needs">): number;
}

const dark: DraftKind = {
  name: "dark",
  media: "(prefers-color-scheme: dark)",
  isAsked: hasSchemes,
  without: { scheme: "light" },
  within: { scheme: "dark" },
  scheme: "dark",
  inksGoLight: true,
  first: darkCounterparts,
  wanted: ({ ratio }) => ratio,
};

/** Every text reaches what the standard asks for at its highest level (WCAG 2.2, 1.4.6). */
const contrast: DraftKind = {
  name: "contrast",
  media: "(prefers-contrast: more)",
  isAsked: (site) => [...sheetsOf(site), ...pagesOf(site)].some(({ text }) => /prefers-contrast/i.test(text)),
  without: { contrast: "no-preference" },
  within: { contrast: "more" },
  scheme: null,
  inksGoLight: false,
  first: (tones) =>
    new Map(
      tones.map((tone) => {
        const from = parseColor(tone.css)!;
        return [tone.id, { tone, from, color: from, isFree: tone.part !== "shadow" }];
      }),
    ),
  wanted: ({ ratio, needs }) => Math.max(ratio, needs === 3 ? 4.5 : 7),
};

export const draftKinds: Readonly<Record<DraftKindName, DraftKind>> = { dark, contrast };

export const draftKindNames = Object.keys(draftKinds) as readonly DraftKindName[];
