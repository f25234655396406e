/** The three parts of an open site with an engine that answers when it is told to. */
import type { Remote } from "comlink";
import { beforeEach, describe, expect, test, vi } from "vitest";
import type { ElementRef, Reach, Slip, TargetOption, TextChange } from "@/core";
import { editionOf } from "@/engine/editions";
import type { Engine, PageGlance, PagePatch, PageView } from "@/engine/protocol";
import { FullError } from "@/store/failures";
import { readPasted } from "@/store/read";
import * as sites from "@/store/sites";
import { Asking } from "./asking";
import { createWorkspace, type Storage } from "./store";

const css = "h1 { color: red; }";
const blue: TextChange = { path: "style.css", start: 12, end: 15, insert: "blue" };
const viewOf = (path: string, text = css): PageView => ({
  document: { path, mode: "no-quirks", root: null },
  sheets: [{ owner: 1, media: "", text, edition: editionOf(text), since: null }],
  places: [],
  overrides: [],
  states: [],
  structure: path,
});
const glanceOf = (path: string): PageGlance => {
  const { document, sheets, overrides, states, structure } = viewOf(path);
  return { document, sheets, overrides, states, structure };
};
const patchOf = (path: string, text: string): PagePatch => ({ ...viewOf(path, text), document: null });

const reachOf = (pages: string[], whole: boolean): Reach => ({
  places: pages.map((page) => ({ page, index: 1 })),
  pages,
  whole,
});
const slipOf = (ref: ElementRef, ...reaches: Reach[]) =>
  ({ ref, targets: reaches.map((reach) => ({ reach })) }) as unknown as Slip;

/** Answers that are held back until they are let go. */
class Held {
  private readonly waiting: (() => void)[] = [];
  hold<Answer>(answer: Answer): Promise<Answer> {
    return new Promise((resolve) => this.waiting.push(() => resolve(answer)));
  }
  letGo(at = 0): void {
    this.waiting.splice(at, 1)[0]!();
  }
  get count(): number {
    return this.waiting.length;
  }
}

function engineWith(own: Partial<Engine>) {
  const asked: string[] = [];
  const plain: Partial<Engine> = {
    open: async () => undefined,
    commit: async (_changes, _files, follow = null) => follow,
    summary: async () => null,
    page: async (path) => viewOf(path),
    patch: async (path) => patchOf(path, css),
    slip: async (ref) => slipOf(ref),
    plan: async (edit) => ({
      plan: {
        changes: edit.kind === "text" ? [...edit.changes] : [],
        reach: { places: [], pages: [], whole: true },
        warnings: [],
      } as never,
      judged: null,
      problem: null,
    }),
    rehearse: async (_, path) => patchOf(path, "h1 { color: blue; }"),
    ...own,
  };
  const engine = new Proxy(plain, {
    get: (target, name) =>
      name === "then"
        ? undefined
        : (...args: never[]) => {
            asked.push(String(name));
            return (target[name as keyof Engine] as (...all: never[]) => unknown)(...args);
          },
  }) as unknown as Remote<Engine>;
  return { engine, asked };
}

let id = "";
beforeEach(async () => {
  id = await sites.addSite(readPasted("<h1>Pier</h1>", css));
});

async function open(own: Partial<Engine> = {}, storage: Partial<Storage> = {}) {
  const { engine, asked } = engineWith(own);
  const store = createWorkspace(engine, { ...sites, ...storage });
  await store.getState().load(id, null, null);
  return { store, asked, now: store.getState };
}

const settled = () => new Promise((resolve) => setTimeout(resolve));
/** Waits for something that comes in its own time, such as what is stored. */
async function until(isSo: () => boolean): Promise<void> {
  while (!isSo()) await settled();
}
const textOf = (now: ReturnType<typeof createWorkspace>["getState"]) => {
  const file = now().files.get("style.css")!.file;
  return file.kind === "other" ? "" : file.text;
};

