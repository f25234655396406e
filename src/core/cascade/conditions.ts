/** Under which circumstances a page is looked at. Lengths in CSS px. */
export interface Conditions {
  /** Size of the window. */
  width: number;
  height: number;
  scheme: "light" | "dark";
  /** The reader's default font size. */
  rootSize: number;
  medium: "screen" | "print";
  reducedMotion: boolean;
  contrast: "no-preference" | "more" | "less";
  /** Device pixels per CSS px. */
  resolution: number;
}

export const defaultConditions: Conditions = {
  width: 1280,
  height: 800,
  scheme: "light",
  rootSize: 16,
  medium: "screen",
  reducedMotion: false,
  contrast: "no-preference",
  resolution: 1,
};
