import { defineConfig, globalIgnores } from "eslint/config";
import next from "eslint-config-next/core-web-vitals";
import nextTypescript from "eslint-config-next/typescript";

/**
 * Each folder of src imports only from those under it. The list is the architecture: a folder may
 * reach only what is named here for it.
 */
const mayImport = {
  core: [],
  engine: ["core"],
  store: ["core"],
  preview: ["core", "engine"],
  ui: ["core", "engine", "store", "preview"],
  cli: ["core", "store"],
};
const folders = [...Object.keys(mayImport), "app"];

/** Inside the core, each floor stands on those before it. */
const coreFloors = [
  "source",
  "color",
  "cascade",
  "ground",
  "text",
  "type",
  "help",
  "edits",
  "palette",
  "drafts",
  "tables",
  "tokens",
  "findings",
  "slip",
  "writing",
  "report",
];

/** The same in the interface: what is shared, the state of an open site, the views of it, the desk they stand on, the shelf. */
const uiFloors = [
  "shared",
  "workspace",
  "color",
  "slip",
  "source",
  "page",
  "colors",
  "textstyles",
  "stacks",
  "sheets",
  "findings",
  "changes",
  "desk",
  "shelf",
];

/** What may not be imported in a folder of src. */
function barredIn(folder, allowed) {
  const barred = folders.filter((other) => other !== folder && !allowed.includes(other));
  const patterns = [
    {
      group: barred.flatMap((other) => [`@/${other}`, `@/${other}/**`, `**/../${other}`, `**/../${other}/**`]),
      message: `src/${folder} may import from ${allowed.length ? allowed.join(", ") : "nothing but itself"} only (docs/architecture.md).`,
    },
  ];
  if (folder !== "core") {
    patterns.push({
      group: ["@/core/*", "!@/core/files"],
      message: "Outside the core, import from @/core, its one face, or its small one for files.",
    });
  } else {
    patterns.push({
      group: ["node:*", "react", "react-dom", "next/*"],
      message: "The core is pure: no Node API and no React.",
    });
  }
  return patterns;
}

const longest = (max) => ({ max, skipBlankLines: true, skipComments: true });

const restricted = (files, patterns) => ({
  files,
  ignores: ["**/*.test.ts", "**/testing/**"],
  rules: { "no-restricted-imports": ["error", { patterns }] },
});

const directions = Object.entries(mayImport).map(([folder, allowed]) =>
  restricted([`src/${folder}/**/*.{ts,tsx}`], barredIn(folder, allowed)),
);

/** @param top files at the top of the folder, which stand on all floors */
const floorsOf = (folder, list, top) =>
  list.map((floor, at) => {
    const above = [...list.slice(at + 1), ...top];
    const under = at ? list.slice(0, at).join(", ") : "nothing";
    return restricted(
      [`src/${folder}/${floor}/**/*.{ts,tsx}`],
      [
        ...barredIn(folder, mayImport[folder]),
        ...above.map((name) => ({
          group: [`**/../${name}`, `**/../${name}/**`],
          message: `src/${folder}/${floor} stands on ${under} only (docs/architecture.md).`,
        })),
      ],
    );
  });

/** Rules of React take long to read a file for what may be a component; where there are none, they are not asked. */
const ofReact = Object.fromEntries(
  [...next, ...nextTypescript]
    .flatMap(({ rules = {} }) => Object.keys(rules))
    .filter((name) => /^(?:react|react-hooks|jsx-a11y|@next\/next)\//.test(name))
    .map((name) => [name, "off"]),
);

const floors = [...floorsOf("core", coreFloors, ["index", "files"]), ...floorsOf("ui", uiFloors, [])];

export default defineConfig([
  ...next,
  ...nextTypescript,
  globalIgnores([
    ".next/**",
    "next-env.d.ts",
    "public/**",
    "samples/**",
    "test-results/**",
    "playwright-report/**",
    ".reports/**",
  ]),
  { rules: { "@typescript-eslint/no-non-null-assertion": "off", "no-console": "error" } },
  { files: ["src/{core,engine,store,cli}/**", "e2e/**", "scripts/*.mjs"], rules: ofReact },
  { files: ["src/**/*.{ts,tsx}"], ignores: ["**/*.test.ts"], rules: { "no-nested-ternary": "error" } },
  // A function does one thing; a view has its markup besides.
  { files: ["src/**/*.ts"], ignores: ["**/*.test.ts"], rules: { "max-lines-per-function": ["error", longest(60)] } },
  { files: ["src/**/*.tsx"], rules: { "max-lines-per-function": ["error", longest(80)] } },
  {
    // What nobody waits for is caught, or handed to `unwaited`, which says what it throws.
    files: ["src/**/*.{ts,tsx}"],
    languageOptions: { parserOptions: { projectService: true } },
    rules: { "@typescript-eslint/no-floating-promises": ["error", { ignoreVoid: false }] },
  },
  { files: ["scripts/**", "src/cli/**", "e2e/*.spec.ts"], rules: { "no-console": "off" } },
  {
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts", "**/testing/**"],
    rules: {
      "no-restricted-globals": [
        "error",
        ...["window", "document", "navigator", "process", "Date", "setTimeout", "fetch"].map((name) => ({
          name,
          message: "The core is pure: no DOM, no Node API, no clock.",
        })),
      ],
      "no-restricted-properties": [
        "error",
        { object: "Math", property: "random", message: "The core is pure: no randomness." },
      ],
    },
  },
  ...directions,
  ...floors,
]);