describe("the view", () => {
  test("shows only the page opened last, whichever answer comes first", async () => {
    const held = new Held();
    const { now } = await open({
      page: (path) => (path === "page.html" ? Promise.resolve(viewOf(path)) : held.hold(viewOf(path))),
    });
    const picking = [now().pick({ page: "a.html", index: 1 }), now().pick({ page: "b.html", index: 2 })];
    held.letGo(1);
    await settled();
    expect(now().page).toBe("b.html");
    held.letGo();
    await Promise.all(picking);
    expect([now().page, now().view!.structure]).toEqual(["b.html", "b.html"]);
  });

  test("shows a page before its texts are known, and stays as it stands once they are", async () => {
    const held = new Held();
    const { now } = await open({
      page: (path, _, ahead) => {
        if (path === "page.html") return Promise.resolve(viewOf(path));
        ahead?.(glanceOf(path));
        return held.hold({ ...viewOf(path), places: [{ index: 1 }] as never });
      },
    });
    const numbers = [now().viewNumber];
    const opening = now().openPage("b.html");
    await until(() => now().page === "b.html");
    const { view } = now();
    expect(view).toMatchObject({ structure: "b.html", places: null });
    numbers.push(now().viewNumber);
    held.letGo();
    await opening;
    numbers.push(now().viewNumber);
    // Nothing is built or dressed anew.
    expect(numbers).toEqual([1, 2, 2]);
    expect([now().view!.places, now().view!.document, now().view!.sheets]).toEqual([
      [{ index: 1 }],
      view!.document,
      view!.sheets,
    ]);
    expect(now().view!.sheets).toBe(view!.sheets);
  });

  test("what is told of a page before its texts counts for nothing once they are known, or another page is asked for", async () => {
    const held = new Held();
    let tell = () => undefined as void;
    const { now } = await open({
      page: (path, _, ahead) => {
        if (path === "b.html") tell = () => ahead?.(glanceOf(path));
        return path === "b.html" ? held.hold(viewOf(path)) : Promise.resolve(viewOf(path));
      },
    });
    const opening = now().openPage("b.html");
    await settled();
    tell();
    held.letGo();
    await opening;
    await settled();
    expect([now().viewNumber, now().view!.places]).toEqual([2, []]);
    await now().openPage("c.html");
    const picking = [now().pick({ page: "b.html", index: 1 }), now().pick({ page: "d.html", index: 1 })];
    await settled();
    tell();
    await settled();
    expect(now().page).toBe("d.html");
    held.letGo();
    await Promise.all(picking);
  });

  test("drops the sheets of a page that is not shown any more", async () => {
    const held = new Held();
    const { now } = await open({ patch: (path) => held.hold(patchOf(path, "of the page before")) });
    const changing = now().setConditions({ scheme: "dark" });
    await settled();
    await now().openPage("b.html");
    held.letGo();
    await changing;
    expect(now().view).toMatchObject({ structure: "b.html", sheets: [{ text: css }] });
  });

  test("what is seen of a page tells of the conditions that it is shown under, and of no others", async () => {
    const held = new Held();
    const told: string[] = [];
    const { now } = await open({
      patch: (path) => held.hold(patchOf(path, css)),
      layOut: async (_page, _structure, _layout, _whole, { scheme }) => {
        told.push(scheme);
        return [];
      },
    });
    expect(now().view!.conditions).toBe(now().conditions);
    await now().layOut({}, true);
    const changing = now().setConditions({ scheme: "dark" });
    await now().layOut({}, true);
    expect(told).toEqual(["light"]);
    held.letGo();
    await changing;
    await now().layOut({}, true);
    expect(told).toEqual(["light", "dark"]);
  });

  test("asks for a page again when the conditions changed on the way", async () => {
    const held = new Held();
    const schemes: string[] = [];
    const { now } = await open({
      page: (path, { scheme }) => {
        schemes.push(scheme);
        return path === "b.html" && scheme === "light" ? held.hold(viewOf(path)) : Promise.resolve(viewOf(path));
      },
    });
    const opening = now().openPage("b.html");
    await settled();
    await now().setConditions({ scheme: "dark" });
    held.letGo();
    await opening;
    expect(schemes).toEqual(["light", "light", "dark"]);
  });

  test("is asked for once, in the room that a page will have, while the files are taken in", async () => {
    const taking = new Held();
    const rooms: [number, number][] = [];
    const { engine, asked } = engineWith({
      open: () => taking.hold(undefined),
      page: async (path, { width, height }) => {
        rooms.push([width, height]);
        return viewOf(path);
      },
    });
    const store = createWorkspace(engine, sites);
    const loading = store.getState().load(id, null, { width: 658, height: 518 });
    await until(() => store.getState().view !== null);
    taking.letGo();
    await loading;
    expect([rooms, asked.filter((name) => name === "page")]).toEqual([[[658, 518]], ["page"]]);
  });

  test("shows only the rehearsal asked for last", async () => {
    const held = new Held();
    const { now } = await open({
      rehearse: (changes, path) => held.hold(patchOf(path, changes[0]!.insert)),
    });
    const asked = ["navy", "lime"].map((insert) => now().rehearse({ kind: "text", changes: [{ ...blue, insert }] }));
    await settled();
    held.letGo(1);
    held.letGo();
    await Promise.all(asked);
    expect(now().rehearsal!.patch.sheets[0]!.text).toBe("lime");
    await now().rehearse(null);
    expect(now().rehearsal).toBeNull();
  });

  test("takes off what is let go of, though it arrives later, and leaves what was tried since", async () => {
    const held = new Held();
    const { now } = await open({
      rehearse: (changes, path) => held.hold(patchOf(path, changes[0]!.insert)),
    });
    const [first, second] = ["navy", "lime"].map(
      (insert) => ({ kind: "text", changes: [{ ...blue, insert }] }) as const,
    );
    const late = now().rehearse(first!);
    await settled();
    now().letGo(first!);
    held.letGo();
    await late;
    expect(now().rehearsal).toBeNull();
    const shown = now().rehearse(second!);
    await settled();
    held.letGo();
    await shown;
    now().letGo(first!);
    expect(now().rehearsal!.edit).toBe(second);
    now().letGo(second!);
    expect(now().rehearsal).toBeNull();
  });

  test("shows what is rehearsed at once, and what it reaches on other pages when that is counted", async () => {
    const held = new Held();
    const planned = (pages: string[], whole: boolean) => ({
      plan: { changes: [blue], reach: reachOf(pages, whole), warnings: [] },
      judged: null,
      problem: null,
    });
    const { now } = await open({
      plan: async () => planned(["page.html"], false),
      reach: () => held.hold(planned(["page.html", "b.html"], true)),
    });
    const told: unknown[] = [];
    const first = await now().rehearse({ kind: "text", changes: [blue] }, (result) => told.push(result.plan!.reach));
    expect([first.plan!.reach.whole, now().rehearsal!.patch.sheets[0]!.text]).toEqual([false, "h1 { color: blue; }"]);
    expect(now().reach).toHaveLength(1);
    held.letGo();
    await settled();
    expect(told).toEqual([reachOf(["page.html", "b.html"], true)]);
    expect(now().reach).toHaveLength(2);
    // What was only counted for another value is not told.
    await now().rehearse({ kind: "text", changes: [blue] }, (result) => told.push(result));
    await now().rehearse(null);
    held.letGo();
    await settled();
    expect([told.length, now().rehearsal]).toEqual([1, null]);
  });

  test("stops counting where it is, and goes on", async () => {
    let told: (done: number, of: number) => void = () => undefined;
    const { now, asked } = await open({
      summary: async (_, report) => {
        told = report!;
        return null;
      },
      stopSummary: async () => undefined,
    });
    const counted = () => asked.filter((name) => name === "summary").length;
    const before = counted();
    const clock = vi.spyOn(performance, "now").mockReturnValue(performance.now() + 10_000);
    told(5, 300);
    expect(now().reading).toEqual({ done: 5, of: 300, paused: false });
    now().pauseReading(true);
    told(6, 300);
    expect([now().reading, asked.includes("stopSummary")]).toEqual([{ done: 5, of: 300, paused: true }, true]);
    now().pauseReading(false);
    expect([now().reading?.paused, counted()]).toEqual([false, before + 1]);
    clock.mockRestore();
  });

  test("says how many pages are looked under, and counts anew when all are", async () => {
    const { now, asked } = await open();
    const counted = () => asked.filter((name) => name === "summary").length;
    const before = counted();
    now().surveyed(0, 3);
    now().pauseSurvey(true);
    expect([now().survey, counted()]).toEqual([{ done: 0, of: 3, paused: true }, before]);
    now().pauseSurvey(false);
    now().surveyed(2, 3);
    expect([now().survey, counted()]).toEqual([{ done: 2, of: 3, paused: false }, before]);
    now().surveyed(3, 3);
    expect([now().survey, counted()]).toEqual([null, before + 1]);
    now().surveyed(3, 3);
    expect(counted()).toBe(before + 1);
  });
});

