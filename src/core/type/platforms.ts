/**
 * Faces that come with systems. Sources, one for each system: Microsoft's "Windows 11 font list" and "Windows 10 font list"
 * (typography documentation); Apple's "Fonts included with macOS Sonoma" and "iOS and iPadOS built-in fonts"; the Android Open
 * Source Project's fonts.xml (Roboto, Noto, Droid, Cutive, Coming Soon, Dancing Script, Carrois); ChromiumOS's font overlay
 * (Roboto, Noto, and the metric-compatible Croscore faces); Debian, Fedora and Ubuntu desktop packages (fonts-dejavu,
 * fonts-liberation, fonts-noto-core, fonts-ubuntu, cantarell-fonts). Faces that are only there on request are left out.
 */
export type Platform = "windows" | "macos" | "ios" | "android" | "chromeos" | "linux";

export const platforms: readonly { platform: Platform; label: string }[] = [
  { platform: "windows", label: "Windows" },
  { platform: "macos", label: "macOS" },
  { platform: "ios", label: "iOS" },
  { platform: "android", label: "Android" },
  { platform: "chromeos", label: "ChromeOS" },
  { platform: "linux", label: "Linux" },
];

export interface PlatformFace {
  family: string;
  generic: "serif" | "sans-serif" | "monospace" | "cursive" | "fantasy";
  platforms: readonly Platform[];
  /** Weights there are, as font-weight counts. */
  weights: readonly number[];
  italic: boolean;
  /** The version it first came with, where it is not there in all that are in use. */
  since?: string;
}

const W: Platform = "windows";
const M: Platform = "macos";
const I: Platform = "ios";
const A: Platform = "android";
const C: Platform = "chromeos";
const L: Platform = "linux";
const regular = [400];
const pair = [400, 700];

function face(
  family: string,
  generic: PlatformFace["generic"],
  on: readonly Platform[],
  weights: readonly number[],
  italic = true,
  since?: string,
): PlatformFace {
  return { family, generic, platforms: on, weights, italic, ...(since ? { since } : {}) };
}

