import { describe, expect, test } from "vitest";
import { applyChanges } from "@/core";
import { Pending } from "./pending";

const css = "h1 { font-size: 20px }\np { color: red }\n";
const at = (text: string, what: string, insert: string) => {
  const start = text.indexOf(what);
  return { path: "a.css", start, end: start + what.length, insert };
};
const reading = (text = css) => {
  const pending = new Pending();
  pending.read(new Map([["a.css", text]]));
  return pending;
};

describe("edits that are not stored yet", () => {
  test("are put upon what another window stored, wherever it moved them to", () => {
    const pending = reading();
    const first = at(css, "20px", "44px");
    pending.add({ label: "Size", changes: [first] });
    const second = applyChanges(css, [first]);
    pending.add({ label: "Size", changes: [at(second, "44px", "4.5rem")] });
    const theirs = css.replace("color: red", "color: #123456; margin: 0").replace("h1", "h1");
    const step = pending.upon(new Map([["a.css", theirs]]))!;
    expect(applyChanges(theirs, step.changes)).toBe("h1 { font-size: 4.5rem }\np { color: #123456; margin: 0 }\n");
    const before = `/* a new first line */\n${css}`;
    const moved = pending.upon(new Map([["a.css", before]]))!;
    expect(applyChanges(before, moved.changes)).toBe(before.replace("20px", "4.5rem"));
  });

  test("are not put upon a place that was changed, too", () => {
    const pending = reading();
    pending.add({ label: "Size", changes: [at(css, "20px", "44px")] });
    expect(pending.upon(new Map([["a.css", css.replace("20px", "5px")]]))).toBeNull();
    expect(pending.upon(new Map())).toBeNull();
  });

  test("are written oldest first, and stay where writing fails", async () => {
    const pending = reading();
    pending.add({ label: "one", changes: [at(css, "20px", "44px")] });
    pending.add({ label: "two", changes: [at(css, "red", "blue")] });
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
    pending.add({ label: "one", changes: [first] });
    pending.add({ label: "two", changes: [second] });
    const twice = applyChanges(once, [second]);
    const back = applyChanges(twice, pending.takeBack()!);
    expect(back).toBe(once);
    expect(applyChanges(back, pending.takeBack()!)).toBe(css);
    expect(pending.takeBack()).toBeNull();
  });
});
