/**
 * Conversion between colour spaces by way of XYZ at the D65 white point (CSS Color 4, sections 10 and 17).
 * Matrices from CSS Color 4, section 18 ("Sample code for Color Conversions"), as rational numbers where given so.
 */
import { hueOf } from "./spaces";
import type { Channels, Color, Space, Triple } from "./types";

type Matrix = readonly [Triple, Triple, Triple];

const multiply = (m: Matrix, [x, y, z]: Triple): Triple => [
  m[0][0] * x + m[0][1] * y + m[0][2] * z,
  m[1][0] * x + m[1][1] * y + m[1][2] * z,
  m[2][0] * x + m[2][1] * y + m[2][2] * z,
];

const map = ([a, b, c]: Triple, change: (value: number) => number): Triple => [change(a), change(b), change(c)];

const srgbToXyz: Matrix = [
  [506752 / 1228815, 87881 / 245763, 12673 / 70218],
  [87098 / 409605, 175762 / 245763, 12673 / 175545],
  [7918 / 409605, 87881 / 737289, 1001167 / 1053270],
];
const xyzToSrgb: Matrix = [
  [12831 / 3959, -329 / 214, -1974 / 3959],
  [-851781 / 878810, 1648619 / 878810, 36519 / 878810],
  [705 / 12673, -2585 / 12673, 705 / 667],
];
const p3ToXyz: Matrix = [
  [608311 / 1250200, 189793 / 714400, 198249 / 1000160],
  [35783 / 156275, 247089 / 357200, 198249 / 2500400],
  [0, 32229 / 714400, 5220557 / 5000800],
];
const xyzToP3: Matrix = [
  [446124 / 178915, -333277 / 357830, -72051 / 178915],
  [-14852 / 17905, 63121 / 35810, 423 / 17905],
  [11844 / 330415, -50337 / 660830, 316169 / 330415],
];
const a98ToXyz: Matrix = [
  [573536 / 994567, 263643 / 1420810, 187206 / 994567],
  [591459 / 1989134, 6239551 / 9945670, 374412 / 4972835],
  [53769 / 1989134, 351524 / 4972835, 4929758 / 4972835],
];
const xyzToA98: Matrix = [
  [1829569 / 896150, -506331 / 896150, -308931 / 896150],
  [-851781 / 878810, 1648619 / 878810, 36519 / 878810],
  [16779 / 1248040, -147721 / 1248040, 1266979 / 1248040],
];
const rec2020ToXyz: Matrix = [
  [63426534 / 99577255, 20160776 / 139408157, 47086771 / 278816314],
  [26158966 / 99577255, 472592308 / 697040785, 8267143 / 139408157],
  [0, 19567812 / 697040785, 295819943 / 278816314],
];
const xyzToRec2020: Matrix = [
  [30757411 / 17917100, -6372589 / 17917100, -4539589 / 17917100],
  [-19765991 / 29648200, 47925759 / 29648200, 467509 / 29648200],
  [792561 / 44930125, -1921689 / 44930125, 42328811 / 44930125],
];
const prophotoToXyzD50: Matrix = [
  [0.7977666449006423, 0.13518129740053308, 0.0313477341283922],
  [0.2880748288194013, 0.711835234241873, 0.00008993693872564],
  [0, 0, 0.8251046025104602],
];
const xyzD50ToProphoto: Matrix = [
  [1.3457868816471583, -0.25557208737979464, -0.05110186497554526],
  [-0.5446307051249019, 1.5082477428451468, 0.02052744743642139],
  [0, 0, 1.2119675456389452],
];
const d65ToD50: Matrix = [
  [1.0479297925449969, 0.022946870601609652, -0.05019226628920524],
  [0.02962780877005599, 0.9904344267538799, -0.017073799063418826],
  [-0.009243040646204504, 0.015055191490298152, 0.7518742814281371],
];
const d50ToD65: Matrix = [
  [0.955473421488075, -0.02309845494876471, 0.06325924320057072],
  [-0.0283697093338637, 1.0099953980813041, 0.021041441191917323],
  [0.012314014864481998, -0.020507649298898964, 1.330365926242124],
];
const xyzToLms: Matrix = [
  [0.819022437996703, 0.3619062600528904, -0.1288737815209879],
  [0.0329836539323885, 0.9292868615863434, 0.0361446663506424],
  [0.0481771893596242, 0.2642395317527308, 0.6335478284694309],
];
const lmsToXyz: Matrix = [
  [1.2268798758459243, -0.5578149944602171, 0.2813910456659647],
  [-0.0405757452148008, 1.112286803280317, -0.0717110580655164],
  [-0.0763729366746601, -0.4214933324022432, 1.5869240198367816],
];
const lmsToOklab: Matrix = [
  [0.210454268309314, 0.7936177747023054, -0.0040720430116193],
  [1.9779985324311684, -2.4285922420485799, 0.450593709617411],
  [0.0259040424655478, 0.7827717124575296, -0.8086757549230774],
];
const oklabToLms: Matrix = [
  [1, 0.3963377773761749, 0.2158037573099136],
  [1, -0.1055613458156586, -0.0638541728258133],
  [1, -0.0894841775298119, -1.2914855480194092],
];

