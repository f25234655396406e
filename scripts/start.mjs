import { build, installPackages, must } from "./setup.mjs";

installPackages();
await build();
must(process.execPath, ["scripts/serve.mjs"]);