export const platformFaces: readonly PlatformFace[] = [
  face("Arial", "sans-serif", [W, M, I], pair),
  face("Arial Black", "sans-serif", [W, M], [900], false),
  face("Arial Narrow", "sans-serif", [M], pair),
  face("Arial Rounded MT Bold", "sans-serif", [M, I], regular, false),
  face("American Typewriter", "serif", [M, I], [300, 400, 700], false),
  face("Andale Mono", "monospace", [M], regular, false),
  face("Apple Chancery", "cursive", [M], regular, false),
  face("Arimo", "sans-serif", [C], pair),
  face("Avenir", "sans-serif", [M, I], [300, 400, 500, 800, 900]),
  face("Avenir Next", "sans-serif", [M, I], [200, 400, 500, 600, 700, 800]),
  face("Bahnschrift", "sans-serif", [W], [300, 350, 400, 600, 700], false, "Windows 10, 1709"),
  face("Baskerville", "serif", [M, I], [400, 600, 700]),
  face("Big Caslon", "serif", [M], [500], false),
  face("Bodoni 72", "serif", [M, I], pair),
  face("Bradley Hand", "cursive", [M, I], [700], false),
  face("Brush Script MT", "cursive", [M], regular),
  face("Calibri", "sans-serif", [W], [300, 400, 700]),
  face("Cambria", "serif", [W], pair),
  face("Candara", "sans-serif", [W], [300, 400, 700]),
  face("Cantarell", "sans-serif", [L], [100, 300, 400, 700, 800], false),
  face("Carrois Gothic SC", "sans-serif", [A], regular, false),
  face("Chalkboard", "cursive", [M], pair, false),
  face("Chalkduster", "fantasy", [M, I], regular, false),
  face("Charter", "serif", [M, I], [400, 700, 900]),
  face("Cochin", "serif", [M, I], pair),
  face("Comic Sans MS", "cursive", [W, M], pair),
  face("Coming Soon", "cursive", [A], regular, false),
  face("Consolas", "monospace", [W], pair),
  face("Constantia", "serif", [W], pair),
  face("Copperplate", "fantasy", [M, I], [300, 400, 700], false),
  face("Corbel", "sans-serif", [W], [300, 400, 700]),
  face("Courier", "monospace", [M, I], pair),
  face("Courier New", "monospace", [W, M, I], pair),
  face("Cousine", "monospace", [C], pair),
  face("Cutive Mono", "monospace", [A], regular, false),
  face("Dancing Script", "cursive", [A], pair, false),
  face("DejaVu Sans", "sans-serif", [L], [200, 400, 700]),
  face("DejaVu Sans Mono", "monospace", [L], pair),
  face("DejaVu Serif", "serif", [L], pair),
  face("Didot", "serif", [M, I], pair),
  face("DIN Alternate", "sans-serif", [M, I], [700], false),
  face("DIN Condensed", "sans-serif", [M, I], [700], false),
  face("Droid Sans Mono", "monospace", [A], regular, false),
  face("Ebrima", "sans-serif", [W], pair, false),
  face("Franklin Gothic Medium", "sans-serif", [W], [500]),
  face("Futura", "sans-serif", [M, I], [500, 700]),
  face("Gabriola", "cursive", [W], regular, false),
  face("Gadugi", "sans-serif", [W], pair, false),
  face("Geneva", "sans-serif", [M], regular, false),
  face("Georgia", "serif", [W, M, I], pair),
  face("Gill Sans", "sans-serif", [M, I], [300, 400, 600, 700, 800]),
  face("Helvetica", "sans-serif", [M, I], [300, 400, 700]),
  face("Helvetica Neue", "sans-serif", [M, I], [100, 200, 300, 400, 500, 700]),
  face("Herculanum", "fantasy", [M], regular, false),
  face("Hoefler Text", "serif", [M, I], [400, 900]),
  face("Impact", "fantasy", [W, M], [400], false),
  face("Ink Free", "cursive", [W], regular, false, "Windows 10, 1709"),
  face("Iowan Old Style", "serif", [M, I], [400, 700, 900]),
  face("Javanese Text", "serif", [W], regular, false),
  face("Leelawadee UI", "sans-serif", [W], [350, 400, 700], false),
  face("Liberation Mono", "monospace", [L], pair),
  face("Liberation Sans", "sans-serif", [L], pair),
  face("Liberation Serif", "serif", [L], pair),
  face("Lucida Console", "monospace", [W], regular, false),
  face("Lucida Grande", "sans-serif", [M], pair, false),
  face("Lucida Sans Unicode", "sans-serif", [W], regular, false),
  face("Luminari", "fantasy", [M], regular, false),
  face("Malgun Gothic", "sans-serif", [W], [300, 400, 700], false),
  face("Marker Felt", "fantasy", [M, I], [400, 700], false),
  face("Menlo", "monospace", [M, I], pair),
  face("Microsoft Sans Serif", "sans-serif", [W], regular, false),
  face("Microsoft YaHei", "sans-serif", [W], [300, 400, 700], false),
  face("Monaco", "monospace", [M], regular, false),
  face("MS Gothic", "monospace", [W], regular, false),
  face("MV Boli", "cursive", [W], regular, false),
  face("Myanmar Text", "sans-serif", [W], pair, false),
  face("New York", "serif", [M, I], [400, 500, 600, 700, 800, 900], true, "macOS 10.15, iOS 13"),
  face("Nirmala UI", "sans-serif", [W], [350, 400, 700], false),
  face("Noteworthy", "cursive", [M, I], [300, 700], false),
  face("Noto Sans", "sans-serif", [L, C], [100, 200, 300, 400, 500, 600, 700, 800, 900]),
  face("Noto Serif", "serif", [A, L, C], pair),
  face("Noto Sans Mono", "monospace", [L, C], [100, 200, 300, 400, 500, 600, 700, 800, 900], false),
  face("Optima", "sans-serif", [M, I], [400, 700, 800]),
  face("Palatino", "serif", [M, I], pair),
  face("Palatino Linotype", "serif", [W], pair),
  face("Papyrus", "fantasy", [M, I], [400], false),
  face("Phosphate", "fantasy", [M], regular, false),
  face("PT Sans", "sans-serif", [M], pair),
  face("PT Serif", "serif", [M], pair),
  face("PT Mono", "monospace", [M], pair, false),
  face("Roboto", "sans-serif", [A, C], [100, 300, 400, 500, 700, 900]),
  face("Roboto Mono", "monospace", [C], [100, 300, 400, 500, 700]),
  face("Rockwell", "serif", [M, I], pair),
  face("Savoye LET", "cursive", [M, I], regular, false),
  face("Segoe Print", "cursive", [W], pair, false),
  face("Segoe Script", "cursive", [W], pair, false),
  face("Segoe UI", "sans-serif", [W], [300, 350, 400, 600, 700, 900]),
  face("Segoe UI Variable", "sans-serif", [W], [300, 350, 400, 600, 700], false, "Windows 11"),
  face("SF Mono", "monospace", [M], [300, 400, 500, 600, 700, 800], true, "with the developer tools or Terminal"),
  face("SF Pro", "sans-serif", [I], [100, 200, 300, 400, 500, 600, 700, 800, 900]),
  face("Sitka Text", "serif", [W], pair),
  face("Skia", "sans-serif", [M], [300, 400, 700, 900], false),
  face("Snell Roundhand", "cursive", [M, I], [400, 700, 900], false),
  face("Sylfaen", "serif", [W], regular, false),
  face("Symbol", "fantasy", [W, M], regular, false),
  face("Tahoma", "sans-serif", [W, M], pair, false),
  face("Times", "serif", [M], pair),
  face("Times New Roman", "serif", [W, M, I], pair),
  face("Tinos", "serif", [C], pair),
  face("Trattatello", "fantasy", [M], regular, false),
  face("Trebuchet MS", "sans-serif", [W, M, I], pair),
  face("Ubuntu", "sans-serif", [L], [300, 400, 500, 700], true, "on Ubuntu"),
  face("Ubuntu Mono", "monospace", [L], pair, true, "on Ubuntu"),
  face("Verdana", "sans-serif", [W, M, I], pair),
  face("Webdings", "fantasy", [W, M], regular, false),
  face("Yu Gothic", "sans-serif", [W], [300, 400, 500, 700], false),
  face("Zapfino", "cursive", [M, I], regular, false),
];

