/** What an error says to people. */
import { EngineError } from "@/engine/client";
import { OpenError } from "@/store/limits";
import { StorageError } from "@/store/failures";
import { ConflictError } from "@/store/sites";

/** Of errors that were not foreseen, only that there was one. */
export function inWords(error: unknown): string {
  const foreseen = [EngineError, StorageError, ConflictError, OpenError].some((kind) => error instanceof kind);
  return foreseen
    ? (error as Error).message
    : "Something did not work here. Your files are as they were; if it happens again, export them and open the site anew.";
}
