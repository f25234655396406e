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

/** A text, with whether it is read rather than glanced at. */
type Measured = ReadoutInput & { running: boolean };

/** One figure; null where it does not concern a text. */
type Figure = (of: Measured) => Readout | null;

const sizeFigure: Figure = ({ size, running }) => ({
  id: "size",
  label: "Size",
  value: `${short(size)} px`,
  usual: running ? "16 px or more for running text, never under 12" : "not under 12 px",
  unusual: size < 12 || (running && size < 16),
});

const xHeightFigure: Figure = ({ xHeight, running }) =>
  xHeight === null
    ? null
    : {
        id: "x-height",
        label: "Apparent size",
        value: `x-height ${short(xHeight, 1)} px`,
        usual: running ? "about 7 px or more for running text" : "about 6 px or more",
        unusual: xHeight < (running ? 7 : 6),
      };

const leadingFigure: Figure = ({ leading, lines, running }) => {
  if (lines < 2) return null;
  const [least, most] = running ? [1.3, 1.7] : [1.05, 1.4];
  return {
    id: "leading",
    label: "Leading to size",
    value: leading === null ? "normal" : short(leading),
    usual: `${least} to ${most} for ${running ? "running text" : "headings"}`,
    unusual: leading !== null && (leading < least || leading > most),
  };
};

const lineFigure: Figure = ({ usual, longest, lines, running }) =>
  !running || lines < 3
    ? null
    : {
        id: "line",
        label: "Characters a line",
        value: `${usual} usual, ${longest} longest`,
        usual: "45 to 75",
        unusual: usual < 45 || longest > 75,
      };

const lettersFigure: Figure = ({ letterSpacing, uppercase }) => {
  if (letterSpacing === 0) return null;
  const [least, most] = uppercase ? [0, 0.2] : [-0.03, 0.06];
  return {
    id: "letters",
    label: "Letter spacing",
    value: `${short(letterSpacing, 3)} em`,
    usual: uppercase ? "0.03 to 0.12 em for capitals" : "\u22120.02 to 0.05 em",
    unusual: letterSpacing < least || letterSpacing > most,
  };
};

const capitalsFigure: Figure = ({ text, uppercase }) =>
  !uppercase || text.length < 30
    ? null
    : {
        id: "capitals",
        label: "Capitals",
        value: `${text.length} characters in capitals`,
        usual: "a few words at most",
        unusual: true,
      };

const weightFigure: Figure = ({ weight, size }) =>
  weight >= 300 || size >= 24
    ? null
    : {
        id: "weight",
        label: "Light weight",
        value: `${weight} at ${short(size)} px`,
        usual: "300 or more below 24 px",
        unusual: true,
      };

const justifiedFigure: Figure = ({ align, hyphens, lines }) =>
  align !== "justify" || hyphens || lines < 2
    ? null
    : {
        id: "justified",
        label: "Justified",
        value: "without hyphens",
        usual: "with hyphens, or ragged",
        unusual: true,
      };

const centredFigure: Figure = ({ align, lines }) =>
  align !== "center" || lines <= 3
    ? null
    : { id: "centred", label: "Centred", value: `${lines} lines`, usual: "three lines at most", unusual: true };

/** In the order in which they are told. */
const figures: readonly Figure[] = [
  sizeFigure,
  xHeightFigure,
  leadingFigure,
  lineFigure,
  lettersFigure,
  capitalsFigure,
  weightFigure,
  justifiedFigure,
  centredFigure,
];

/** What there is to say of a text; figures that do not concern it are left out. */
export function readoutsOf(input: ReadoutInput): Readout[] {
  const measured = { ...input, running: input.text.length >= runningFrom };
  return figures.map((figure) => figure(measured)).filter((one) => one !== null);
}
