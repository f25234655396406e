import base from "./playwright.config";
export default { ...base, testDir: "/work/main/e2e", webServer: undefined, retries: 0, workers: 1, outputDir: "/tmp/t/pwout" };
