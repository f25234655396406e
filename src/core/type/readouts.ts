/**
 * Plain figures about how a text can be read, with what is usual. Not a score. Sources: WCAG 2.2, 1.4.8 (lines of at most
 * 80 characters, spacing of 1.5, no justified text), 1.4.12 (text spacing); ISO 9241-303 on character height and line
 * spacing; and, for 45 to 75 characters and the room between letters, the common ground of handbooks of typography.
 */
export interface ReadoutInput {
  text: string;
  /** CSS px. */
  size: number;
  xHeight: number | null;
  /** Ratio to the size; null for `normal`. */
  leading: number | null;
  lines: number;
  /** Characters of the longest line. */
  longest: number;
  /** Of all lines but the last, which is mostly short. */
  usual: number;
  /** Ratio to the size. */
  letterSpacing: number;
  weight: number;
  uppercase: boolean;
  align: string;
  hyphens: boolean;
}

export interface Readout {
  id: string;
  label: string;
  value: string;
  /** What is usual, in words. */
  usual: string;
  /** Outside of what is usual. */
  unusual: boolean;
}

/** Texts from here on are read, not glanced at; characters. */
const runningFrom = 80;

const short = (value: number, digits = 2) => String(Number(value.toFixed(digits)));

/** What there is to say of a text; figures that do not concern it are left out. */
export function readoutsOf(input: ReadoutInput): Readout[] {
  const { text, size, xHeight, leading, lines, longest, usual, letterSpacing, weight, uppercase, align, hyphens } =
    input;
  const running = text.length >= runningFrom;
  const list: (Readout | null)[] = [
    {
      id: "size",
      label: "Size",
      value: `${short(size)} px`,
      usual: running ? "16 px or more for running text, never under 12" : "not under 12 px",
      unusual: size < 12 || (running && size < 16),
    },
    xHeight === null
      ? null
      : {
          id: "x-height",
          label: "Apparent size",
          value: `x-height ${short(xHeight, 1)} px`,
          usual: running ? "about 7 px or more for running text" : "about 6 px or more",
          unusual: xHeight < (running ? 7 : 6),
        },
    lines < 2
      ? null
      : {
          id: "leading",
          label: "Leading to size",
          value: leading === null ? "normal" : short(leading),
          usual: running ? "1.3 to 1.7 for running text" : "1.05 to 1.4 for headings",
          unusual: leading !== null && (running ? leading < 1.3 || leading > 1.7 : leading < 1.05 || leading > 1.4),
        },
    !running || lines < 3
      ? null
      : {
          id: "line",
          label: "Characters a line",
          value: `${usual} usual, ${longest} longest`,
          usual: "45 to 75",
          unusual: usual < 45 || longest > 75,
        },
    letterSpacing === 0
      ? null
      : {
          id: "letters",
          label: "Letter spacing",
          value: `${short(letterSpacing, 3)} em`,
          usual: uppercase ? "0.03 to 0.12 em for capitals" : "\u22120.02 to 0.05 em",
          unusual: uppercase ? letterSpacing < 0 || letterSpacing > 0.2 : letterSpacing < -0.03 || letterSpacing > 0.06,
        },
    !uppercase || text.length < 30
      ? null
      : {
          id: "capitals",
          label: "Capitals",
          value: `${text.length} characters in capitals`,
          usual: "a few words at most",
          unusual: true,
        },
    weight >= 300 || size >= 24
      ? null
      : {
          id: "weight",
          label: "Light weight",
          value: `${weight} at ${short(size)} px`,
          usual: "300 or more below 24 px",
          unusual: true,
        },
    align !== "justify" || hyphens || lines < 2
      ? null
      : {
          id: "justified",
          label: "Justified",
          value: "without hyphens",
          usual: "with hyphens, or ragged",
          unusual: true,
        },
    align !== "center" || lines <= 3
      ? null
      : { id: "centred", label: "Centred", value: `${lines} lines`, usual: "three lines at most", unusual: true },
  ];
  return list.filter((one) => one !== null);
}
