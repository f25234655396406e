import { checkNames, type Conditions } from "@/core";

export interface Options {
  path: string;
  page: string | null;
  elements: boolean;
  format: "json" | "text";
  conditions: Partial<Conditions>;
  /** The check whose findings are set right; null where nothing is. */
  fix: string | null;
  /** Whether the files are written, not only shown. */
  write: boolean;
}

/** A call that cannot be carried out, in one line. */
export class UsageError extends Error {}

export const usage =
  "Usage: npm run --silent analyse -- PATH [--page FILE] [--width PX] [--height PX] [--scheme light|dark] [--elements] [--format json|text] [--fix CHECK [--write]]";

export function readOptions(words: readonly string[]): Options {
  const options: Options = {
    path: "",
    page: null,
    elements: false,
    format: "json",
    conditions: {},
    fix: null,
    write: false,
  };
  const paths: string[] = [];
  for (let at = 0; at < words.length; at += 1) {
    const [word, attached] = splitOption(words[at]!);
    const value = () => {
      const next = attached ?? words[(at += 1)];
      if (next === undefined) throw new UsageError(`${word} needs a value. ${usage}`);
      return next;
    };
    switch (word) {
      case "--page":
        options.page = value();
        break;
      case "--width":
      case "--height":
        options.conditions[word === "--width" ? "width" : "height"] = pixels(word, value());
        break;
      case "--scheme":
        options.conditions.scheme = oneOf(word, value(), ["light", "dark"]);
        break;
      case "--format":
        options.format = oneOf(word, value(), ["json", "text"]);
        break;
      case "--fix":
        options.fix = oneOf(word, value(), checkNames);
        break;
      case "--write":
        options.write = true;
        break;
      case "--elements":
        options.elements = true;
        break;
      default:
        if (word.startsWith("--")) throw new UsageError(`${word} is not an option. ${usage}`);
        paths.push(word);
    }
  }
  if (paths.length !== 1)
    throw new UsageError(
      paths.length ? `One path is expected, not ${paths.length}. ${usage}` : `A path is missing. ${usage}`,
    );
  if (options.write && options.fix === null) throw new UsageError(`--write goes with --fix CHECK. ${usage}`);
  return { ...options, path: paths[0]! };
}

function splitOption(word: string): [string, string | undefined] {
  const match = /^(--[a-z]+)=(.*)$/s.exec(word);
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
