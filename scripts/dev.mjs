import { installPackages, must, packSample, writeLibraryStyles, writeNoServiceWorker } from "./setup.mjs";

installPackages();
await packSample();
await writeLibraryStyles();
writeNoServiceWorker();
must("npx", ["next", "dev", "-p", process.env.PORT ?? "3000"]);
