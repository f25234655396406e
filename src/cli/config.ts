/** The configuration file: what a call would say, kept in the project. See docs/headless.md. */
import { existsSync, readFileSync } from "node:fs";
import { dirname, resolve } from "node:path";
import { array, boolean, number, object, string, ValidationError } from "yup";
import { checkNames } from "@/core";
import { failLevels, reportIds, UsageError, type Options } from "./options";

/** The one that is read where it stands and none is named. */
const usualConfig = "hevret.config.json";

const path = string().min(1).max(4096);
const pixels = number().min(1).max(100_000);

const schema = object({
  paths: array().of(path.required()).min(1).max(1000),
  page: path,
  width: pixels,
  height: pixels,
  scheme: string().oneOf(["light", "dark"] as const),
  format: string().oneOf(["json", "text"] as const),
  elements: boolean(),
  failOn: string().oneOf(failLevels),
  before: path,
  reports: array().of(string().oneOf(reportIds).required()).max(100),
  out: path,
  leave: array()
    .of(
      object({
        check: string().oneOf(checkNames).required(),
        path,
        reason: string().trim().min(1).max(500).required(),
      }).noUnknown(),
    )
    .max(5000),
})
  .noUnknown()
  .required();

/** Paths are taken from where the file stands. @param named null for the usual one, if it is there @throws UsageError */
export function readConfig(named: string | null, folder = process.cwd()): Partial<Options> {
  const file = resolve(folder, named ?? usualConfig);
  if (!existsSync(file)) {
    if (named === null) return {};
    throw new UsageError(`There is no configuration at ${named}.`);
  }
  const { width, height, scheme, paths, before, out, page, format, elements, failOn, reports, leave } = checked(file);
  const from = (relative: string) => resolve(dirname(file), relative);
  return withoutMissing({
    paths: paths?.map(from),
    before: before && from(before),
    out: out && from(out),
    page,
    format,
    elements,
    failOn,
    reports,
    leave,
    conditions: withoutMissing({ width, height, scheme }),
  });
}

function checked(file: string) {
  try {
    return schema.validateSync(JSON.parse(readFileSync(file, "utf8")), { strict: true });
  } catch (error) {
    if (error instanceof ValidationError || error instanceof SyntaxError)
      throw new UsageError(`${file} is no configuration: ${error.message}.`);
    throw error;
  }
}

type Present<Given> = { [Key in keyof Given]?: Exclude<Given[Key], undefined> };

function withoutMissing<Given extends object>(given: Given): Present<Given> {
  return Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined)) as Present<Given>;
}
