/** Without a network, after an update, and with files that the machine hands over. */
import { createServer, request as ask, type Server } from "node:http";
import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { pickText, ready, sampleFile } from "./support/desk";

test.use({ serviceWorkers: "allow" });

const build = readFileSync(new URL("../.next/BUILD_ID", import.meta.url), "utf8").trim();

/** Stands between the browser and the server: it can be cut off, and claim to have another build. */
class Between {
  isCut = false;
  version = build;
  private readonly server: Server;

  constructor() {
    this.server = createServer((request, response) => {
      if (this.isCut) return void request.socket.destroy();
      const headers: Record<string, string | string[] | undefined> = {
        ...request.headers,
        host: "localhost:4180",
        "accept-encoding": "identity",
      };
      // What it says is another, though the server's own files are the same.
      delete headers["if-none-match"];
      delete headers["if-modified-since"];
      const path = request.url!.replaceAll(this.version, build);
      const through = ask({ port: 4180, host: "localhost", path, method: request.method!, headers });
      through.on("response", (answer) => {
        const parts: Buffer[] = [];
        answer.on("data", (part: Buffer) => parts.push(part));
        answer.on("end", () => {
          const whole = Buffer.concat(parts);
          const isText = /html|javascript|x-component/.test(answer.headers["content-type"] ?? "");
          const body = isText ? Buffer.from(whole.toString("utf8").replaceAll(build, this.version)) : whole;
          const kept = { ...answer.headers, "content-length": String(body.length) };
          delete (kept as Record<string, unknown>)["transfer-encoding"];
          response.writeHead(answer.statusCode!, kept).end(body);
        });
      });
      through.on("error", () => response.destroy());
      through.end();
    });
  }

  listen(): Promise<string> {
    return new Promise((resolve) => {
      this.server.listen(0, "localhost", () => {
        const address = this.server.address();
        resolve(`http://localhost:${typeof address === "object" ? address!.port : 0}`);
      });
    });
  }

  close(): void {
    this.server.closeAllConnections();
    this.server.close();
  }
}

const active = (page: Page) => page.evaluate(async () => (await navigator.serviceWorker.ready).active!.state);

/** Keeping the application waits until a person has had what was asked for first. */
async function aMomentLater(page: Page): Promise<void> {
  await expect(
    page
      .getByText("Ossel Island Ferries")
      .or(page.getByRole("button", { name: /^Sample site/ }))
      .first(),
  ).toBeVisible();
  await page.clock.fastForward(15_000);
}

test("once it was there, it works without a network; a newer build is taken when that is wished for, whole", async ({
  page,
}) => {
  const between = new Between();
  const address = await between.listen();
  try {
    await page.clock.install();
    await page.goto(address);
    expect(await page.evaluate(() => navigator.serviceWorker.getRegistration())).toBe(undefined);
    await aMomentLater(page);
    // All of the build is fetched meanwhile.
    await expect.poll(() => active(page), { timeout: 60_000 }).toBe("activated");
    // What is known as a script is compiled as it is kept, in the process of the window.
    const types = await page.evaluate(async (name) => {
      const cache = await caches.open(name);
      const kept = await Promise.all((await cache.keys()).map((request) => cache.match(request)));
      return [...new Set(kept.map((response) => response!.headers.get("content-type")!))].sort();
    }, `hevret ${build}`);
    expect(types).toEqual(["application/octet-stream", "text/html; charset=utf-8"]);

    between.isCut = true;
    await page.goto(address);
    await page.getByRole("button", { name: /^Sample site/ }).click();
    await ready(page);
    await pickText(page, "Winter sailings");
    for (const view of ["Text styles", "Colours", "Sheets", "Changes"]) {
      await page.getByRole("link", { name: new RegExp(`^${view}`) }).click();
      await expect(page.getByRole("main", { name: view })).toBeVisible();
    }
    await page.reload();
    await expect(page.getByRole("main", { name: "Changes" })).toBeVisible();
    await page.getByRole("link", { name: "Hevret" }).click();
    await expect(page.getByText("Ossel Island Ferries").first()).toBeVisible();

    between.isCut = false;
    between.version = "x".repeat(build.length);
    const versions = () => page.evaluate(async () => (await caches.keys()).sort());
    await page.evaluate(async () => (await navigator.serviceWorker.ready).update());
    await aMomentLater(page);
    await expect(page.getByText("A newer Hevret is here.")).toBeVisible();
    expect(await versions()).toEqual([`hevret ${build}`, `hevret ${between.version}`].sort());
    expect(await page.content()).toContain(build);
    await page.getByRole("button", { name: "Take it now" }).click();
    // The window loads anew meanwhile.
    await expect(async () => {
      expect(await versions()).toEqual([`hevret ${between.version}`]);
      expect(await page.content()).toContain(between.version);
    }).toPass();
    await expect(page.getByText("Ossel Island Ferries").first()).toBeVisible();
  } finally {
    between.close();
  }
});

test("files that are opened with it are taken, and it can be installed", async ({ page }) => {
  await page.addInitScript(() => {
    const taken = (take: unknown) => Object.assign(window, { take });
    Object.defineProperty(window, "launchQueue", { value: { setConsumer: taken } });
  });
  await page.goto("/");
  const manifest = await page.evaluate(async () => {
    const link = document.querySelector<HTMLLinkElement>('link[rel="manifest"]')!;
    return (await (await fetch(link.href)).json()) as { file_handlers: { accept: Record<string, string[]> }[] };
  });
  expect(Object.values(manifest.file_handlers[0]!.accept).flat()).toEqual([".html", ".htm", ".xhtml", ".css", ".zip"]);
  await page.waitForFunction(() => "take" in window);
  await page.evaluate((text) => {
    const file = new File([text], "notices.html", { type: "text/html" });
    const { take } = window as unknown as { take(launched: { files: { getFile(): Promise<File> }[] }): void };
    take({ files: [{ getFile: async () => file }] });
  }, sampleFile("notices.html").toString("utf8"));
  await ready(page);
  await expect(page.getByRole("link", { name: /^Sheets/ })).toBeVisible();
});
