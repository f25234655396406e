#!/usr/bin/env node
// Bundles the headless command when its source is newer, and runs it. Nothing but the result goes to stdout.
import { spawnSync } from "node:child_process";
import { existsSync, statSync } from "node:fs";
import { join } from "node:path";
import { pathToFileURL } from "node:url";
import { filesBelow, installArguments, root } from "./setup.mjs";

const bundle = join(root, "node_modules/.cache/hevret/analyse.mjs");

function newest(folder) {
  return Math.max(...filesBelow(folder).map((file) => statSync(join(folder, file)).mtimeMs));
}

if (!existsSync(join(root, "node_modules/rolldown"))) {
  const done = spawnSync("npm", installArguments, { cwd: root, stdio: ["ignore", 2, 2] });
  if (done.status !== 0) process.exit(2);
}

const sources = ["src/core", "src/cli", "src/store"].map((name) => newest(join(root, name)));
if (!existsSync(bundle) || statSync(bundle).mtimeMs < Math.max(...sources)) {
  const { build } = await import("rolldown");
  await build({
    input: join(root, "src/cli/main.ts"),
    platform: "node",
    external: (id) => !id.startsWith(".") && !id.startsWith("@/") && !id.startsWith("/"),
    resolve: { alias: { "@": join(root, "src") } },
    output: { file: bundle, format: "esm" },
    logLevel: "silent",
  });
}

const { run } = await import(pathToFileURL(bundle).href);
process.exitCode = await run(process.argv.slice(2));
