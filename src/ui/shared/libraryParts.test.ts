import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";

const root = new URL("../../..", import.meta.url).pathname;

/** What a text imports from the component library as values. */
function importedIn(text: string): string[] {
  return [...text.matchAll(/import \{([^}]*)\} from "antd"/g)]
    .flatMap(([, names]) => names!.split(","))
    .map((name) => name.trim())
    .filter((name) => name !== "" && !name.startsWith("type "));
}

/** What draws nothing itself. */
const withoutStyles = new Set(["theme"]);

test("styles of the build have all parts of the library that the interface uses", () => {
  const files = readdirSync(join(root, "src/ui"), { recursive: true, encoding: "utf8" }).filter(
    (path) => path.endsWith(".tsx") || path.endsWith(".ts"),
  );
  const used = new Set(files.flatMap((path) => importedIn(readFileSync(join(root, "src/ui", path), "utf8"))));
  const made = importedIn(readFileSync(join(root, "scripts/libraryStyles.tsx"), "utf8"));
  expect(used.size).toBeGreaterThan(10);
  expect([...used].filter((name) => !withoutStyles.has(name) && !made.includes(name))).toEqual([]);
});
