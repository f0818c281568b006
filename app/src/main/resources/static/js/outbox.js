// Entries made without a connection wait here: kept in the browser, shown as waiting, sent in their order, each once.
// The server knows an entry by the id that the form was made with, so sending twice is harmless.
(() => {
  "use strict";

  const KEY = "layette.outbox";
  const RETRY_MS = 4000;
  const panel = document.getElementById("outbox");
  if (!panel) {
    return;
  }

  const read = () => {
    try {
      return JSON.parse(localStorage.getItem(KEY)) ?? [];
    } catch {
      return [];
    }
  };
  const write = (entries) => {
    localStorage.setItem(KEY, JSON.stringify(entries));
    show();
  };

  const show = (note = "") => {
    const entries = read();
    panel.hidden = entries.length === 0;
    const refused = entries.filter((entry) => entry.refused).length;
    document.getElementById("outbox-title").textContent =
      entries.length === 1 ? "1 entry waiting" : `${entries.length} entries waiting`;
    document.getElementById("outbox-note").textContent =
      note || (refused ? "One was refused; see below." : "Kept in this browser, sent in order when the server is back.");
    const list = document.getElementById("outbox-list");
    list.replaceChildren(
      ...entries.map((entry) => {
        const item = document.createElement("li");
        item.textContent = entry.label + (entry.refused ? `: ${entry.refused} ` : "");
        if (entry.refused) {
          const drop = document.createElement("button");
          drop.type = "button";
          drop.className = "plain";
          drop.textContent = "Take it out";
          drop.addEventListener("click", () => write(read().filter((each) => each.id !== entry.id)));
          item.append(drop);
        }
        return item;
      }),
    );
  };

  const token = () => document.querySelector("input[name=_csrf]")?.value ?? "";

  const labelOf = (form, button) => {
    const question = form.closest(".ask")?.querySelector(".q")?.textContent ?? "Something changed";
    const typed = [...form.querySelectorAll("input:not([type=hidden]), select")].map((field) => field.value).filter(Boolean);
    return `${question} ${button?.querySelector("span:not(.picture)")?.textContent ?? typed.join(", ")}`.trim();
  };

  const keep = (form, button) => {
    const body = new URLSearchParams(new FormData(form));
    if (button?.name) {
      body.set(button.name, button.value);
    }
    body.delete("_csrf");
    body.set("at", new Date().toISOString());
    body.set("waited", "true");
    const entry = { id: body.get("id"), url: form.getAttribute("action"), body: body.toString(), label: labelOf(form, button) };
    const entries = read();
    if (!entries.some((each) => each.id === entry.id)) {
      write([...entries, entry]);
    }
    const ask = form.closest(".ask");
    if (ask) {
      ask.dataset.answered = "waiting";
      ask.querySelector("summary .a").textContent = "waiting";
      ask.open = false;
      const next = [...document.querySelectorAll("#now .ask")].find((each) => each.dataset.answered === "false");
      if (next) {
        next.open = true;
      }
    } else {
      form.querySelector("input[name=id]").value = crypto.randomUUID();
    }
  };

  let sending = false;

  const post = (entry) => {
    const body = new URLSearchParams(entry.body);
    body.set("_csrf", token());
    return fetch(entry.url, { method: "POST", body, headers: { "HX-Request": "true" }, redirect: "follow" });
  };

  const reasonOf = (html) => {
    const page = new DOMParser().parseFromString(html, "text/html");
    return page.querySelector(".refused p")?.textContent ?? "refused";
  };

  // One after the other, and never past one that could not be sent.
  const flush = async () => {
    if (sending || read().every((entry) => entry.refused)) {
      return;
    }
    sending = true;
    let last = "";
    try {
      for (const entry of read()) {
        if (entry.refused) {
          continue;
        }
        const response = await post(entry);
        if (response.redirected || response.status === 401 || response.status === 403) {
          show("Sign in again to send them.");
          break;
        }
        if (response.status >= 500) {
          break;
        }
        const html = await response.text();
        if (response.ok) {
          last = location.pathname.startsWith(entry.url.replace(/\/entries$/, "")) ? html : last;
          write(read().filter((each) => each.id !== entry.id));
        } else {
          const reason = reasonOf(html);
          write(read().map((each) => (each.id === entry.id ? { ...each, refused: reason } : each)));
        }
      }
    } catch {
      // Still no connection: they wait.
    } finally {
      sending = false;
    }
    if (last && window.htmx) {
      window.htmx.swap(document.getElementById("now"), last, { swapStyle: "none" });
    }
  };

  // While anything waits, what comes after it waits too: the order is the order in which it was made.
  document.addEventListener("htmx:beforeRequest", (event) => {
    const form = event.detail.elt;
    const waits = read().some((entry) => !entry.refused);
    if (form.matches?.("form.entry") && (waits || !navigator.onLine)) {
      event.preventDefault();
      keep(form, event.detail.requestConfig.triggeringEvent?.submitter);
      flush();
    }
  });

  const failed = (event) => {
    const form = event.detail.elt;
    if (form.matches?.("form.entry")) {
      keep(form, event.detail.requestConfig.triggeringEvent?.submitter);
    }
  };
  document.addEventListener("htmx:sendError", failed);
  document.addEventListener("htmx:timeout", failed);
  document.addEventListener("htmx:responseError", (event) => {
    if (event.detail.xhr.status >= 500 || event.detail.xhr.status === 403) {
      failed(event);
    }
  });

  window.addEventListener("online", flush);
  document.getElementById("outbox-send").addEventListener("click", flush);
  window.setInterval(flush, RETRY_MS);
  show();
  flush();

  if (navigator.serviceWorker) {
    navigator.serviceWorker.register("/sw.js");
    document.querySelector("[data-sign-out]")?.addEventListener("submit", () =>
      navigator.serviceWorker.controller?.postMessage("forget"),
    );
  }
})();