describe("the selection", () => {
  test("shows the slip of what was picked last", async () => {
    const held = new Held();
    const { now } = await open({ slip: (ref) => held.hold(slipOf(ref)) });
    const picking = [1, 2].map((index) => now().pick({ page: "page.html", index }));
    await settled();
    held.letGo(1);
    held.letGo();
    await Promise.all(picking);
    expect(now().slip!.ref.index).toBe(2);
  });

  test("a slip is counted when it comes, once for each pick, and not while the one before is shown", async () => {
    const held = new Held();
    const { now } = await open({ slip: (ref) => held.hold(slipOf(ref)) });
    const counts: number[] = [];
    const picking = now().pick({ page: "page.html", index: 1 });
    await settled();
    counts.push(now().slips);
    held.letGo();
    await picking;
    counts.push(now().slips);
    const again = now().setConditions({ scheme: "dark" });
    await until(() => held.count > 0);
    held.letGo();
    await again;
    counts.push(now().slips);
    const both = [now().pick({ page: "page.html", index: 2 }), now().pick({ page: "page.html", index: 3 })];
    await settled();
    held.letGo();
    await settled();
    counts.push(now().slips);
    held.letGo();
    await Promise.all(both);
    counts.push(now().slips);
    expect(counts).toEqual([0, 1, 1, 1, 2]);
  });

  test("shows the slip at once, and what its ways to write reach on other pages when that is counted", async () => {
    const held = new Held();
    const whole = [{ reach: reachOf(["page.html", "b.html"], true) }] as unknown as TargetOption[];
    const { now, asked } = await open({
      slip: async (ref) => slipOf(ref, reachOf(["page.html"], ref.index === 3)),
      targets: () => held.hold(whole),
    });
    await now().pick({ page: "page.html", index: 1 });
    expect(now().slip!.targets[0]!.reach.whole).toBe(false);
    held.letGo();
    await settled();
    expect(now().slip!.targets).toEqual(whole);
    await now().pick({ page: "page.html", index: 2 });
    await now().pick({ page: "page.html", index: 3 });
    held.letGo();
    await settled();
    expect(now().slip!.targets[0]!.reach.pages).toEqual(["page.html"]);
    expect(asked.filter((name) => name === "targets")).toHaveLength(2);
  });

  test("what was picked stays picked where it stands among the elements by then", async () => {
    const { now } = await open({
      commit: async (_, __, follow = null) => follow && { ...follow, index: follow.index + 2 },
    });
    await now().pick({ page: "page.html", index: 1 });
    await now().write({ kind: "text", changes: [blue] }, "Link a sheet");
    expect([now().picked?.index, now().slip?.ref.index]).toEqual([3, 3]);
  });

  test("a step that only puts a file into the site is written", async () => {
    const { now } = await open({});
    const after = { ...now().files.get("style.css")!.file, path: "b.css" };
    await now().write({ kind: "text", changes: [] }, "Make b.css", [{ path: "b.css", before: null, after }]);
    expect([...now().files.keys()]).toContain("b.css");
  });

  test("what is no text any more is not picked any more", async () => {
    const { now } = await open({ slip: async () => null });
    await now().pick({ page: "page.html", index: 1 });
    expect([now().picked, now().slip]).toEqual([null, null]);
  });
});

