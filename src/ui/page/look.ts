/** How the page is looked at, beside the conditions it is under. */
export interface Look {
  /** CSS px; null to fit the room. */
  width: number | null;
  /** At its true size, though it is wider than the room. */
  trueSize: boolean;
  /** Whether a glass is over the picked text. */
  glass: boolean;
}

export const plainLook: Look = { width: null, trueSize: false, glass: false };
