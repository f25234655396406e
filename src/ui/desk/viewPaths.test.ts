import { expect, test } from "vitest";
import { viewAt, viewPaths } from "./viewPaths";

test.each(viewPaths)("the address of %s leads there", (view) => {
  expect(viewAt(`/site/an-id/${view}`)).toEqual({ id: "an-id", view });
});

test.each([
  "/",
  "/site/an-id",
  "/site/an-id/",
  "/site/an-id/nothing",
  "/site//page",
  "/site/an-id/page/more",
  "/a/site/x/page",
])("%s is no view of a site", (path) => expect(viewAt(path)).toBeNull());
