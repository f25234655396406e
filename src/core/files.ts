/**
 * The small face of the core, for who keeps files and changes of them and nothing else: what it needs is quick to load.
 * All of it is in `index.ts`, too.
 */
export { applyChanges, changeBetween, invertChanges, type TextChange } from "./source/changes";
export { append } from "./source/groups";
export { encodeText } from "./source/encoding";
export { barredInPaths, normalisePath } from "./source/path";
export {
  fileBytes,
  invertFiles,
  kindOfPath,
  readFile,
  sameBytes,
  sameContents,
  type FileChange,
  type RefusedFile,
  type SiteFile,
  type StoredFile,
} from "./source/site";
