/** What the browser's storage refuses, in plain words. */

/** The storage cannot be used, or not any more; the message is for people. */
export class StorageError extends Error {}

/** There is no room left in the browser's storage. */
export class FullError extends StorageError {
  /** @param what is not kept, and what can be done */
  constructor(
    what = "The last change is not saved, but it is still here: export it, or make room by deleting sites from the shelf.",
  ) {
    super(`The browser's storage is full. ${what}`);
  }
}

const words = {
  missing:
    "This browser keeps no data for pages like this one (IndexedDB is missing or switched off), so no site can be kept. Allow it, or take a window that is not private.",
  newer:
    "The sites in this browser were kept by a newer Hevret, which this one cannot read. Load this page anew, or start the newer one. Nothing was changed.",
  refused:
    "The browser does not let Hevret keep sites here: its storage cannot be opened. Allow data for this page, or free some space on the disk, and load the page anew.",
  gone: "The browser's storage was closed while Hevret used it, or its data were cleared.",
} as const;

/** By the names of the errors of IndexedDB 3.0 and of Dexie, the outermost first. */
const causes: Readonly<Record<string, keyof typeof words>> = {
  MissingAPIError: "missing",
  VersionError: "newer",
  OpenFailedError: "refused",
  SecurityError: "refused",
  NotAllowedError: "refused",
  UnknownError: "refused",
  DatabaseClosedError: "gone",
  InvalidStateError: "gone",
  NotFoundError: "gone",
};

/** An error with those it comes from. */
function* chain(error: unknown): Generator<{ name?: string }> {
  for (let one = error; typeof one === "object" && one !== null; one = (one as { inner?: unknown }).inner) yield one;
}

/** The error that says in plain words what became of the storage; others stay as they are. */
export function storageError(error: unknown): unknown {
  const known = [...chain(error)].find((one) => one instanceof StorageError);
  if (known) return known;
  const names = [...chain(error)].map(({ name = "" }) => name);
  if (names.includes("QuotaExceededError")) return new FullError();
  // What it comes from says more than that it could not be opened.
  const cause = names.toReversed().find((name) => Object.hasOwn(causes, name));
  return cause ? new StorageError(words[causes[cause]!]) : error;
}

/** @param unkept what is said where there is no room, if it is no change of a site @throws StorageError for whatever the storage refuses */
export async function stored<Result>(work: () => PromiseLike<Result>, unkept?: string): Promise<Result> {
  try {
    return await work();
  } catch (error) {
    const said = storageError(error);
    throw said instanceof FullError && unkept ? new FullError(unkept) : said;
  }
}

/** The database was made by a version that is not known here. */
export class NewerError extends StorageError {
  constructor() {
    super(words.newer);
  }
}