const facesByName = new Map(platformFaces.map((face) => [face.family.toLowerCase(), face]));

/** The face of a system by its family, in any letter case; undefined where no system comes with it. */
export const platformFace = (family: string): PlatformFace | undefined => facesByName.get(family.toLowerCase());

/** What generic families come to, by system, in the systems' own standard settings. */
export const genericOn: Readonly<Record<string, Readonly<Record<Platform, string>>>> = {
  serif: {
    windows: "Times New Roman",
    macos: "Times",
    ios: "Times New Roman",
    android: "Noto Serif",
    chromeos: "Tinos",
    linux: "DejaVu Serif",
  },
  "sans-serif": {
    windows: "Arial",
    macos: "Helvetica",
    ios: "Helvetica",
    android: "Roboto",
    chromeos: "Arimo",
    linux: "DejaVu Sans",
  },
  monospace: {
    windows: "Consolas",
    macos: "Menlo",
    ios: "Courier",
    android: "Droid Sans Mono",
    chromeos: "Cousine",
    linux: "DejaVu Sans Mono",
  },
  cursive: {
    windows: "Comic Sans MS",
    macos: "Apple Chancery",
    ios: "Snell Roundhand",
    android: "Dancing Script",
    chromeos: "Dancing Script",
    linux: "DejaVu Sans",
  },
  fantasy: {
    windows: "Impact",
    macos: "Papyrus",
    ios: "Papyrus",
    android: "Roboto",
    chromeos: "Arimo",
    linux: "DejaVu Sans",
  },
  "system-ui": {
    windows: "Segoe UI",
    macos: "San Francisco",
    ios: "SF Pro",
    android: "Roboto",
    chromeos: "Roboto",
    linux: "the desktop's font",
  },
};

const sameAs: Readonly<Record<string, string>> = {
  "ui-sans-serif": "system-ui",
  "ui-serif": "serif",
  "ui-monospace": "monospace",
  math: "serif",
  "ui-rounded": "system-ui",
  "-webkit-body": "serif",
};

/**
 * The faces that readers get of a stack, each with the systems it comes to, in the order of the systems.
 * @param own families that come with the site and are there
 */
export function facesOf(
  members: readonly { name: string; generic: boolean }[],
  own: readonly string[],
): { face: string; on: string[] }[] {
  const faces = new Map<string, string[]>();
  for (const { platform, label } of platforms) {
    const { face } = memberOn(platform, members, own);
    faces.set(face, [...(faces.get(face) ?? []), label]);
  }
  return [...faces].map(([face, on]) => ({ face, on }));
}

/**
 * The member of a stack that a reader on a system gets, and the face it comes to.
 * @param own families that come with the site
 */
export function memberOn(
  platform: Platform,
  members: readonly { name: string; generic: boolean }[],
  own: readonly string[],
): { at: number | null; face: string } {
  for (const [at, { name, generic }] of members.entries()) {
    if (generic) return { at, face: (genericOn[name] ?? genericOn[sameAs[name] ?? "serif"]!)[platform] };
    const lower = name.toLowerCase();
    if (own.some((family) => family.toLowerCase() === lower)) return { at, face: name };
    if (platformFace(name)?.platforms.includes(platform)) return { at, face: name };
    if (lower === "-apple-system" && (platform === "macos" || platform === "ios")) return { at, face: "San Francisco" };
    if (lower === "blinkmacsystemfont" && platform === "macos") return { at, face: "San Francisco" };
  }
  return { at: null, face: genericOn.serif![platform] };
}
