/*
 * Hevret without a network. All of one build is kept when it is installed, and only that is given: files of two builds
 * are never mixed. A newer build waits until all windows are closed, or until it is told to take over.
 * The words in capitals are put in when it is built (scripts/setup.mjs).
 */
const version = "BUILD_VERSION";
const assets = BUILD_ASSETS;
const views = BUILD_VIEWS;

const cacheName = `hevret ${version}`;

/** As long as an id of a site, in whose place it stands in what is kept. */
const anySite = "00000000-0000-4000-8000-000000000000";
const siteView = /^\/site\/([^/]+)\/([a-z-]+)$/;

/** What the page of a view is kept as. */
const keyOf = (view) => `/kept/${view}`;

async function keep() {
  const cache = await caches.open(cacheName);
  for (const path of assets) await keepAsset(cache, path);
  await keepView(cache, "/", keyOf("shelf"));
  for (const view of views) await keepView(cache, `/site/${anySite}/${view}`, keyOf(view));
}

/** Where what a file is stands as long as it is kept. */
const typeKept = "kept-type";

/**
 * Kept as nothing in particular: what is known as a script a browser compiles as it is kept, beside whatever the window
 * is at, and holds 25 MB for it in the same process.
 */
async function keepAsset(cache, path) {
  const response = await fetch(path, { cache: "reload" });
  if (!response.ok) throw new Error(`${path} did not come.`);
  const headers = plainHeaders(response);
  headers.set(typeKept, headers.get("content-type"));
  headers.set("content-type", "application/octet-stream");
  await cache.put(path, new Response(await response.blob(), { headers }));
}

async function keepView(cache, path, key) {
  const response = await fetch(path, { cache: "reload" });
  const text = await response.text();
  // While a server is given a new build, both may answer.
  if (!response.ok || !text.includes(version)) throw new Error(`${path} is not of ${version}.`);
  await cache.put(key, new Response(text, { headers: plainHeaders(response) }));
}

/** Without those that say how a body came. */
function plainHeaders(response) {
  const headers = new Headers(response.headers);
  for (const name of ["content-encoding", "content-length", "transfer-encoding"]) headers.delete(name);
  return headers;
}

async function forget() {
  for (const name of await caches.keys())
    if (name.startsWith("hevret ") && name !== cacheName) await caches.delete(name);
}

self.addEventListener("install", (event) => event.waitUntil(keep()));
self.addEventListener("activate", (event) => event.waitUntil(forget()));
self.addEventListener("message", ({ data }) => {
  if (data === "take over") self.skipWaiting();
});

/** A view as it is kept, with the id of the site that is asked for. */
async function kept(view, id) {
  const response = await caches.match(keyOf(view), { cacheName });
  if (!response) return null;
  const text = await response.text();
  return new Response(id === null ? text : text.replaceAll(anySite, id), { headers: response.headers });
}

async function answer(request, path) {
  const [, id = null, view = path === "/" ? "shelf" : null] = siteView.exec(path) ?? [];
  const found = view ? await kept(view, id) : null;
  return found ?? fetch(request);
}

/** A file of the build. Made anew, it has the address it was asked for by: a worker reads what it is to do from it. */
async function asset(request, path) {
  const found = await caches.match(path, { cacheName, ignoreVary: true });
  if (!found) return fetch(request);
  const headers = new Headers(found.headers);
  headers.set("content-type", headers.get(typeKept));
  headers.delete(typeKept);
  return new Response(found.body, { headers });
}

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== "GET" || origin !== self.location.origin) return;
  if (assets.includes(pathname)) event.respondWith(asset(request, pathname));
  else if (request.mode === "navigate") event.respondWith(answer(request, pathname));
});
