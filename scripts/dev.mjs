import { installPackages, must, packSample, writeNoServiceWorker } from "./setup.mjs";

installPackages();
await packSample();
writeNoServiceWorker();
must("npx", ["next", "dev", "-p", process.env.PORT ?? "3000"]);
