/** What is known of the members of a stack: where each comes from, its weights, its shape and its metrics. */
import type { StyledPage } from "../cascade/styles";
import type { FamilyName } from "../cascade/properties/font";
import { genericFace, knownFace } from "../cascade/fonts/faces";
import type { FontAxis } from "../cascade/fonts/fontFile";
import type { FaceMetrics } from "../cascade/fonts/metrics";
import type { FontFace } from "../cascade/fonts/pageFonts";
import { memberOn, platformFace, platforms, type Platform } from "./platforms";
import { stackFaults, stackMembers, type StackFault } from "./stack";

export interface MemberInfo {
  name: string;
  generic: boolean;
  source: "site" | "system" | "generic" | "unknown";
  /** Systems it comes with. */
  platforms: readonly Platform[];
  /** The version of a system it first came with. */
  since: string | null;
  /** Real weights: single ones, and ranges of variable fonts. Empty where they are not known. */
  weights: readonly (readonly [from: number, to: number])[];
  /** Whether there is a real italic or oblique; null where it is not known. */
  italic: boolean | null;
  /** Whether there are real small capitals; null where it is not known. */
  smallCaps: boolean | null;
  axes: readonly FontAxis[];
  metrics: FaceMetrics | null;
  /** For a family of the site: what keeps it from being loaded. */
  problem: string | null;
}

export interface StackInfo {
  members: MemberInfo[];
  faults: StackFault[];
  /** Who gets what. */
  readers: { platform: Platform; label: string; at: number | null; face: string }[];
}

/** @param stack as written or computed; null when it is not one */
export function stackInfo({ faces }: Pick<StyledPage, "faces">, stack: string): StackInfo | null {
  const members = stackMembers(stack);
  if (!members) return null;
  const own = [...new Set(faces.map(({ family }) => family))];
  const loaded = [...new Set(faces.filter(({ file }) => file).map(({ family }) => family))];
  return {
    members: members.map((member) => memberInfo(member, faces)),
    faults: stackFaults(members, own),
    readers: platforms.map(({ platform, label }) => ({ platform, label, ...memberOn(platform, members, loaded) })),
  };
}

function memberInfo({ name, generic }: FamilyName, faces: readonly FontFace[]): MemberInfo {
  const base = {
    name,
    generic,
    platforms: [],
    since: null,
    weights: [],
    italic: null,
    smallCaps: null,
    axes: [],
    problem: null,
  };
  if (generic) return { ...base, source: "generic", metrics: genericFace(name) };
  const own = faces.filter(({ family }) => family.toLowerCase() === name.toLowerCase());
  if (own.length) {
    const files = own.flatMap(({ file }) => file ?? []);
    return {
      ...base,
      source: "site",
      weights: own
        .filter(({ file }) => file)
        .map(({ weight, file }) =>
          file!.weight[0] === file!.weight[1]
            ? weight
            : [Math.max(weight[0], file!.weight[0]), Math.min(weight[1], file!.weight[1])],
        ),
      italic:
        own.some(({ italic, file }) => italic && file) ||
        files.some(({ axes }) => axes.some(({ tag }) => tag === "ital" || tag === "slnt")),
      smallCaps: files.length ? files.some(({ features }) => features.has("smcp")) : null,
      axes: files[0]?.axes ?? [],
      metrics: files[0]?.metrics ?? null,
      problem: files.length
        ? null
        : (own.flatMap(({ sources }) => sources).find(({ problem }) => problem)?.problem ??
          "It has no file that can be read."),
    };
  }
  const system = platformFace(name);
  const metrics = knownFace(name);
  if (!system) return { ...base, source: "unknown", metrics };
  const { platforms: on, weights, italic, since } = system;
  return {
    ...base,
    source: "system",
    platforms: on,
    since: since ?? null,
    weights: weights.map((weight) => [weight, weight] as const),
    italic,
    smallCaps: null,
    metrics,
  };
}

/** An `@font-face` that makes a fallback as wide and as high as another face (CSS Fonts 5, 2.1 and 4, 4.9). Percentages. */
export interface MatchedFallback {
  sizeAdjust: number;
  ascentOverride: number;
  descentOverride: number;
  lineGapOverride: number;
  /** Of the `@font-face`. */
  declarations: readonly (readonly [property: string, value: string])[];
}

/** @param wanted the face to be like @param fallback the local face that stands in for it */
export function matchedFallback(wanted: FaceMetrics, fallback: FaceMetrics, name: string): MatchedFallback {
  const adjust = wanted.averageWidth / wanted.unitsPerEm / (fallback.averageWidth / fallback.unitsPerEm);
  const percent = (value: number) => Number((value * 100).toFixed(2));
  const override = (value: number) => percent(value / wanted.unitsPerEm / adjust);
  const result = {
    sizeAdjust: percent(adjust),
    ascentOverride: override(wanted.ascent),
    descentOverride: override(-wanted.descent),
    lineGapOverride: override(wanted.lineGap),
  };
  return {
    ...result,
    declarations: [
      ["font-family", `"${name}"`],
      ["src", `local("${fallback.family}")`],
      ["size-adjust", `${result.sizeAdjust}%`],
      ["ascent-override", `${result.ascentOverride}%`],
      ["descent-override", `${result.descentOverride}%`],
      ["line-gap-override", `${result.lineGapOverride}%`],
    ],
  };
}
