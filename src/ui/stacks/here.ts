/** Which faces are there on this machine. */
import type { MemberInfo } from "@/core";
import { memberHere } from "@/preview/present";

/** Families that come with the site and can be read. */
export const ownFamilies = (members: readonly MemberInfo[]): string[] =>
  members.filter(({ source, problem }) => source === "site" && !problem).map(({ name }) => name);

/** Whether a member would be set in its own face here. @param own families that come with the site */
export const isMemberHere = (member: { name: string; generic: boolean }, own: readonly string[]): boolean =>
  member.generic || memberHere([member], own) !== null;
