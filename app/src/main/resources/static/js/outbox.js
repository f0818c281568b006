// Every entry goes through here: kept in the browser first, sent in order, each once. Where there is no connection it
// waits and is shown as waiting; the server knows an entry by the id that its form was made with, so sending twice is
// harmless. What is on its way can be replaced by another answer to the same question; another question waits for it.
window.layette = window.layette ?? {};
(() => {
  "use strict";

  const KEY = "layette.outbox";
  const ONE = "layette.waiting.";
  const FILES = "layette-files";
  const RETRY_MS = 4000;
  const LONGEST_MS = 20000;
  const SLOW_MS = 1200;
  const MOST_TRIES = 8;
  const MOST_TOLD = 5;
  const panel = document.getElementById("outbox");
  const me = document.body.dataset.user ?? "";
  const leads = document.body.dataset.role === "lead";
  const { safe, steady, typed, say, count: counted } = window.layette;

  // Each item lies sealed under a name of its own; here they are read. What is somebody else's stays shut: of it one
  // knows whose it is and since when.
  const items = new Map();
  const writing = new Map();
  let count = 0;

  const read = () => [...items.values()].sort((one, other) => one.order - other.order);

  const keep = (item, inside) => {
    try {
      localStorage.setItem(ONE + item.id, JSON.stringify({ user: item.user, order: item.order, at: item.at, inside }));
    } catch {
      // Where the browser keeps nothing (forbidden, or full) the list lives as long as the page does.
    }
  };

  // Kept at once, because a hand may leave the page at once, and sealed as soon as that is done. One after the other:
  // what was written last is what is kept.
  const persist = (item) => {
    const { id } = item;
    keep(item, JSON.stringify(item));
    const before = writing.get(id) ?? Promise.resolve();
    const after = before.then(async () => {
      const inside = await safe.sealText(item);
      if (items.get(id) === item) {
        keep(item, inside);
      }
    });
    const kept = after.catch(() => {});
    writing.set(id, kept);
    return kept;
  };
  const set = (item) => {
    items.set(item.id, item);
    show();
    return persist(item);
  };
  const unset = (id) => {
    items.delete(id);
    try {
      localStorage.removeItem(ONE + id);
    } catch {
      // It was never kept.
    }
    show();
  };

  const load = async (id, text) => {
    const { user, order, at, inside } = JSON.parse(text);
    const item = user && user !== me ? null : await safe.openText(inside);
    items.set(id, item ?? { id, user: user || "?", order, at, shut: inside });
  };

  // Kept by an earlier version of this file.
  const loadOlder = () => {
    const older = JSON.parse(localStorage.getItem(KEY)) ?? [];
    for (const item of older) {
      const fields = item.fields ? {} : { fields: [...new URLSearchParams(item.body)], waiting: true, piece: true };
      const whole = { ...item, ...fields, order: count++ };
      const shut = whole.user && whole.user !== me;
      items.set(item.id, shut ? { id: item.id, user: whole.user, order: whole.order, at: whole.at, shut: JSON.stringify(whole) } : whole);
      if (shut) {
        keep(whole, JSON.stringify(whole));
      } else {
        persist(whole);
      }
    }
    localStorage.removeItem(KEY);
  };

  const loaded = (async () => {
    try {
      loadOlder();
      const names = Object.keys(localStorage).filter((name) => name.startsWith(ONE));
      await Promise.all(names.map((name) => load(name.slice(ONE.length), localStorage.getItem(name)).catch(() => {})));
    } catch {
      // Nothing is kept here.
    }
  })();

  // What another tab keeps or sends.
  window.addEventListener("storage", async (event) => {
    if (event.key?.startsWith(ONE)) {
      const id = event.key.slice(ONE.length);
      if (event.newValue === null) {
        items.delete(id);
      } else if (!pressed.has(id)) {
        await load(id, event.newValue).catch(() => {});
      }
      show();
    }
  });

  // Pages kept for reading without a connection belong to the session: they go with it.
  const forgetPages = () => navigator.serviceWorker?.controller?.postMessage("forget");

  // An id of one's own, on a page without HTTPS too.
  const newId = () => {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    bytes[6] = (bytes[6] & 0x0f) | 0x40;
    bytes[8] = (bytes[8] & 0x3f) | 0x80;
    return [...bytes].map((byte, at) => ([4, 6, 8, 10].includes(at) ? "-" : "") + byte.toString(16).padStart(2, "0")).join("");
  };
  const change = (id, more) => {
    if (items.has(id)) {
      set({ ...items.get(id), ...more });
    }
  };
  const drop = (id) => {
    unset(id);
    files("readwrite", (store) => store.delete(id)).catch(() => {});
  };

  // Photographs are too large for the list itself.
  const files = (mode, act) =>
    new Promise((resolve, reject) => {
      const open = indexedDB.open(FILES, 1);
      open.onupgradeneeded = () => open.result.createObjectStore("files");
      open.onerror = () => reject(open.error);
      open.onsuccess = () => {
        const request = act(open.result.transaction("files", mode).objectStore("files"));
        request.onerror = () => reject(request.error);
        request.onsuccess = () => {
          resolve(request.result);
          open.result.close();
        };
      };
    });

  let signedOut = false;
  let sending = null;
  let slow = false;
  const pressed = new Map();

  // What was sent from the list and leads somewhere is told until somebody went there or put it away, on whatever page.
  const TOLD = `layette.sent.${me}`;
  const told = () => {
    try {
      return JSON.parse(sessionStorage.getItem(TOLD)) ?? [];
    } catch {
      return [];
    }
  };
  const tell = (items) => {
    try {
      sessionStorage.setItem(TOLD, JSON.stringify(items));
    } catch {
      // Nothing is kept here: it stands in the list of today.
    }
    show();
  };

  // --- what is shown ------------------------------------------------------------------------------------------------

  const node = (name, text, more = {}) => Object.assign(document.createElement(name), { textContent: text, ...more });

  const line = (item) => {
    const row = document.createElement("li");
    if (item.shut) {
      row.append(say("ofAnother", item.user));
      return row;
    }
    row.append(item.label);
    if (item.refused) {
      row.append(`: ${item.refused} `);
      if (item.sure) {
        const keep = node("button", say("sendSure"), { type: "button", className: "plain" });
        keep.addEventListener("click", () => {
          change(item.id, { refused: "", sure: null, fields: [...item.fields, item.sure] });
          flush();
        });
        row.append(keep, " ");
      }
      const out = node("button", say("takeOut"), { type: "button", className: "plain" });
      out.addEventListener("click", () => drop(item.id));
      row.append(out);
    }
    return row;
  };

  // Somebody will not come back to this tablet: a lead sends what waits here in their own name, and says why.
  const handOver = (user) => {
    const row = document.createElement("li");
    const form = node("form", "");
    const why = node("input", "", { name: "why", maxLength: 200, required: true, autocomplete: "off" });
    const label = node("label", `${say("handOver", user)} `);
    label.append(why);
    form.append(label, " ", node("button", say("sendAsMine"), { className: "plain" }));
    form.addEventListener("submit", async (event) => {
      event.preventDefault();
      const said = await takeOver(user, why.value).catch(() => say("handedNothing"));
      if (said) {
        steady.say(said);
      } else {
        row.remove();
        document.getElementById("main").focus({ preventScroll: true });
        show();
        flush();
      }
    });
    row.append(form);
    return row;
  };

  const takeOver = async (user, why) => {
    const response = await fetch("/people/waiting", {
      method: "POST",
      body: new URLSearchParams({ person: user, why, _csrf: token() }),
      redirect: "error",
    });
    if (!response.ok) {
      return response.status === 422 ? await response.text() : say("notHandedOver");
    }
    const { key: raw, note } = await response.json();
    const key = await safe.imported(raw);
    const noted = new Set();
    for (const shut of read().filter((item) => item.shut && item.user === user)) {
      const item = await safe.openWith(key, shut.shut).catch(() => null);
      if (!item) {
        continue;
      }
      if (item.file) {
        const photo = await files("readonly", (store) => store.get(item.id)).catch(() => null);
        const sealed = await safe.sealFile(await safe.openFile(photo, key));
        await files("readwrite", (store) => store.put(sealed, item.id));
      }
      await set({ ...item, user: me, waiting: true, refused: "" });
      const fitting = /^\/fittings\/[0-9a-f-]{36}/.exec(item.url)?.[0];
      if (fitting && !noted.has(fitting)) {
        noted.add(fitting);
        const id = newId();
        const fields = [["entry", id], ["seen", "0"], ["text", note]];
        await set({ id, url: `${fitting}/record/notes`, fields, file: "", label: note, question: id, user: me, at: new Date().toISOString(), order: nextOrder(), piece: false });
      }
    }
    return "";
  };

  const toldLine = (item) => {
    const row = document.createElement("li");
    const there = node("a", say("openIt"), { href: item.to });
    const away = node("button", say("putAway"), { type: "button", className: "plain" });
    const gone = () => tell(told().filter((each) => each.to !== item.to));
    there.addEventListener("click", gone);
    away.addEventListener("click", gone);
    row.append(`${say("sent", item.label)} `, there, " ", away);
    return row;
  };

  const show = (note = "") => {
    if (!panel) {
      return;
    }
    // What was pressed a moment ago and is on its way is shown on its button; only what lingers is listed.
    const listed = read().filter((item) => item.waiting || item.refused || slow || !pressed.has(item.id));
    panel.hidden = listed.length === 0 && told().length === 0 && !signedOut;
    const mine = listed.filter((item) => !item.shut);
    const refused = mine.filter((item) => item.refused).length;
    document.getElementById("outbox-title").textContent =
      listed.length === 0 ? "" : counted("waiting", listed.length);
    const said = document.getElementById("outbox-note");
    said.replaceChildren(
      note ||
        (signedOut
          ? `${say("signedOut")} `
          : refused
            ? say("oneRefused")
            : listed.length === 0
              ? ""
              : say("keptInOrder")),
    );
    if (signedOut) {
      said.append(node("a", say("signInAgain"), { href: location.pathname + location.search }));
    }
    document.getElementById("outbox-send").hidden = signedOut || listed.length === 0;
    const others = leads ? [...new Set(listed.filter((item) => item.shut).map((item) => item.user))] : [];
    const form = document.querySelector("#outbox-list form");
    if (!form?.contains(document.activeElement)) {
      document.getElementById("outbox-list").replaceChildren(...listed.map(line), ...others.map(handOver), ...told().map(toldLine));
    }
  };

  // What a field tells, in the words that stand beside it where it has some.
  const toldBy = (field) => {
    const beside = field.closest("label");
    const words = field.matches("select")
      ? field.selectedOptions[0]?.textContent
      : field.matches(":checked")
        ? (beside?.querySelector(".named") ?? beside)?.textContent
        : field.value;
    return words?.trim() ?? "";
  };

  const labelOf = (form, button) => {
    const question = form.dataset.waits ?? form.closest(".ask")?.querySelector(".q")?.textContent ?? form.closest(".look")?.querySelector("h3")?.textContent ?? say("somethingChanged");
    const words = [...form.querySelectorAll("input:not([type=hidden], [type=file], [type=radio], [type=checkbox]), input:checked, select")].map(toldBy).filter(Boolean);
    const answer = button?.classList.contains("choice") || !words.length ? button?.querySelector("span:not(.picture):not(.sign)")?.textContent ?? button?.textContent : words.join(", ");
    return `${question} ${answer ?? ""}`.replace(/\s+/g, " ").trim();
  };

  // --- taking ---------------------------------------------------------------------------------------------------------

  const OWN = ["id", "entry", "seen", "_csrf"];
  const says = (fields) => JSON.stringify(fields.filter(([name]) => !OWN.includes(name)));
  const questionOf = (form) => {
    const value = (name) => form.querySelector(`input[name="${name}"]`)?.value ?? "";
    return value("nav-ask") ? `${form.getAttribute("action")}|${value("nav-step")}|${value("nav-ask")}` : typed.keyOf(form);
  };

  const used = new Set();

  const busy = (button, is) => {
    button?.classList.toggle("busy", is);
    if (is) {
      button?.setAttribute("aria-busy", "true");
    } else {
      button?.removeAttribute("aria-busy");
    }
  };

  const nextOrder = () => Date.now() * 1000 + (count++ % 1000);

  const take = async (form, button) => {
    const data = new FormData(form);
    if (button?.name && button !== form) {
      data.set(button.name, button.value);
    }
    const photo = [...data].find(([, value]) => value instanceof File && value.size > 0);
    const fields = [...data].filter(([name, value]) => !(value instanceof File) && name !== "_csrf");
    const question = questionOf(form);
    const same = read().filter((item) => item.question === question && !item.refused && !item.waiting && pressed.has(item.id));
    if (!photo && same.some((item) => says(item.fields) === says(fields))) {
      // The same once more while it is on its way: once is what was meant.
      return;
    }
    const name = fields.some(([each]) => each === "entry") ? "entry" : "id";
    const made = fields.find(([each]) => each === name)?.[1];
    const id = made && !used.has(made) ? made : newId();
    used.add(id);
    const item = {
      id,
      url: form.getAttribute("action"),
      fields: [...fields.filter(([each]) => each !== name), [name, id]],
      file: photo ? photo[0] : "",
      label: labelOf(form, button),
      question,
      user: me,
      at: new Date().toISOString(),
      order: nextOrder(),
      piece: form.matches(".entry") && document.getElementById("now") !== null,
    };
    if (photo) {
      const sealed = await safe.sealFile(photo[1]);
      await files("readwrite", (store) => store.put(sealed, id)).catch(() => {});
    }
    same.filter((each) => each.id !== sending).forEach((each) => {
      busy(pressed.get(each.id)?.button, false);
      drop(each.id);
    });
    pressed.set(id, { form, button });
    set(item);
    if (signedOut) {
      wait(item);
    }
    flush();
  };

  // --- sending --------------------------------------------------------------------------------------------------------

  const token = () => document.querySelector("input[name=_csrf]")?.value ?? "";

  const request = (url, body, headers) =>
    fetch(url, { method: "POST", body, headers, redirect: "follow", signal: AbortSignal.timeout(LONGEST_MS) });

  const isSignIn = (response) => response.redirected && new URL(response.url).pathname === "/sign-in";

  // A session that is over refuses the old token. Whether one has signed in again elsewhere, the first page tells.
  const freshToken = async () => {
    const response = await fetch("/account/token", { redirect: "follow" });
    if (!response.ok || isSignIn(response)) {
      return "";
    }
    const fresh = await response.text();
    document.querySelectorAll("input[name=_csrf]").forEach((field) => (field.value = fresh));
    return fresh;
  };

  const bodyOf = async (item) => {
    const body = item.file ? new FormData() : new URLSearchParams();
    for (const [name, value] of item.fields) {
      body.append(name, value);
    }
    if (item.waiting) {
      body.set("at", item.at);
      body.set("waited", "true");
    }
    if (item.file) {
      const photo = await files("readonly", (store) => store.get(item.id)).then((kept) => safe.openFile(kept)).catch(() => null);
      if (photo) {
        body.append(item.file, photo, photo.name);
      }
    }
    return body;
  };

  /** Sends, once more with a fresh token where the old one was refused; nothing where nobody is signed in. */
  const post = async (url, body, headers) => {
    body.set("_csrf", token());
    let response = await request(url, body, headers);
    if (response.status === 403 && !response.redirected) {
      const fresh = await freshToken();
      if (fresh) {
        body.set("_csrf", fresh);
        response = await request(url, body, headers);
      }
    }
    return isSignIn(response) || response.status === 401 || response.status === 403 ? null : response;
  };

  const refusalIn = (html) => new DOMParser().parseFromString(html, "text/html").querySelector(".refused p, .refused li");

  const reasonOf = (html) => {
    const page = new DOMParser().parseFromString(html, "text/html");
    // What is wrong, one by one, says more than the sentence above it.
    const one = [...page.querySelectorAll(".refused li")].map((each) => each.textContent.trim()).join(" ");
    const said = one || ((refusalIn(html) ?? page.querySelector("main p"))?.textContent.trim() ?? say("refused"));
    const sure = page.querySelector("button[name^=sure]");
    return { refused: said, sure: sure ? [sure.name, sure.value] : null };
  };

  const done = (id) => {
    busy(pressed.get(id)?.button, false);
    pressed.delete(id);
  };

  // Not sent: it waits, and the hand goes on to the next question.
  const wait = (item) => {
    const live = pressed.get(item.id);
    change(item.id, { waiting: true });
    if (!live) {
      return;
    }
    done(item.id);
    typed.forget(live.form);
    const ask = live.form.closest(".ask");
    const look = live.form.closest(".look");
    if (look && !ask) {
      // Its marks are told; what is asked by itself comes next.
      look.classList.add("waiting");
      const next = [...document.querySelectorAll("#now > .ask")].find((each) => each.dataset.answered === "false");
      if (next) {
        next.open = true;
      }
      steady.say(say("kept"));
    } else if (ask) {
      ask.dataset.answered = "waiting";
      ask.querySelector("summary .a").textContent = say("waits");
      ask.open = false;
      const next = [...document.querySelectorAll("#now .ask")].find((each) => each.dataset.answered === "false");
      if (next) {
        next.open = true;
      }
    } else {
      live.button?.classList.add("waiting");
      if (live.form.querySelector("input:not([type=hidden]), textarea")) {
        live.form.reset();
      }
      steady.say(say("kept"));
    }
  };

  const isHere = (item) => item.piece && document.getElementById("now") !== null && location.pathname === item.url.replace(/\/(entries|undo|look)$/, "");

  const brought = async (item, response, html, live, more) => {
    if (!item.piece) {
      if (live) {
        arrive(response, html, live.form);
      } else if (response.redirected) {
        const to = new URL(response.url);
        if (to.pathname !== item.url && to.pathname !== location.pathname) {
          tell([...told(), { label: item.label, to: to.pathname + to.search }].slice(-MOST_TOLD));
        }
      }
      return;
    }
    if (!isHere(item)) {
      return;
    }
    if (live) {
      typed.forget(live.form);
    }
    if (more) {
      return;
    }
    if (live?.form.isConnected) {
      const address = response.headers.get("HX-Replace-Url");
      if (address) {
        history.replaceState(history.state, "", address);
      }
      typed.bring(html, { answered: live.form });
    } else {
      // It waited, or the hand went to another step meanwhile: there it stays.
      await refresh();
    }
  };

  const refresh = async () => {
    const now = document.getElementById("now");
    const { fitting, step, view } = now.dataset;
    const response = await fetch(`/fittings/${fitting}/changes?step=${step}&view=${view}`, { headers: { "HX-Request": "true", "Layette-Shows": typed.shows() }, redirect: "error" });
    const html = response.status === 200 ? await response.text() : "";
    if (html && document.getElementById("now") === now) {
      typed.bring(html);
    } else if (html) {
      // A hand went to another step meanwhile: what is new is asked for there.
      await refresh();
    }
  };

  /** One sent; false when the rest has to wait. */
  const one = async (item) => {
    const live = pressed.get(item.id);
    let response;
    if (!navigator.onLine) {
      wait(item);
      return false;
    }
    try {
      const who = item.user ? { "Layette-By": item.user } : {};
      response = await post(item.url, await bodyOf(item), item.piece ? { ...who, "HX-Request": "true", "Layette-Shows": typed.shows() } : who);
    } catch {
      wait(item);
      return false;
    }
    if (response === null) {
      forgetPages();
      safe.forget();
      signedOut = true;
      wait(item);
      return false;
    }
    if (response.status === 409 && response.headers.has("Layette-By")) {
      // Somebody else is signed in here by now, in another tab: it waits for its person.
      wait(item);
      steady.say(say("somebodyElse"));
      return false;
    }
    if (response.status >= 500) {
      const tries = (item.tries ?? 0) + 1;
      wait(item);
      change(item.id, tries < MOST_TRIES ? { tries } : { tries, refused: say("cannotTake") });
      return tries >= MOST_TRIES;
    }
    const more = read().some((each) => each.id !== item.id && !each.refused && !each.shut);
    const html = await response.text().catch(() => "");
    // A page that answers by leading on says there what it refused: that is no more taken than any other refusal.
    const taken = response.ok && (item.piece || refusalIn(html) === null);
    if (!taken && !live) {
      change(item.id, reasonOf(html));
    } else if (response.ok) {
      drop(item.id);
      await brought(item, response, html, live, more).catch(() => {});
      done(item.id);
    } else {
      drop(item.id);
      done(item.id);
      if (response.status !== 422) {
        steady.say(reasonOf(html).refused);
      } else if (item.piece) {
        typed.bring(html, { refused: live.form });
      } else {
        arrive(response, html, live.form);
      }
    }
    return true;
  };

  // One after the other, and never past one that could not be sent.
  const flush = async () => {
    await loaded;
    if (sending || signedOut) {
      return;
    }
    const lingering = window.setTimeout(() => {
      slow = true;
      show();
    }, SLOW_MS);
    try {
      for (;;) {
        const item = read().find((each) => !each.refused && !each.shut);
        if (!item) {
          break;
        }
        sending = item.id;
        if (!(await one(item))) {
          // What was pressed after it waits with it: the order is the order in which it was made.
          read().filter((each) => pressed.has(each.id)).forEach(wait);
          break;
        }
      }
    } finally {
      window.clearTimeout(lingering);
      sending = null;
      slow = false;
      show();
    }
  };

  // --- pages whose forms are no entries ---------------------------------------------------------------------------------

  /** Shows the page that answered a form, without a new place in the history where it is the same page. */
  const arrive = (response, html, form) => {
    const page = new DOMParser().parseFromString(html, "text/html");
    const main = page.querySelector("main");
    if (!main) {
      location.assign(response.url);
      return;
    }
    const ok = response.ok;
    if (ok && form) {
      typed.forget(form);
    }
    const address = response.redirected ? response.url : location.href;
    const same = new URL(address).pathname === location.pathname;
    const was = { scroll: window.scrollY, id: document.activeElement?.id };
    document.querySelector("main").replaceWith(document.adoptNode(main));
    document.title = page.title;
    const frame = page.querySelector("header.frame");
    if (frame) {
      document.querySelector("header.frame")?.replaceWith(document.adoptNode(frame));
    }
    if (!same) {
      // What is left is come back to as it is then.
      history.replaceState({ ...history.state, layette: true }, "");
    }
    history[same ? "replaceState" : "pushState"]({ layette: true }, "", address);
    window.htmx?.process(main);
    const wrong = main.querySelector("[aria-invalid=true]") ?? main.querySelector(".refused");
    if (wrong) {
      if (!wrong.matches("input, select, textarea, [tabindex]")) {
        wrong.tabIndex = -1;
      }
      wrong.focus();
    } else if (!same) {
      window.scrollTo({ top: 0, behavior: "instant" });
      main.focus({ preventScroll: true });
    } else {
      window.scrollTo({ top: was.scroll, behavior: "instant" });
      (document.getElementById(was.id) ?? main).focus({ preventScroll: true });
    }
    document.dispatchEvent(new CustomEvent("layette:brought", { detail: { answered: false } }));
  };
  window.addEventListener("popstate", (event) => {
    if (event.state?.layette) {
      location.reload();
    }
  });

  // What a page still asks for itself is about what a form may just have taken away: it is not asked while one is sent.
  // What a hand asks for is asked: where the browser sent a form and a file came, or came back, the page is still there.
  const LEAVING_MS = 10000;
  let leaving = 0;
  let awayUntil = 0;
  const nothingAsked = () =>
    document.querySelectorAll("main [hx-get]").forEach((asking) => window.htmx?.trigger(asking, "htmx:abort"));
  const left = (by) => {
    leaving += by;
    if (leaving) {
      nothingAsked();
    }
  };
  document.addEventListener("htmx:beforeRequest", (event) => {
    const unasked = !event.detail.requestConfig?.triggeringEvent?.isTrusted;
    if ((leaving || (unasked && performance.now() < awayUntil)) && event.target.closest?.("main")) {
      event.preventDefault();
    }
  });
  window.addEventListener("pageshow", (event) => {
    awayUntil = event.persisted ? 0 : awayUntil;
  });

  /** What a form is answered with, and nothing else meanwhile. */
  const answerTo = async (form, body) => {
    left(1);
    try {
      const response = await post(form.getAttribute("action") || location.pathname, body, {});
      return { response, html: response === null ? "" : await response.text() };
    } finally {
      left(-1);
    }
  };

  const direct = async (form, button) => {
    const data = new FormData(form);
    if (button.name && button !== form) {
      data.set(button.name, button.value);
    }
    const body = form.enctype === "multipart/form-data" ? data : new URLSearchParams(data);
    try {
      const { response, html } = await answerTo(form, body);
      if (response === null) {
        signedOut = true;
        typed.keep(form);
        show();
        steady.say(say("signedOutKept"));
      } else if (response.ok || response.status === 422) {
        arrive(response, html, form);
      } else {
        steady.say(reasonOf(html).refused);
      }
    } catch {
      steady.say(say("noConnection"));
    } finally {
      busy(button, false);
    }
  };

  const going = new WeakSet();

  document.addEventListener("submit", (event) => {
    const form = event.target;
    if (event.defaultPrevented || !form.matches("main form[method=post]")) {
      return;
    }
    if (form.matches("[data-native]")) {
      awayUntil = performance.now() + LEAVING_MS;
      nothingAsked();
      return;
    }
    event.preventDefault();
    if (form.matches(".entry, [data-waits]")) {
      busy(event.submitter ?? form, true);
      take(form, event.submitter ?? form);
    } else if (!going.has(form)) {
      going.add(form);
      busy(event.submitter ?? form, true);
      direct(form, event.submitter ?? form).finally(() => going.delete(form));
    }
  });

  window.addEventListener("online", flush);
  document.getElementById("outbox-send")?.addEventListener("click", flush);
  window.setInterval(flush, RETRY_MS);
  loaded.then(() => {
    show();
    flush();
  });

  window.layette.isSignedOut = () => signedOut;
  window.layette.signedOut = () => {
    forgetPages();
    safe.forget();
    signedOut = true;
    show();
  };

  document.querySelector("[data-sign-out]")?.addEventListener("submit", () => sessionStorage.removeItem(TOLD));

  if (navigator.serviceWorker) {
    navigator.serviceWorker.register("/sw.js");
    document.querySelector("[data-sign-out]")?.addEventListener("submit", forgetPages);
  }
})();
