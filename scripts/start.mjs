import { build, installPackages, must } from "./setup.mjs";

installPackages();
await build();
must("npx", ["next", "start", "-p", process.env.PORT ?? "3000"]);
