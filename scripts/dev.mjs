import { installPackages, must, packSample } from "./setup.mjs";

installPackages();
await packSample();
must("npx", ["next", "dev", "-p", process.env.PORT ?? "3000"]);
