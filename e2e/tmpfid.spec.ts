import { test } from "@playwright/test";
import { compareSite } from "./fidelity/compare";
import { nastyPages as frameworkPages } from "./fidelity/nasty";
test("fw", async ({ browser }) => {
  test.setTimeout(600000);
  let files = frameworkPages();
  const only = process.env.ONLY?.split(",");
  if (only) files = files.filter(f => !f.path.endsWith(".html") || only.includes(f.path.slice(0,-5)));
  const t = Date.now();
  const r = await compareSite(browser, files, process.env.W ? process.env.W.split(",").map(Number) : [800]);
  console.log("time", Date.now()-t);
  console.log(r.compared - r.differences.length, "of", r.compared);
  const seen = new Map();
  for (const d of r.differences) { const k = `${d.element.replace(/ \[.*/, "")} ${d.property}: ours ${d.ours.slice(0,90)} browser ${d.browser.slice(0,90)}`; const e = seen.get(k) ?? {n:0,p:new Set()}; e.n++; e.p.add(d.page.slice(0,-5)); seen.set(k, e); }
  for (const [k, e] of [...seen].slice(0, 230)) console.log(e.n, [...e.p].slice(0,3).join(","), k);
  console.log("distinct", seen.size);
});
