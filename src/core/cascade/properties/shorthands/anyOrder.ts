import type { Component } from "../../../source/css/components";
import type { Shorthand } from "../types";

/** Parts in any order, each taken by the first longhand that is free and reads it. */
export function anyOrder(
  name: string,
  takes: readonly (readonly [longhand: string, isOne: (part: Component) => boolean, most?: number])[],
): Shorthand {
  return {
    name,
    longhands: takes.map(([longhand]) => longhand),
    expand: (value) => {
      const found: Record<string, Component[]> = {};
      for (const [at, part] of value.entries()) {
        const isFree = (longhand: string, most = 1) => {
          const own = found[longhand] ?? [];
          return own.length === 0 || (own.length < most && own.at(-1) === value[at - 1]);
        };
        const take = takes.find(([longhand, isOne, most]) => isFree(longhand, most) && isOne(part));
        if (!take) return null;
        (found[take[0]] ??= []).push(part);
      }
      return value.length ? found : null;
    },
  };
}