describe("the history", () => {
  const write = (now: ReturnType<typeof createWorkspace>["getState"], change = blue) =>
    now().write({ kind: "text", changes: [change] }, "color: blue");

  test("writes, takes back and makes again, and asks for all anew", async () => {
    const { now, asked } = await open();
    const { edition } = now();
    await write(now);
    expect([textOf(now), now().save.kind, now().edition]).toEqual(["h1 { color: blue; }", "saved", edition + 1]);
    await now().undo();
    expect([textOf(now), now().redoable]).toEqual([css, 1]);
    await now().redo();
    expect([textOf(now), now().redoable]).toEqual(["h1 { color: blue; }", 0]);
    expect(asked.filter((name) => name === "commit")).toHaveLength(3);
  });

  test("what is rehearsed is what is written, without another plan", async () => {
    const { now, asked } = await open();
    await now().rehearse({ kind: "text", changes: [blue] });
    await write(now);
    expect(asked.filter((name) => name === "plan")).toHaveLength(1);
    expect(now().rehearsal).toBeNull();
  });

  test("what is still tried while something else is written is to be tried again, until it is let go", async () => {
    const { now } = await open();
    const tried = { kind: "text", changes: [{ ...blue, insert: "green" }] } as const;
    await now().rehearse(tried);
    await write(now);
    expect(now()).toMatchObject({ rehearsal: null, untried: { edit: tried } });
    const { untried } = now();
    await now().undo();
    expect(now().untried).toEqual(untried);
    expect(now().untried).not.toBe(untried);
    now().letGo(tried);
    const last = now().untried;
    await now().redo();
    expect(now().untried).toBe(last);
    await now().rehearse({ kind: "text", changes: [blue] });
    await write(now);
    expect(now().untried).toBe(last);
  });

  test("what cannot be stored stays, says so, is undone, and is stored with the next that can be", async () => {
    let full = true;
    const { now } = await open(
      {},
      {
        writeStep: async (...args) => {
          if (full) throw new FullError();
          return sites.writeStep(...args);
        },
      },
    );
    await write(now);
    expect([textOf(now), now().save.kind]).toEqual(["h1 { color: blue; }", "unsaved"]);
    expect(now().notice).toContain("storage is full");
    await now().undo();
    expect([textOf(now), now().save.kind]).toEqual([css, "saved"]);
    await write(now);
    full = false;
    await now().write({ kind: "text", changes: [{ ...blue, start: 16, end: 17, insert: "; margin: 0;" }] }, "margin");
    expect([now().save.kind, now().notice]).toEqual(["saved", null]);
    const stored = await sites.loadSite(id);
    expect(stored!.steps.map(({ label }) => label)).toEqual(["color: blue", "margin"]);
  });

  test("what another window wrote is read, and what was picked stays picked", async () => {
    const { now } = await open();
    await now().pick({ page: "page.html", index: 3 });
    await sites.writeStep(
      { site: id, revision: 0 },
      { label: "there", changes: [{ ...blue, insert: "tan" }], files: [] },
    );
    await now().catchUp();
    expect([textOf(now), now().picked?.index]).toEqual(["h1 { color: tan; }", 3]);
  });

  test("a font that is added is written with its rule, and undone with it", async () => {
    const committed: (string | null)[][] = [];
    const { now } = await open({
      commit: async (_, files) => {
        committed.push(files.map(({ after }) => after && after.path));
        return null;
      },
      checkFont: async () => ({ family: "Pier", style: "Regular", problem: null }),
      declareFont: async () => ({ changes: [{ ...blue, start: 0, end: 0, insert: "@font-face{}" }], problem: null }),
    });
    const { changes, files } = await now().fontToAdd("Pier One.woff2", Uint8Array.of(1));
    expect(now().files.has("fonts/Pier-One.woff2")).toBe(false);
    await now().write({ kind: "text", changes }, "Add Pier", files);
    expect([now().files.has("fonts/Pier-One.woff2"), now().save.kind]).toEqual([true, "saved"]);
    expect((await now().fontToAdd("Pier One.woff2", Uint8Array.of(1))).problem).toContain("already");
    await now().undo();
    expect([now().files.has("fonts/Pier-One.woff2"), textOf(now)]).toEqual([false, css]);
    expect(committed).toEqual([["fonts/Pier-One.woff2"], [null]]);
  });
});

