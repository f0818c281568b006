// Keeps the shell and the pages last seen, so that a fitting stays open where there is no signal. For a page the network
// always comes first: a kept one is shown only when there is none. Signing out forgets the pages.
const SHELL = "layette-shell-1";
const PAGES = "layette-pages-1";
const ALONE = "layette-offline-1";

// Shown where there is no signal and the page itself was never seen here, with the styles that it names. It is kept apart:
// newer versions of the shell never push it out.
const OFFLINE = "/offline";
const keepOffline = async () => {
  const cache = await caches.open(ALONE);
  const page = await fetch(OFFLINE);
  const styles = [...(await page.clone().text()).matchAll(/href="([^"]+\.(?:css|svg))"/g)].map((each) => each[1]);
  await cache.put(OFFLINE, page);
  await cache.addAll(styles);
};

self.addEventListener("install", (event) => {
  self.skipWaiting();
  // What is sent is none of this script's business, and does not wait for it to wake up.
  event.addRoutes?.({ condition: { requestMethod: "POST" }, source: "network" });
  event.waitUntil(keepOffline());
});
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

const isShell = (url) => /^\/(css|js|fonts|webjars)\//.test(url.pathname) || url.pathname === "/favicon.svg";
// What carries its print in its name is never anything else.
const isForGood = (url) => /-[0-9a-f]{32}\.\w+$/.test(url.pathname);
const isPage = (request, url) =>
  (request.mode === "navigate" && (url.pathname === "/" || url.pathname === "/quick" || url.pathname.startsWith("/fittings/"))) ||
  url.pathname === "/quick/table";

const MOST_KEPT = 80;
// No session lasts longer, and no page of it.
const LONGEST_KEPT_MS = 12 * 3600 * 1000;
const isOld = (response) => Date.now() - Date.parse(response.headers.get("Date") ?? "") > LONGEST_KEPT_MS;

const forgetOldest = async (cache) => {
  const keys = await cache.keys();
  await Promise.all(keys.slice(0, Math.max(0, keys.length - MOST_KEPT)).map((key) => cache.delete(key)));
};

const keep = async (cache, request, response) => {
  await cache.put(request, response);
  await forgetOldest(cache);
};

// What came is shown at once, and kept meanwhile.
const networkFirst = async (event, name) => {
  const { request } = event;
  const cache = await caches.open(name);
  try {
    const response = await fetch(request);
    if (name === PAGES && response.type === "opaqueredirect") {
      // A page leads elsewhere only where nobody is signed in any more: what was kept of the session is over with it.
      await caches.delete(PAGES);
    }
    if (response.ok && !response.redirected) {
      event.waitUntil(keep(cache, request, response.clone()));
    }
    return response;
  } catch (error) {
    // The very page first; else the same fitting at another step.
    const kept =
      (await cache.match(request, { ignoreVary: true })) ?? (await cache.match(request, { ignoreSearch: name === PAGES, ignoreVary: true }));
    if (kept && name === PAGES && isOld(kept)) {
      await caches.delete(PAGES);
    } else if (kept) {
      return kept;
    }
    throw error;
  }
};

// A step that came as pieces is kept as the page that it stands in.
const keepPage = async (href) => {
  const request = new Request(href, { redirect: "manual" });
  const response = await fetch(request);
  if (response.ok) {
    await keep(await caches.open(PAGES), request, response);
  }
};

const keptFirst = async (event) => (await caches.match(event.request)) ?? networkFirst(event, SHELL);

const noConnection = async (request) => {
  const kept = request.mode === "navigate" ? await caches.match(OFFLINE) : undefined;
  return kept ?? Response.error();
};

self.addEventListener("fetch", (event) => {
  const url = new URL(event.request.url);
  if (event.request.method !== "GET" || url.origin !== self.location.origin) {
    return;
  }
  if (isShell(url)) {
    event.respondWith(isForGood(url) ? keptFirst(event) : networkFirst(event, SHELL));
  } else if (isPage(event.request, url)) {
    event.respondWith(networkFirst(event, PAGES).catch(() => noConnection(event.request)));
  } else if (event.request.mode === "navigate") {
    event.respondWith(fetch(event.request).catch(() => noConnection(event.request)));
  }
});

self.addEventListener("message", (event) => {
  if (event.data === "forget") {
    event.waitUntil(caches.delete(PAGES));
  } else if (event.data?.keep) {
    event.waitUntil(keepPage(event.data.keep).catch(() => {}));
  }
});
