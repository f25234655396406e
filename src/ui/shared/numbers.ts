/** How numbers are shown. */
import type { FaceMetrics, MemberInfo, Reach, Fix } from "@/core";

/** Pixels with up to two decimals, no trailing zeros, and a true minus sign. */
export function showPx(value: number): string {
  return showNumber(value, 2);
}

export function showNumber(value: number, decimals: number): string {
  const text = String(Number(value.toFixed(decimals)));
  return text.replace("-", "\u2212");
}

export function plural(count: number, one: string, many = `${one}s`): string {
  return `${count.toLocaleString("en-GB")} ${count === 1 ? one : many}`;
}

/** "7 places on 3 pages". */
export function showReach({ places, pages, whole }: Reach): string {
  const words = places.length ? `${plural(places.length, "place")} on ${plural(pages.length, "page")}` : "no places";
  return whole ? words : `${words} so far`;
}

export function showTime(milliseconds: number): string {
  return new Date(milliseconds).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
}

export function showDate(milliseconds: number): string {
  return new Date(milliseconds).toLocaleString("en-GB", {
    day: "numeric",
    month: "long",
    year: "numeric",
    hour: "2-digit",
    minute: "2-digit",
  });
}

/** How far two colours are apart (CSS Color 4, 13.1), as it is told: "ΔE OK 0.021". */
export const showDistance = (distance: number): string => `ΔE OK ${distance.toFixed(3)}`;

/** "2 lines more, 48 px higher", "1 line fewer". */
export function shiftWords({ lines, height }: { lines: number; height: number }): string {
  const more = lines === 0 ? null : `${plural(Math.abs(lines), "line")} ${lines > 0 ? "more" : "fewer"}`;
  const higher = height === 0 ? null : `${showPx(Math.abs(height))} px ${height > 0 ? "higher" : "lower"}`;
  return [more, higher].filter(Boolean).join(", ") || "the same lines and height";
}

/** How a face compares with another at the same size: "width +15%, x-height −3%". */
export function comparedWith(face: FaceMetrics, first: FaceMetrics): string {
  const off = (part: "averageWidth" | "xHeight") => {
    const percent = Math.round((face[part] / face.unitsPerEm / (first[part] / first.unitsPerEm) - 1) * 100);
    return percent > 0 ? `+${percent}` : showNumber(percent, 0);
  };
  return `width ${off("averageWidth")}%, x-height ${off("xHeight")}%`;
}

/** Weights a face has: "400, 700", "100 to 900". */
export function weightWords(weights: MemberInfo["weights"]): string {
  return weights.map(([from, to]) => (from === to ? from : `${from} to ${to}`)).join(", ") || "not known";
}

/** What a way to set a finding right changes: "8 places on 3 pages change". */
export function fixWords({ reach, byLayout }: Pick<Fix, "reach" | "byLayout">): string {
  if (reach.places.length > 0) return `${showReach(reach)} ${reach.places.length === 1 ? "changes" : "change"}`;
  return byLayout ? "boxes change" : "no place changes";
}
