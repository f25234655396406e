/** Bounds of what can be opened, and the words that say so. */
export const limits = {
  files: 2000,
  siteBytes: 200 * 1024 * 1024,
  textBytes: 10 * 1024 * 1024,
} as const;

export const tooManyFiles = `More than ${limits.files.toLocaleString("en-GB")} files: Hevret opens at most that many at a time.`;
export const siteTooLarge = `More than ${limits.siteBytes / 1024 / 1024} MB: Hevret opens sites up to that size.`;
export const textTooLarge = `Larger than ${limits.textBytes / 1024 / 1024} MB, which is the most for a page or a style sheet.`;

/** Something that cannot be opened as a whole, in plain words. */
export class OpenError extends Error {}
