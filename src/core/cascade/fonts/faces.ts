/**
 * Metrics of faces that come with systems, by family in lower case. Those of the metrics package are taken over
 * as they are; the advance of "0", which it lacks, was read from the fonts' hmtx tables. DejaVu 2.37 was read whole.
 */
import { table } from "../../source/table";
import appleSystem from "@capsizecss/metrics/appleSystem";
import arial from "@capsizecss/metrics/arial";
import brushScript from "@capsizecss/metrics/brushScript";
import courierNew from "@capsizecss/metrics/courierNew";
import georgia from "@capsizecss/metrics/georgia";
import helvetica from "@capsizecss/metrics/helvetica";
import helveticaNeue from "@capsizecss/metrics/helveticaNeue";
import lucidaGrande from "@capsizecss/metrics/lucidaGrande";
import notoSans from "@capsizecss/metrics/notoSans";
import notoSerif from "@capsizecss/metrics/notoSerif";
import openSans from "@capsizecss/metrics/openSans";
import roboto from "@capsizecss/metrics/roboto";
import robotoMono from "@capsizecss/metrics/robotoMono";
import segoeUI from "@capsizecss/metrics/segoeUI";
import tahoma from "@capsizecss/metrics/tahoma";
import timesNewRoman from "@capsizecss/metrics/timesNewRoman";
import trebuchetMS from "@capsizecss/metrics/trebuchetMS";
import ubuntu from "@capsizecss/metrics/ubuntu";
import ubuntuMono from "@capsizecss/metrics/ubuntuMono";
import verdana from "@capsizecss/metrics/verdana";
import type { FaceMetrics } from "./metrics";

type Packaged = Pick<FaceMetrics, "ascent" | "descent" | "lineGap" | "unitsPerEm" | "xHeight" | "capHeight"> & {
  familyName: string;
  xWidthAvg: number;
};

function packaged(face: Packaged, zeroWidth: number | null = null, family = face.familyName): FaceMetrics {
  const { unitsPerEm, ascent, descent, lineGap, xHeight, capHeight, xWidthAvg } = face;
  return {
    family,
    unitsPerEm,
    ascent,
    descent,
    lineGap,
    xHeight,
    capHeight,
    averageWidth: xWidthAvg,
    zeroWidth,
    ideographWidth: null,
  };
}

function dejaVu(family: string, ascent: number, xHeight: number, averageWidth: number, zeroWidth: number): FaceMetrics {
  return {
    family,
    unitsPerEm: 2048,
    ascent,
    descent: -483,
    lineGap: 0,
    xHeight,
    capHeight: 1493,
    averageWidth,
    zeroWidth,
    ideographWidth: null,
  };
}

const list: readonly FaceMetrics[] = [
  packaged(appleSystem, null, "San Francisco"),
  packaged(arial, 1139),
  packaged(brushScript),
  packaged(courierNew, 1229),
  packaged(georgia, 1257),
  packaged(helvetica, 1139),
  packaged(helveticaNeue),
  packaged(lucidaGrande),
  packaged(notoSans),
  packaged(notoSerif),
  packaged(openSans),
  packaged(roboto),
  packaged(robotoMono),
  packaged(segoeUI, 1104),
  packaged(tahoma, 1118),
  packaged(timesNewRoman, 1024),
  packaged(trebuchetMS, 1074),
  packaged(ubuntu),
  packaged(ubuntuMono),
  packaged(verdana, 1302),
  // Made to the measures of three others (their published aim), so that texts break alike.
  packaged(arial, 1139, "Liberation Sans"),
  packaged(timesNewRoman, 1024, "Liberation Serif"),
  packaged(courierNew, 1229, "Liberation Mono"),
  packaged(arial, 1139, "Arimo"),
  packaged(timesNewRoman, 1024, "Tinos"),
  packaged(courierNew, 1229, "Cousine"),
  dejaVu("DejaVu Sans", 1901, 1120, 1039, 1303),
  dejaVu("DejaVu Serif", 1901, 1063, 1049, 1303),
  dejaVu("DejaVu Sans Mono", 1901, 1120, 1233, 1233),
  dejaVu("DejaVu Sans Condensed", 1901, 1120, 934, 1172),
  dejaVu("DejaVu Serif Condensed", 1901, 1063, 944, 1172),
];

const byName: ReadonlyMap<string, FaceMetrics> = new Map(list.map((face) => [face.family.toLowerCase(), face]));

/** Metrics of a family by its name, any case; null when they are not known. */
export function knownFace(family: string): FaceMetrics | null {
  return byName.get(family.toLowerCase()) ?? null;
}

/** What generic families stand for on a plain Linux system, where the headless command mostly runs. */
const generics: Readonly<Record<string, string>> = table({
  serif: "DejaVu Serif",
  "sans-serif": "DejaVu Sans",
  monospace: "DejaVu Sans Mono",
  "system-ui": "DejaVu Sans",
  "ui-sans-serif": "DejaVu Sans",
  "ui-serif": "DejaVu Serif",
  "ui-monospace": "DejaVu Sans Mono",
  cursive: "DejaVu Sans",
  fantasy: "DejaVu Sans",
});

/** The measures of the face that a generic family usually is; null where they are not known. */
export function genericFace(generic: string): FaceMetrics | null {
  const family = generics[generic];
  return family ? knownFace(family) : null;
}