test("a site that cannot be read says why, and is not waited for", async () => {
  const { now } = await open(
    {},
    {
      loadSite: async () => {
        throw new FullError();
      },
    },
  );
  expect([now().status, now().notice]).toEqual(["failed", expect.stringContaining("storage is full")]);
});

describe("asking", () => {
  const about = { page: "a", conditions: 1, files: 1 };

  test("the same of the same edition is asked once; of another, and where it failed, again", async () => {
    let fails = true;
    const { engine, asked } = engineWith({
      siteColors: async () => {
        if (fails) throw new Error("ended");
        return [];
      },
    });
    const asking = new Asking(engine, () => about);
    await expect(asking.shared("siteColors", [], 1)).rejects.toThrow("ended");
    fails = false;
    const [one, two] = [asking.shared("siteColors", [], 1), asking.shared("siteColors", [], 1)];
    expect(await one).toBe(await two);
    await asking.shared("siteColors", [], 2);
    expect(asked).toHaveLength(3);
  });

  test("an answer about what is another by now is dropped", async () => {
    const held = new Held();
    const { engine } = engineWith({});
    let now = about;
    const asking = new Asking(engine, () => now);
    const asked = asking.current(() => held.hold("answer"));
    now = { ...about, conditions: 2 };
    held.letGo();
    expect(await asked).toBeNull();
    expect(await asking.current(async () => "answer")).toBe("answer");
  });
});
