// What a tab takes with a large site, as its users have it: the browser is driven by a bare pipe, since what a test's own
// tools listen to is kept by the browser for them, in the memory of the tab.
import { spawn } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** Chromium with one window, asked in the words of its protocol for tools. */
class PipedBrowser {
  profile = mkdtempSync(join(tmpdir(), "hevret-bench-"));
  waiting = new Map();
  asked = 0;

  constructor() {
    const flags = ["--headless", "--no-sandbox", "--disable-gpu", "--disable-background-networking"];
    this.process = spawn(
      "/usr/bin/chromium",
      [
        ...flags,
        "--disable-component-update",
        "--disable-sync",
        "--remote-debugging-pipe",
        "--window-size=1280,800",
        `--user-data-dir=${this.profile}`,
        "about:blank",
      ],
      { stdio: ["ignore", "ignore", "ignore", "pipe", "pipe"], detached: true },
    );
    let rest = "";
    this.process.stdio[4].on("data", (data) => {
      const messages = (rest + data).split("\0");
      rest = messages.pop();
      for (const { id, result } of messages.map((text) => JSON.parse(text))) {
        this.waiting.get(id)?.(result);
        this.waiting.delete(id);
      }
    });
  }

  send(method, params, sessionId) {
    const id = (this.asked += 1);
    this.process.stdio[3].write(`${JSON.stringify({ id, method, params, sessionId })}\0`);
    return new Promise((resolve) => this.waiting.set(id, resolve));
  }

  /** @returns asks for the value of an expression in the page */
  async open(address) {
    const { targetId } = await this.send("Target.createTarget", { url: address });
    const { sessionId } = await this.send("Target.attachToTarget", { targetId, flatten: true });
    const asked = { awaitPromise: true, returnByValue: true };
    return async (expression) =>
      (await this.send("Runtime.evaluate", { ...asked, expression }, sessionId)).result.value;
  }

  /** The largest process of it that draws pages; KiB, null where the system tells none. */
  memory() {
    const statuses = existsSync("/proc") ? readdirSync("/proc").map((name) => statusOf(name, this.profile)) : [];
    return statuses.filter(Boolean).sort((a, b) => b.resident - a.resident)[0] ?? null;
  }

  async close() {
    const ended = new Promise((resolve) => this.process.once("exit", resolve));
    process.kill(-this.process.pid);
    await ended;
    rmSync(this.profile, { recursive: true, force: true, maxRetries: 10, retryDelay: 200 });
  }
}

function statusOf(name, profile) {
  try {
    const command = readFileSync(`/proc/${name}/cmdline`, "utf8");
    if (!command.includes("--type=renderer") || !command.includes(profile)) return null;
    const status = readFileSync(`/proc/${name}/status`, "utf8");
    const figure = (key) => Number(new RegExp(`^${key}:\\s+(\\d+)`, "m").exec(status)[1]);
    return { resident: figure("VmRSS"), own: figure("RssAnon") };
  } catch {
    return null;
  }
}

const wait = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));

async function until(holds, each = 500, seconds = 600) {
  for (const end = performance.now() + seconds * 1000; performance.now() < end;) {
    if (await holds()) return;
    await wait(each);
  }
  throw new Error("The application does not come to it.");
}

/**
 * Opens a site and leaves it alone.
 * @param seconds it is looked at for so long after the counts stand; null to wait until all pages are seen, and half a minute more
 */
export async function measureMemory(address, zip, pages, seconds) {
  const browser = new PipedBrowser();
  try {
    const ask = await browser.open(address);
    await until(() => ask(`!!document.querySelector('input[type=file]:not([webkitdirectory])')`));
    await wait(4000);
    await ask(`(() => {
      const bytes = Uint8Array.from(atob("${Buffer.from(zip).toString("base64")}"), (one) => one.charCodeAt(0));
      const files = new DataTransfer();
      files.items.add(new File([bytes], "handbook.zip", { type: "application/zip" }));
      const input = document.querySelector('input[type=file]:not([webkitdirectory])');
      input.files = files.files;
      input.dispatchEvent(new Event("change", { bubbles: true }));
    })()`);
    const tabs = `document.querySelector('nav[aria-label="Views"]')?.textContent ?? ""`;
    await until(() => ask(`/Stacks\\s*\\d/.test(${tabs})`));
    const counted = browser.memory();
    let most = counted;
    const look = async (milliseconds) => {
      await wait(milliseconds);
      const now = browser.memory();
      if (now && now.resident > most.resident) most = now;
    };
    const started = performance.now();
    if (seconds !== null) for (let at = 0; at < seconds; at += 1) await look(1000);
    else await lookUntilSeen(ask, look);
    const took = (performance.now() - started) / 1000;
    if (seconds === null) for (let at = 0; at < 30; at += 1) await look(1000);
    const about = seconds === null ? `until all are seen, ${took.toFixed(0)} s later` : `in ${seconds} s more`;
    const rest = seconds === null ? `, and half a minute after that ${words(browser.memory())}` : "";
    console.log(
      `Memory of the tab with ${pages} pages: ${words(counted)} when all is counted, at most ${words(most)} ${about}${rest}`,
    );
  } finally {
    await browser.close();
  }
}

/** Asking the page often keeps the browser from collecting. */
async function lookUntilSeen(ask, look) {
  await ask(`[...document.querySelectorAll("a")].find((link) => /^Findings/.test(link.textContent)).click()`);
  const left = `/still to be seen/.test(document.querySelector("main")?.textContent ?? document.body.textContent)`;
  await until(() => ask(left), 200);
  while (await ask(left)) for (let at = 0; at < 8; at += 1) await look(1000);
}

const megabytes = (kibibytes) => Math.round(kibibytes / 1024);

const words = (memory) =>
  memory ? `${megabytes(memory.resident)} MB, ${megabytes(memory.own)} MB of it its own,` : "not known";
