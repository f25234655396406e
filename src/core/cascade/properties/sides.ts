/** The sides and corners of a box, in the order in which shorthands name them (CSS Box 4, 4.2; CSS Backgrounds 3, 4.1). */
import type { Side } from "./computed";

export const sides: readonly Side[] = ["top", "right", "bottom", "left"];

export const corners = ["top-left", "top-right", "bottom-right", "bottom-left"] as const;
