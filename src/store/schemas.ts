/** Shapes of everything that comes from outside, checked before it is stored. */
import { array, mixed, number, object, string, ValidationError } from "yup";
import { limits, OpenError } from "./limits";
import type { Opened } from "./read";

/** A path that stays inside a site. */
export const insidePath = string()
  .required()
  .max(1024)
  .test(
    "inside",
    "A path leads out of the site.",
    (value) => !value.split("/").includes("..") && !value.startsWith("/"),
  );

/** A file as it is kept. */
export const storedFile = object({
  kind: string().oneOf(["html", "css", "other"]).required(),
  path: insidePath,
  text: string().max(limits.textBytes),
  bytes: mixed((value): value is Uint8Array => value instanceof Uint8Array),
});

const opened = object({
  name: string().trim().min(1).max(200).required(),
  files: array().of(storedFile).min(1).max(limits.files).required(),
  refused: array()
    .of(object({ path: string().required(), reason: string().required() }))
    .required(),
});

/** @throws OpenError, in plain words, for anything that does not have the shape of a site */
export function checkOpened(site: Opened): Opened {
  try {
    opened.validateSync(site, { strict: true });
    return site;
  } catch (error) {
    if (error instanceof ValidationError) throw new OpenError(`This cannot be opened: ${error.message}`);
    throw error;
  }
}

const trials = array().of(string().required().max(500)).max(6).required();

/** @throws OpenError for anything that is not a short list of values */
export function checkTrials(values: readonly string[]): string[] {
  try {
    return trials.validateSync([...values], { strict: true });
  } catch (error) {
    if (error instanceof ValidationError) throw new OpenError(`These trials cannot be kept: ${error.message}`);
    throw error;
  }
}

const reason = string()
  .trim()
  .min(1, "A reason is missing.")
  .max(500, "A reason has at most 500 characters.")
  .required();

/** @throws OpenError for a reason that is none or too long */
export function checkReason(text: string): string {
  try {
    return reason.validateSync(text, { strict: false });
  } catch (error) {
    if (error instanceof ValidationError) throw new OpenError(error.message);
    throw error;
  }
}

export const siteName = string().trim().min(1, "A site needs a name.").max(200, "A name has at most 200 characters.");
export const versionName = string()
  .trim()
  .min(1, "A version needs a name.")
  .max(200, "A name has at most 200 characters.");
export const wordCount = number().integer().min(20, "At least 20 words.").max(5000, "At most 5,000 words.").required();
