import { defineConfig } from "@playwright/test";
export default defineConfig({ testDir: "/work/main/e2e", reporter: "line", use: { launchOptions: { executablePath: "/usr/bin/chromium", args: ["--no-sandbox","--disable-gpu","--disable-background-networking","--disable-component-update","--disable-sync"] } } });
