// What waits in this browser outlives a session, and belongs to one person: it is kept sealed (AES-GCM) with a key that
// the server gives to that person alone. The key stays here as long as the session does, and cannot be taken out of the
// browser. Where a browser can seal nothing (a page without HTTPS), things are kept as they are.
window.layette = window.layette ?? {};
(() => {
  "use strict";

  const BASE = "layette-safe";
  const STORE = "keys";
  const IV_BYTES = 12;
  const LONGEST_ASK_MS = 3000;
  const LONGEST_KEPT_MS = 12 * 3600 * 1000;
  const me = document.body.dataset.user ?? "";
  const canSeal = Boolean(window.crypto?.subtle && window.indexedDB);

  const keys = (mode, act) =>
    new Promise((resolve, reject) => {
      const open = indexedDB.open(BASE, 1);
      open.onupgradeneeded = () => open.result.createObjectStore(STORE);
      open.onerror = () => reject(open.error);
      open.onsuccess = () => {
        const request = act(open.result.transaction(STORE, mode).objectStore(STORE));
        request.onerror = () => reject(request.error);
        request.onsuccess = () => {
          resolve(request.result);
          open.result.close();
        };
      };
    });

  const bytesOf = (text) => Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0));
  const textOf = (bytes) => {
    let letters = "";
    bytes.forEach((byte) => (letters += String.fromCharCode(byte)));
    return btoa(letters);
  };

  const imported = (raw) => crypto.subtle.importKey("raw", bytesOf(raw), "AES-GCM", false, ["encrypt", "decrypt"]);

  const forget = () => (canSeal ? keys("readwrite", (store) => store.clear()).catch(() => {}) : Promise.resolve());

  const fetched = async () => {
    const response = await fetch("/account/safe-key", { redirect: "error", signal: AbortSignal.timeout(LONGEST_ASK_MS) });
    const key = response.ok ? await imported(await response.text()) : null;
    if (key) {
      await keys("readwrite", (store) => store.put({ key, at: Date.now() }, me)).catch(() => {});
    }
    return key;
  };

  const found = async () => {
    if (!canSeal || !me) {
      // Nobody is in: whatever was left of an earlier session goes.
      await forget();
      return null;
    }
    const kept = await keys("readonly", (store) => store.get(me)).catch(() => null);
    if (kept && Date.now() - kept.at < LONGEST_KEPT_MS) {
      return kept.key;
    }
    await forget();
    return fetched().catch(() => null);
  };

  const mine = found();

  const seal = async (key, bytes) => {
    const iv = crypto.getRandomValues(new Uint8Array(IV_BYTES));
    return { iv, data: new Uint8Array(await crypto.subtle.encrypt({ name: "AES-GCM", iv }, key, bytes)) };
  };
  const open = async (key, { iv, data }) => new Uint8Array(await crypto.subtle.decrypt({ name: "AES-GCM", iv }, key, data));

  /** A value as a text that only its person can read; the plain text where nothing can be sealed. */
  const sealText = async (value) => {
    const key = await mine;
    const plain = JSON.stringify(value);
    if (!key) {
      return plain;
    }
    const { iv, data } = await seal(key, new TextEncoder().encode(plain));
    return JSON.stringify({ sealed: `${textOf(iv)}.${textOf(data)}` });
  };

  const openWith = async (key, text) => {
    const read = JSON.parse(text);
    if (typeof read?.sealed !== "string") {
      return read;
    }
    if (!key) {
      return null;
    }
    const [iv, data] = read.sealed.split(".").map(bytesOf);
    return JSON.parse(new TextDecoder().decode(await open(key, { iv, data })));
  };

  /** The value behind a text; null where it is somebody else's, or spoilt. */
  const openText = async (text) => openWith(await mine, text).catch(() => null);

  const sealFile = async (file) => {
    const key = await mine;
    return key ? { ...(await seal(key, await file.arrayBuffer())), name: file.name, type: file.type } : file;
  };
  const openFile = async (kept, theirs) => {
    if (!kept?.iv) {
      return kept;
    }
    const key = theirs ?? (await mine);
    return key ? new File([await open(key, kept)], kept.name, { type: kept.type }) : null;
  };

  document.querySelector("[data-sign-out]")?.addEventListener("submit", forget);

  window.layette.safe = { sealText, openText, openWith, sealFile, openFile, imported, forget, key: mine };
})();
