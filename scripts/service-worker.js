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
  await cache.addAll(assets.map((path) => new Request(path, { cache: "reload" })));
  await keepAs(cache, "/", keyOf("shelf"));
  for (const view of views) await keepAs(cache, `/site/${anySite}/${view}`, keyOf(view));
}

async function keepAs(cache, path, key) {
  const response = await fetch(path, { cache: "reload" });
  const text = await response.text();
  // While a server is given a new build, both may answer.
  if (!response.ok || !text.includes(version)) throw new Error(`${path} is not of ${version}.`);
  const kept = new Headers(response.headers);
  for (const name of ["content-encoding", "content-length", "transfer-encoding"]) kept.delete(name);
  await cache.put(key, new Response(text, { headers: kept }));
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
  return found ? new Response(found.body, { headers: found.headers }) : fetch(request);
}

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== "GET" || origin !== self.location.origin) return;
  if (assets.includes(pathname)) event.respondWith(asset(request, pathname));
  else if (request.mode === "navigate") event.respondWith(answer(request, pathname));
});
