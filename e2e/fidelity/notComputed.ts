/** Longhands that a browser has and we do not compute, in groups with the reason. A name ending in `-` stands for all that begin so. */
export const notComputed: readonly (readonly [reason: string, names: string])[] = [
  [
    "Flow-relative names of longhands that are computed by their physical ones.",
    "border-block- border-inline- border-end-end-radius border-end-start-radius border-start-end-radius border-start-start-radius inset-block- inset-inline- margin-block- margin-inline- padding-block- padding-inline- overflow-block overflow-inline block-size inline-size max-block-size max-inline-size min-block-size min-inline-size",
  ],
  [
    "Shorthands, or older names, that the browser lists among longhands; what they stand for is computed.",
    "background-position font-variant text-decoration -webkit-border-horizontal-spacing -webkit-border-vertical-spacing -webkit-border-image -webkit-box-decoration-break -webkit-line-break -webkit-ruby-position -webkit-text-combine -webkit-text-orientation -webkit-writing-mode contain-intrinsic-size mask-position",
  ],
  [
    "Where boxes stand and how large they are: that is measured on the page as it is laid out.",
    "align- aspect-ratio bottom column- contain contain-intrinsic- content-visibility field-sizing flex- grid- inset- interpolate-size isolation justify- left object-fit object-position object-view-box order position-anchor position-area position-try- position-visibility anchor- reading- right row- rule-overlap shape-image-threshold shape-margin shape-outside frame-sizing margin-trim table-layout top z-index -webkit-box- corner- border-shape",
  ],
  [
    "How boxes are moved, cut and blended on their way to the screen: that is painted.",
    "backdrop-filter backface-visibility box-decoration-break clip clip-path filter image-orientation image-rendering mask- offset- perspective perspective-origin rotate scale transform transform- translate will-change -webkit-box-reflect -webkit-mask-",
  ],
  [
    "What moves: pages are looked at as they come to rest.",
    "animation- transition- timeline-scope timeline-trigger- trigger-scope view-timeline- view-transition- scroll-timeline- overlay",
  ],
  [
    "Drawings: their texts are not judged.",
    "alignment-baseline baseline-shift baseline-source buffered-rendering clip-rule color-interpolation color-interpolation-filters color-rendering cx cy d dominant-baseline fill fill- flood- lighting-color marker- r rx ry shape-rendering stop- stroke stroke- text-anchor vector-effect x y",
  ],
  [
    "Scrolling and what is done by hand: nothing of it changes how a text looks at rest.",
    "app-region caret-animation caret-shape cursor interactivity interest- overflow-anchor overflow-clip-margin overscroll- pointer-events resize scroll- scrollbar- touch-action user-select -webkit-tap-highlight-color -webkit-user-drag window-drag",
  ],
  [
    "Counters and pages: numbers that are counted, and breaks between sheets of paper.",
    "break- counter- orphans widows",
  ],
  ["Colours of the machine, not of the page.", "dynamic-range-limit forced-color-adjust print-color-adjust"],
  ["Formulas: their text is set by the browser's own rules.", "math-"],
  ["Too new or too little used for anybody to rest on them yet.", "ruby-align ruby-overhang text-fit"],
  ["What is said, not shown.", "speak"],
  [
    "The browser's own, told to nobody else.",
    "-webkit-locale -webkit-rtl-ordering -webkit-text-decorations-in-effect -webkit-text-security",
  ],
];

/** Those that not every version of the browser has, of the two that are compared. */
export const ofSomeVersions: ReadonlySet<string> = new Set([
  "app-region",
  "frame-sizing",
  "margin-trim",
  "ruby-overhang",
  "window-drag",
]);