const signed = (value: number, curve: (magnitude: number) => number) => Math.sign(value) * curve(Math.abs(value));

const srgbToLinear = (value: number) => signed(value, (v) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4));
const linearToSrgb = (value: number) =>
  signed(value, (v) => (v > 0.0031308 ? 1.055 * v ** (1 / 2.4) - 0.055 : 12.92 * v));
const a98ToLinear = (value: number) => signed(value, (v) => v ** (563 / 256));
const linearToA98 = (value: number) => signed(value, (v) => v ** (256 / 563));
const prophotoToLinear = (value: number) => signed(value, (v) => (v <= 16 / 512 ? v / 16 : v ** 1.8));
const linearToProphoto = (value: number) => signed(value, (v) => (v >= 1 / 512 ? v ** (1 / 1.8) : 16 * v));

const rec2020Alpha = 1.09929682680944;
const rec2020Beta = 0.018053968510807;
const rec2020ToLinear = (value: number) =>
  signed(value, (v) => (v < rec2020Beta * 4.5 ? v / 4.5 : ((v + rec2020Alpha - 1) / rec2020Alpha) ** (1 / 0.45)));
const linearToRec2020 = (value: number) =>
  signed(value, (v) => (v > rec2020Beta ? rec2020Alpha * v ** 0.45 - (rec2020Alpha - 1) : 4.5 * v));

const whiteD50: Triple = [0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585];
/** The same white as colour profiles round it, and as Chromium does for Lab. */
const profileWhiteD50: Triple = [0.96422, 1, 0.82521];
const labWhiteD50: Triple = [0.9642, 1, 0.8251];
const labEpsilon = 216 / 24389;
const labKappa = 24389 / 27;

