/** How the command is called. */
import { checkNames, reports, type Conditions, type Level } from "@/core";

/** Everything that a call or a configuration says. */
export interface Options {
  paths: string[];
  page: string | null;
  elements: boolean;
  format: "json" | "text";
  conditions: Partial<Conditions>;
  /** The check whose findings are set right, or "all"; null where nothing is. */
  fix: string | null;
  /** Whether the files are written, not only shown. */
  write: boolean;
  /** Reports that are made, by their ids. */
  reports: string[];
  /** The folder they are written into. */
  out: string;
  /** The least level at which findings make the call fail. */
  failOn: FailOn;
  /** A report kept earlier: only what is not in it counts. */
  before: string | null;
  /** Findings that stay as they are, with the reason. */
  leave: readonly Leaving[];
  watch: boolean;
}

/** Of a check, in one file or in all. */
export interface Leaving {
  check: string;
  path?: string | undefined;
  reason: string;
}

export type FailOn = Level | "never";
export const failLevels = ["error", "warning", "note", "never"] as const;
export const reportIds: readonly string[] = reports.map(({ id }) => id);

/** A call that cannot be carried out, in one line. */
export class UsageError extends Error {}

export const usage =
  "Usage: hevret PATH… [--config FILE] [--page FILE] [--width PX] [--height PX] [--scheme light|dark] [--format json|text] [--elements] [--fail-on error|warning|note|never] [--before FILE] [--report NAME] [--out FOLDER] [--fix CHECK|all [--write]] [--watch]";

const defaults: Options = {
  paths: [],
  page: null,
  elements: false,
  format: "json",
  conditions: {},
  fix: null,
  write: false,
  reports: [],
  out: ".",
  failOn: "error",
  before: null,
  leave: [],
  watch: false,
};

/** What a call says, over what is given otherwise; and the configuration it names. */
export interface Called {
  config: string | null;
  options: Partial<Options>;
}

type Reader = (called: Called, word: string, value: () => string) => void;

/** The options by their names; what is written twice counts as said last, reports together. */
const readers: Readonly<Record<string, Reader>> = {
  "--config": (called, _, value) => void (called.config = value()),
  "--page": ({ options }, _, value) => void (options.page = value()),
  "--width": ({ options }, word, value) => void (options.conditions!.width = pixels(word, value())),
  "--height": ({ options }, word, value) => void (options.conditions!.height = pixels(word, value())),
  "--scheme": ({ options }, word, value) =>
    void (options.conditions!.scheme = oneOf(word, value(), ["light", "dark"] as const)),
  "--format": ({ options }, word, value) => void (options.format = oneOf(word, value(), ["json", "text"] as const)),
  "--elements": ({ options }) => void (options.elements = true),
  "--fail-on": ({ options }, word, value) => void (options.failOn = oneOf(word, value(), failLevels)),
  "--before": ({ options }, _, value) => void (options.before = value()),
  "--report": ({ options }, word, value) =>
    void (options.reports = [...(options.reports ?? []), oneOf(word, value(), reportIds)]),
  "--out": ({ options }, _, value) => void (options.out = value()),
  "--fix": ({ options }, word, value) => void (options.fix = oneOf(word, value(), [...checkNames, "all"])),
  "--write": ({ options }) => void (options.write = true),
  "--watch": ({ options }) => void (options.watch = true),
};

/** @throws UsageError for anything that is no option, or no value of one */
export function readCall(words: readonly string[]): Called {
  const called: Called = { config: null, options: { conditions: {} } };
  const paths: string[] = [];
  for (let at = 0; at < words.length; at += 1) {
    const [word, attached] = splitOption(words[at]!);
    if (!word.startsWith("--")) {
      paths.push(word);
      continue;
    }
    const reader = Object.hasOwn(readers, word) ? readers[word]! : null;
    if (!reader) throw new UsageError(`${word} is not an option. ${usage}`);
    reader(called, word, () => {
      const next = attached ?? words[(at += 1)];
      if (next === undefined) throw new UsageError(`${word} needs a value. ${usage}`);
      return next;
    });
  }
  if (paths.length > 0) called.options.paths = paths;
  return called;
}

/** All that is said together: the call goes before the configuration. @throws UsageError for what does not go together */
export function optionsFrom(given: Partial<Options>, called: Partial<Options>): Options {
  const options = {
    ...defaults,
    ...given,
    ...called,
    conditions: { ...given.conditions, ...called.conditions },
  };
  if (options.paths.length === 0) throw new UsageError(`A path is missing. ${usage}`);
  if (options.write && options.fix === null) throw new UsageError(`--write goes with --fix CHECK. ${usage}`);
  if (options.watch && options.fix !== null)
    throw new UsageError(`--watch does not go with --fix: it would see its own changes. ${usage}`);
  if (options.page !== null && options.paths.length > 1)
    throw new UsageError(`--page goes with one path, not ${options.paths.length}. ${usage}`);
  return options;
}

function splitOption(word: string): [string, string | undefined] {
  const match = /^(--[a-z-]+)=(.*)$/s.exec(word);
  return match ? [match[1]!, match[2]] : [word, undefined];
}

function pixels(option: string, text: string): number {
  const value = Number(text);
  if (!/^\d+(?:\.\d+)?$/.test(text) || value < 1 || value > 100_000)
    throw new UsageError(`${option} takes a number of CSS px, not "${text}".`);
  return value;
}

function oneOf<const Word extends string>(option: string, text: string, words: readonly Word[]): Word {
  const found = words.find((word) => word === text) as Word | undefined;
  if (!found) throw new UsageError(`${option} takes ${words.join(" or ")}, not "${text}".`);
  return found;
}
