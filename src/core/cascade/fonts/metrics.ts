/** Metrics of a face, in units of its em (CSS Inline 3, appendix A; OpenType OS/2 and hhea tables). */
export interface FaceMetrics {
  family: string;
  unitsPerEm: number;
  /** Above the baseline, positive. */
  ascent: number;
  /** Below the baseline, negative. */
  descent: number;
  lineGap: number;
  xHeight: number;
  capHeight: number;
  /** Mean advance of running Latin text, letters weighed by how often they occur. */
  averageWidth: number;
  /** Advance of "0"; null where it is not known. */
  zeroWidth: number | null;
  /** Advance of "水"; null where the face has none. */
  ideographWidth: number | null;
}

/** What the font-relative units come to, in px (CSS Values 4, 6.1.1), and the height of a line with `line-height: normal`. */
export interface FontMeasure {
  ex: number;
  ch: number;
  cap: number;
  ic: number;
  line: number;
}

/** @param size in CSS px */
export function measureAt(face: FaceMetrics, size: number): FontMeasure {
  const em = size / face.unitsPerEm;
  return {
    ex: face.xHeight * em,
    ch: (face.zeroWidth ?? face.unitsPerEm / 2) * em,
    cap: face.capHeight * em,
    ic: (face.ideographWidth ?? face.unitsPerEm) * em,
    line: normalLine(face, size),
  };
}

/** Height of a line with `line-height: normal`, in px: browsers round ascent and descent to whole pixels. */
export function normalLine({ ascent, descent, lineGap, unitsPerEm }: FaceMetrics, size: number): number {
  const em = size / unitsPerEm;
  return Math.round(ascent * em) + Math.round(-descent * em) + lineGap * em;
}

/** Where no face is known: half an em for x-height and "0" (CSS Values 4, 6.1.1), and what faces have on average. */
export function assumedMeasure(size: number): FontMeasure {
  return { ex: size / 2, ch: size / 2, cap: size * 0.7, ic: size, line: size * 1.15 };
}
