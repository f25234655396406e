import { build, installPackages, must } from "./setup.mjs";

installPackages();
await build();
must("npx", ["next", "start", "-H", "localhost", "-p", process.env.PORT ?? "3000"]);
