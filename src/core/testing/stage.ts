import type { PictureStage } from "../ground/picture";

/** What a laid-out page tells of itself that has nothing of its own: as large as its window, on white. */
export const plainStage: PictureStage = {
  width: 800,
  height: 600,
  room: 800,
  bars: false,
  window: { width: 800, height: 600 },
  paper: "white",
  backed: true,
  canvas: null,
  root: "",
  spilling: [],
  moving: [],
  fixed: [],
  sticky: [],
  kept: [],
  cutOut: [],
  unknown: [],
  remote: false,
};
