// What npm start and npm test have in common: packages, the browser, the sample's archive, the build, its service worker.
import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from "node:fs";
import { join, parse, relative } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";
import { gzipSync } from "node:zlib";

export const root = fileURLToPath(new URL("..", import.meta.url));

process.env.NEXT_TELEMETRY_DISABLED = "1";

/** Runs a command with its output shown; ends this process when the command fails. */
export function must(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: "inherit", ...options });
  if (done.status !== 0) {
    console.error(`${[command, ...args].join(" ")} failed.`);
    process.exit(done.status ?? 1);
  }
}

/**
 * The versions of the lock file, which is left as it is. Not `npm ci`: that refuses a lock file without the
 * builds for other systems, which a registry need not carry.
 */
export const installArguments = ["install", "--no-save", "--no-audit", "--no-fund"];

export function installPackages() {
  const installed = join(root, "node_modules/.package-lock.json");
  const wanted = join(root, "package-lock.json");
  if (existsSync(installed) && statSync(installed).mtimeMs >= statSync(wanted).mtimeMs) return;
  must("npm", installArguments);
}

export function installBrowser() {
  if (existsSync("/usr/bin/chromium")) return;
  const prefix = process.getuid?.() === 0 ? [] : ["sudo"];
  const run = (...words) => must([...prefix, ...words][0], [...prefix, ...words].slice(1));
  run("apt-get", "update");
  run("apt-get", "install", "-y", "--no-install-recommends", "chromium");
}

/** Every file below a folder, as paths relative to it with forward slashes. */
export function filesBelow(folder) {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => relative(folder, join(entry.parentPath ?? entry.path, entry.name)).replaceAll("\\", "/"))
    .sort();
}

/** The sample site is served as the zip a user could have opened. */
export async function packSample() {
  const { zipSync } = await import("fflate");
  const folder = join(root, "samples/ossel-ferries");
  const mtime = new Date("2026-01-01T00:00:00");
  const contents = Object.fromEntries(
    filesBelow(folder).map((path) => [path, [readFileSync(join(folder, path)), { mtime }]]),
  );
  mkdirSync(join(root, "public"), { recursive: true });
  writeFileSync(join(root, "public/sample.zip"), zipSync(contents));
}

/** Builds unless the last build is newer than everything it is made from. */
export async function build() {
  await packSample();
  const stamp = join(root, ".next/BUILD_ID");
  const newest = (path) =>
    statSync(path).isDirectory()
      ? Math.max(0, ...filesBelow(path).map((file) => statSync(join(path, file)).mtimeMs))
      : statSync(path).mtimeMs;
  const scripts = ["scripts/headers.mjs", "scripts/libraryStyles.tsx"];
  const sources = ["src", "samples", "next.config.ts", ...scripts, "package-lock.json"].map((name) =>
    newest(join(root, name)),
  );
  if (!existsSync(stamp) || statSync(stamp).mtimeMs < Math.max(...sources)) {
    await writeLibraryStyles();
    must("npx", ["next", "build"]);
    compressBuilt();
  }
  await writeServiceWorker(readFileSync(stamp, "utf8").trim());
}

/** While it is worked on, nothing is kept: one that a build left in the browser goes, with all that it kept. */
export function writeNoServiceWorker() {
  const text = `self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) =>
  event.waitUntil(
    (async () => {
      for (const name of await caches.keys()) await caches.delete(name);
      await self.registration.unregister();
      for (const window of await self.clients.matchAll({ type: "window" })) await window.navigate(window.url);
    })(),
  ),
);
`;
  writeFileSync(join(root, "public/service-worker.js"), text);
}

/** What a file of TypeScript exports. */
async function exportsOf(path) {
  const { build: bundle } = await import("rolldown");
  const file = join(root, "node_modules/.cache/hevret", `${parse(path).name}.mjs`);
  await bundle({
    input: join(root, path),
    platform: "node",
    external: (id) => !id.startsWith(".") && !id.startsWith("/"),
    output: { file, format: "esm" },
    logLevel: "silent",
  });
  return import(pathToFileURL(file));
}

/** The component library's styles as a sheet, which the application reads as it reads its own (`src/app/layout.tsx`). */
export async function writeLibraryStyles() {
  const { libraryStyles } = await exportsOf("scripts/libraryStyles.tsx");
  mkdirSync(join(root, ".generated"), { recursive: true });
  writeFileSync(join(root, ".generated/library.css"), libraryStyles());
}

const builtFiles = join(root, ".next/static");

/** Texts of the build compressed once, beside them: compressing them for every visitor takes as long as all else. */
function compressBuilt() {
  for (const path of filesBelow(builtFiles).filter((name) => /\.(?:js|css|json)$/.test(name))) {
    const file = join(builtFiles, path);
    writeFileSync(`${file}.gz`, gzipSync(readFileSync(file), { level: 9 }));
  }
}

/** The service worker of a build, with everything that it keeps. */
async function writeServiceWorker(version) {
  const { viewPaths } = await exportsOf("src/ui/desk/viewPaths.ts");
  const built = filesBelow(builtFiles).filter((path) => !/\.(?:map|gz)$/.test(path));
  const assets = [
    "/icon.svg",
    "/manifest.webmanifest",
    "/sample.zip",
    ...built.map((path) => `/_next/static/${path.split("/").map(encodeURIComponent).join("/")}`),
  ];
  const text = readFileSync(join(root, "scripts/service-worker.js"), "utf8")
    .replace("BUILD_VERSION", version)
    .replace("BUILD_ASSETS", JSON.stringify(assets))
    .replace("BUILD_VIEWS", JSON.stringify(viewPaths));
  writeFileSync(join(root, "public/service-worker.js"), text);
}