function xyzD50ToLab(xyz: Triple, white: Triple): Triple {
  const [x, y, z] = xyz.map((value, at) => {
    const part = value / white[at]!;
    return part > labEpsilon ? Math.cbrt(part) : (labKappa * part + 16) / 116;
  }) as Triple;
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

function labToXyzD50([l, a, b]: Triple, white: Triple): Triple {
  const y = (l + 16) / 116;
  const x = a / 500 + y;
  const z = y - b / 200;
  return [
    (x ** 3 > labEpsilon ? x ** 3 : (116 * x - 16) / labKappa) * white[0],
    l > labKappa * labEpsilon ? y ** 3 : l / labKappa,
    (z ** 3 > labEpsilon ? z ** 3 : (116 * z - 16) / labKappa) * white[2],
  ];
}

function toPolar([l, a, b]: Triple): Triple {
  return [l, Math.hypot(a, b), degrees((Math.atan2(b, a) * 180) / Math.PI)];
}

function fromPolar([l, chroma, hue]: Triple): Triple {
  const radians = (hue * Math.PI) / 180;
  return [l, chroma * Math.cos(radians), chroma * Math.sin(radians)];
}

/** An angle brought into 0 to 360. */
export function degrees(angle: number): number {
  return ((angle % 360) + 360) % 360;
}

/** CSS Color 4, 7.1. The angle is taken in single precision, as browsers do: on half a step of 8 bits it decides. */
function hslToSrgb([hue, saturation, lightness]: Triple): Triple {
  const s = saturation / 100;
  const l = lightness / 100;
  const channel = (n: number) => {
    const k = Math.fround(Math.fround(n + Math.fround(degrees(hue) / 30)) % 12);
    return l - s * Math.min(l, 1 - l) * Math.max(-1, Math.min(k - 3, 9 - k, 1));
  };
  return [channel(0), channel(8), channel(4)];
}

/** CSS Color 4, 7.2; colours out of gamut give a saturation of their own and come back as they were. */
function srgbToHsl([red, green, blue]: Triple): Triple {
  const max = Math.max(red, green, blue);
  const min = Math.min(red, green, blue);
  const range = max - min;
  const lightness = (min + max) / 2;
  if (range === 0) return [0, 0, lightness * 100];
  let saturation = lightness === 0 || lightness === 1 ? 0 : (max - lightness) / Math.min(lightness, 1 - lightness);
  let hue = (red - green) / range + 4;
  if (max === red) hue = (green - blue) / range + (green < blue ? 6 : 0);
  else if (max === green) hue = (blue - red) / range + 2;
  if (saturation < 0) {
    hue += 3;
    saturation = Math.abs(saturation);
  }
  return [degrees(hue * 60), saturation * 100, lightness * 100];
}

/** CSS Color 4, 8.1. */
function hwbToSrgb([hue, white, black]: Triple): Triple {
  const w = white / 100;
  const b = black / 100;
  if (w + b >= 1) return map([1, 1, 1], () => w / (w + b));
  return map(hslToSrgb([hue, 100, 50]), (channel) => channel * (1 - w - b) + w);
}

function srgbToHwb(rgb: Triple): Triple {
  return [srgbToHsl(rgb)[0], Math.min(...rgb) * 100, (1 - Math.max(...rgb)) * 100];
}

interface Conversion {
  /** The space it is computed from, and how. Spaces without one are XYZ at D65. */
  base: Space | null;
  toBase(channels: Triple): Triple;
  fromBase(channels: Triple): Triple;
  /** Whether the hue says nothing (CSS Color 4, 4.4 and 12.2). */
  hueless?(channels: Triple): boolean;
}

const same = (channels: Triple) => channels;
const rgbSpace = (
  toLinear: (v: number) => number,
  fromLinear: (v: number) => number,
  toXyz: Matrix,
  fromXyz: Matrix,
  base: Space = "xyz-d65",
): Conversion => ({
  base,
  toBase: (channels) => multiply(toXyz, map(channels, toLinear)),
  fromBase: (channels) => map(multiply(fromXyz, channels), fromLinear),
});

/** How each space is computed from the one it rests on, and back. */
export const conversions: Readonly<Record<Space, Conversion>> = {
  "xyz-d65": { base: null, toBase: same, fromBase: same },
  "xyz-d50": { base: "xyz-d65", toBase: (c) => multiply(d50ToD65, c), fromBase: (c) => multiply(d65ToD50, c) },
  srgb: rgbSpace(srgbToLinear, linearToSrgb, srgbToXyz, xyzToSrgb),
  "srgb-linear": rgbSpace(
    (v) => v,
    (v) => v,
    srgbToXyz,
    xyzToSrgb,
  ),
  "display-p3": rgbSpace(srgbToLinear, linearToSrgb, p3ToXyz, xyzToP3),
  "display-p3-linear": rgbSpace(
    (v) => v,
    (v) => v,
    p3ToXyz,
    xyzToP3,
  ),
  "a98-rgb": rgbSpace(a98ToLinear, linearToA98, a98ToXyz, xyzToA98),
  "prophoto-rgb": rgbSpace(prophotoToLinear, linearToProphoto, prophotoToXyzD50, xyzD50ToProphoto, "xyz-d50"),
  rec2020: rgbSpace(rec2020ToLinear, linearToRec2020, rec2020ToXyz, xyzToRec2020),
  hsl: { base: "srgb", toBase: hslToSrgb, fromBase: srgbToHsl, hueless: ([, s]) => s < 1e-4 },
  hwb: { base: "srgb", toBase: hwbToSrgb, fromBase: srgbToHwb, hueless: ([, w, b]) => w + b >= 100 - 1e-4 },
  lab: { base: "xyz-d50", toBase: (c) => labToXyzD50(c, whiteD50), fromBase: (c) => xyzD50ToLab(c, whiteD50) },
  lch: { base: "lab", toBase: fromPolar, fromBase: toPolar, hueless: ([, c]) => c <= 0.0015 },
  oklab: {
    base: "xyz-d65",
    toBase: (c) =>
      multiply(
        lmsToXyz,
        map(multiply(oklabToLms, c), (v) => v ** 3),
      ),
    fromBase: (c) => multiply(lmsToOklab, map(multiply(xyzToLms, c), Math.cbrt)),
  },
  oklch: { base: "oklab", toBase: fromPolar, fromBase: toPolar, hueless: ([, c]) => c <= 0.000004 },
};

/** The channels with `none` as 0. */
export function solid(channels: Channels): Triple {
  return channels.map((channel) => channel ?? 0) as Triple;
}

/** Bradford's cone responses from XYZ, and back, to the digits colour profiles use. */
const toCones: Matrix = [
  [0.8951, 0.2664, -0.1614],
  [-0.7502, 1.7135, 0.0367],
  [0.0389, -0.0685, 1.0296],
];
const fromCones: Matrix = [
  [0.9869929, -0.1470543, 0.1599627],
  [0.4323053, 0.5183603, 0.0492912],
  [-0.0085287, 0.0400428, 0.9684867],
];

/** From D65 (x 0.3127, y 0.3290) to D50 by scaling cone responses. */
const profileAdaptation: Matrix = (() => {
  const source = multiply(toCones, [0.3127 / 0.329, 1, (1 - 0.3127 - 0.329) / 0.329]);
  const target = multiply(toCones, profileWhiteD50);
  const scaled = toCones.map((row, at) => row.map((value) => (value * target[at]!) / source[at]!)) as unknown as Matrix;
  const columns = [0, 1, 2].map((column) => multiply(fromCones, scaled.map((row) => row[column]!) as Triple));
  return [0, 1, 2].map((row) => columns.map((column) => column[row]!)) as unknown as Matrix;
})();

type ConversionTable = Readonly<Record<Space, Conversion>>;

/** To XYZ at D50, rounded to 16 bits. */
const srgbAsBrowser: Matrix = [
  [0.436065674, 0.385147095, 0.143066406],
  [0.222488403, 0.716873169, 0.06060791],
  [0.013916016, 0.097076416, 0.714096069],
];
const p3AsBrowser: Matrix = [
  [0.515102, 0.291965, 0.157153],
  [0.241182, 0.692236, 0.0665819],
  [-0.00104941, 0.0418818, 0.784378],
];

/**
 * The same spaces as Chromium computes with: its RGB spaces meet in XYZ at D50, by matrices rounded to 16 bits.
 * Mixed and relative colours come out different in the fifth digit; computed values follow it.
 */
const browserConversions: ConversionTable = {
  ...conversions,
  "xyz-d50": {
    base: "xyz-d65",
    toBase: (c) => multiply(inverse(profileAdaptation), c),
    fromBase: (c) => multiply(profileAdaptation, c),
  },
  lab: { base: "xyz-d50", toBase: (c) => labToXyzD50(c, labWhiteD50), fromBase: (c) => xyzD50ToLab(c, labWhiteD50) },
  // By rounded matrices, what is grey has some colour left.
  lch: { ...conversions.lch, hueless: ([, chroma]) => chroma <= 0.02 },
  oklch: { ...conversions.oklch, hueless: ([, chroma]) => chroma <= 0.02 },
  ...Object.fromEntries(
    (
      [
        ["srgb", srgbToLinear, linearToSrgb, srgbAsBrowser],
        ["srgb-linear", (v) => v, (v) => v, srgbAsBrowser],
        ["display-p3", srgbToLinear, linearToSrgb, p3AsBrowser],
        ["display-p3-linear", (v) => v, (v) => v, p3AsBrowser],
        [
          "a98-rgb",
          a98ToLinear,
          linearToA98,
          [
            [0.60974, 0.20528, 0.14919],
            [0.31111, 0.62567, 0.06322],
            [0.01947, 0.06087, 0.74457],
          ],
        ],
        [
          "rec2020",
          rec2020ToLinear,
          linearToRec2020,
          [
            [0.673459, 0.165661, 0.1251],
            [0.279033, 0.675338, 0.0456288],
            [-0.00193139, 0.0299794, 0.797162],
          ],
        ],
      ] as [Space, (v: number) => number, (v: number) => number, Matrix][]
    ).map(([name, toLinear, fromLinear, matrix]) => [
      name,
      rgbSpace(toLinear, fromLinear, matrix, inverse(matrix), "xyz-d50"),
    ]),
  ),
};

function inverse([[a, b, c], [d, e, f], [g, h, i]]: Matrix): Matrix {
  const determinant = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  const over = (value: number) => value / determinant;
  return [
    [over(e * i - f * h), over(c * h - b * i), over(b * f - c * e)],
    [over(f * g - d * i), over(a * i - c * g), over(c * d - a * f)],
    [over(d * h - e * g), over(b * g - a * h), over(a * e - b * d)],
  ];
}

function chain(space: Space, table: ConversionTable): Space[] {
  const steps: Space[] = [space];
  for (let base = table[space].base; base; base = table[base].base) steps.push(base);
  return steps;
}

/** Channels in another space, unclipped; a hue that says nothing comes back as a number. */
export function convertChannels(
  channels: Triple,
  from: Space,
  to: Space,
  table: ConversionTable = conversions,
): Triple {
  const up = chain(from, table);
  const down = chain(to, table);
  const meeting = up.find((space) => down.includes(space))!;
  let result = channels;
  for (const space of up.slice(0, up.indexOf(meeting))) result = table[space].toBase(result);
  for (const space of down.slice(0, down.indexOf(meeting)).reverse()) result = table[space].fromBase(result);
  return result;
}

/**
 * The colour in another space (CSS Color 4, section 10): `none` counts as 0, channels are not clipped, and a
 * hue without meaning becomes `none` (4.4). A colour already in the space is returned as it is.
 */
export function convertColor(color: Color, space: Space): Color {
  return color.space === space ? color : withoutHue(conversions, convertWith(conversions, color, space));
}

/** The same to the digits of the browser's own computation; a hue without meaning stays the number it comes to. */
export function convertAsBrowser(color: Color, space: Space): Color {
  return color.space === space ? color : convertWith(browserConversions, color, space);
}

/** The same as colours are converted to be mixed: a hue without meaning is missing, to be taken from the other. */
export function convertToMix(color: Color, space: Space): Color {
  return color.space === space ? color : withoutHue(browserConversions, convertWith(browserConversions, color, space));
}

function convertWith(table: ConversionTable, color: Color, space: Space): Color {
  return { space, channels: convertChannels(solid(color.channels), color.space, space, table), alpha: color.alpha };
}

function withoutHue(table: ConversionTable, color: Color): Color {
  const channels: Channels = [...color.channels];
  if (table[color.space].hueless?.(solid(channels))) channels[hueOf(color.space)] = null;
  return { ...color, channels };
}
