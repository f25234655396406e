import { describe, expect, test } from "vitest";
import { applyChanges, type StoredFile } from "@/core";
import { Pending } from "./pending";

const css = "h1 { font-size: 20px }\np { color: red }\n";
const at = (text: string, what: string, insert: string) => {
  const start = text.indexOf(what);
  return { path: "a.css", start, end: start + what.length, insert };
};
const sheet = (text: string, path = "a.css"): StoredFile => ({
  kind: "css",
  path,
  text,
  encoding: { name: "utf-8", bom: false },
});
const reading = (text = css) => {
  const pending = new Pending();
  pending.read([sheet(text)]);
  return pending;
};
const font: StoredFile = { kind: "other", path: "fonts/pier.woff2", bytes: Uint8Array.of(1) };
const adding = { path: font.path, before: null, after: font };

describe("edits that are not stored yet", () => {
  test("are put upon what another window stored, wherever it moved them to", () => {
    const pending = reading();
    const first = at(css, "20px", "44px");
    pending.add({ label: "Size", changes: [first], files: [] });
    const second = applyChanges(css, [first]);
    pending.add({ label: "Size", changes: [at(second, "44px", "4.5rem")], files: [] });
    const theirs = css.replace("color: red", "color: #123456; margin: 0").replace("h1", "h1");
    const step = pending.upon([sheet(theirs)])!;
    expect(applyChanges(theirs, step.changes)).toBe("h1 { font-size: 4.5rem }\np { color: #123456; margin: 0 }\n");
    const before = `/* a new first line */\n${css}`;
    const moved = pending.upon([sheet(before)])!;
    expect(applyChanges(before, moved.changes)).toBe(before.replace("20px", "4.5rem"));
  });

  test("are not put upon a place that was changed, too", () => {
    const pending = reading();
    pending.add({ label: "Size", changes: [at(css, "20px", "44px")], files: [] });
    expect(pending.upon([sheet(css.replace("20px", "5px"))])).toBeNull();
    expect(pending.upon([])).toBeNull();
  });

  test("are written oldest first, and stay where writing fails", async () => {
    const pending = reading();
    pending.add({ label: "one", changes: [at(css, "20px", "44px")], files: [] });
    pending.add({ label: "two", changes: [at(css, "red", "blue")], files: [] });
    const written: string[] = [];
    const write = async ({ label }: { label: string }) => {
      if (label === "two") throw new Error("full");
      written.push(label);
    };
    await expect(pending.store(write)).rejects.toThrow("full");
    expect([written, pending.isEmpty]).toEqual([["one"], false]);
  });

  test("are taken back one by one, without the storage", () => {
    const pending = reading();
    const first = at(css, "20px", "44px");
    const once = applyChanges(css, [first]);
    const second = at(once, "red", "blue");
    pending.add({ label: "one", changes: [first], files: [] });
    pending.add({ label: "two", changes: [second], files: [] });
    const twice = applyChanges(once, [second]);
    const back = applyChanges(twice, pending.takeBack()!.changes);
    expect(back).toBe(once);
    expect(applyChanges(back, pending.takeBack()!.changes)).toBe(css);
    expect(pending.takeBack()).toBeNull();
  });

  test("that put a file in are put upon what another window stored, unless it has one of that name", () => {
    const pending = reading();
    pending.add({ label: "Add Pier", changes: [at(css, "20px", "44px")], files: [adding] });
    const theirs = css.replace("red", "blue");
    expect(pending.upon([sheet(theirs)])).toMatchObject({ files: [adding], changes: [{ insert: "44" }] });
    expect(pending.upon([sheet(theirs), font])).toBeNull();
    expect(pending.takeBack()!.files).toEqual([{ path: font.path, before: font, after: null }]);
  });

  test("that change a sheet they put in carry it with its text as it is", () => {
    const pending = reading();
    const made = sheet("p {}\n", "b.css");
    pending.add({ label: "New sheet", changes: [], files: [{ path: "b.css", before: null, after: made }] });
    const rule = { path: "b.css", start: 2, end: 4, insert: "{ margin: 0 }" };
    pending.add({ label: "margin", changes: [rule], files: [] });
    const after = { ...made, text: "p { margin: 0 }\n" };
    expect(pending.upon([sheet(css)])).toMatchObject({ changes: [], files: [{ path: "b.css", before: null, after }] });
    expect(pending.takeBack()!.changes).toEqual([{ path: "b.css", start: 2, end: 15, insert: "{}" }]);
  });
});
