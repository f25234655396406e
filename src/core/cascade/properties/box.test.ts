import { expect, test } from "vitest";
import { computed, pageWith } from "../../testing/site";

/** What is written, and the name and type of the container in the browser (Chromium 156). */
test.each([
  ["container: quay / inline-size", "quay", "inline-size"],
  ["container: quay pier / size", "quay pier", "size"],
  ["container: quay", "quay", "normal"],
  ["container: none", "none", "normal"],
  ["container: quay / size inline-size", "none", "normal"],
  ["container: quay / inline-size / size", "none", "normal"],
  ["container: / size", "none", "normal"],
  ["container-name: quay; container-name: 5", "quay", "normal"],
  ["container-name: quay; container-name: quay 5", "quay", "normal"],
])("%s", (written, name, type) => {
  const from = pageWith(`#t{${written}}`, '<p id="t">x</p>');
  expect(computed(from, "t", "container-name")).toBe(name);
  expect(computed(from, "t", "container-type")).toBe(type);
});
