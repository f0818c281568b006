// What was typed and not yet sent is nobody's to lose: it survives a colleague's entry, the outbox, a reload and signing
// in again. It is kept in this tab alone, until its form is sent or whoever is here signs out.
window.layette = window.layette ?? {};
(() => {
  "use strict";

  // What one person typed is not put before the next one who signs in on this tablet.
  const KEY = `layette.typed.${document.body.dataset.user ?? ""}`;
  const OWN = /^(id|entry|seen|at|waited|_csrf|nav-.*|sure.*)$/;

  // The ticks of a look are nothing typed: they are kept with what was left out of it.
  const isField = (field) =>
    field.name &&
    !field.closest(".keep") &&
    (field instanceof HTMLTextAreaElement ||
      field instanceof HTMLSelectElement ||
      (field instanceof HTMLInputElement && !/^(hidden|password|file|submit|button|image|reset)$/.test(field.type)));

  // A form is known by where it goes and what it says unasked, so that it is found again in a newer page.
  const keyOf = (form) =>
    [
      form.getAttribute("action"),
      ...[...form.querySelectorAll("input[type=hidden]")].filter((each) => !OWN.test(each.name)).map((each) => `${each.name}=${each.value}`),
    ].join("|");

  const isChanged = (field) => {
    if (field instanceof HTMLSelectElement) {
      return [...field.options].some((option) => option.selected !== option.defaultSelected) && (field.selectedIndex > 0 || [...field.options].some((option) => option.defaultSelected));
    }
    return field.type === "checkbox" || field.type === "radio" ? field.checked !== field.defaultChecked : field.value !== field.defaultValue;
  };
  const valueOf = (field) => (field.type === "checkbox" || field.type === "radio" ? `${field.value}:${field.checked}` : field.value);

  const { safe } = window.layette;
  let all = {};
  let written = Promise.resolve();

  const read = () => all;
  // Kept at once, because a hand may leave the page at once, and sealed as soon as that is done.
  const write = () => {
    const plain = JSON.stringify(all);
    const put = (text) => {
      try {
        sessionStorage.setItem(KEY, text);
      } catch {
        // A full or forbidden store: then a reload loses what is typed, and nothing else does.
      }
    };
    put(plain);
    written = written.then(async () => {
      const sealed = await safe.sealText(JSON.parse(plain));
      if (JSON.stringify(all) === plain) {
        put(sealed);
      }
    }).catch(() => {});
  };

  const fieldsOf = (form) => [...form.elements].filter(isField);

  const keep = (form) => {
    const here = (all[location.pathname] ??= {});
    const changed = fieldsOf(form).filter(isChanged).map((field) => [field.name, valueOf(field)]);
    if (changed.length > 0) {
      here[keyOf(form)] = Object.fromEntries(changed);
    } else {
      delete here[keyOf(form)];
    }
    write();
  };

  const forget = (form) => {
    if (all[location.pathname]) {
      delete all[location.pathname][keyOf(form)];
      write();
    }
  };

  // Puts back what was typed; a field that the server filled in with something newer of the same form keeps the hand's text.
  const restore = (root = document) => {
    const here = read()[location.pathname] ?? {};
    for (const form of root.querySelectorAll("main form")) {
      const typed = here[keyOf(form)];
      if (!typed) {
        continue;
      }
      for (const field of fieldsOf(form)) {
        if (!(field.name in typed) || valueOf(field) === typed[field.name]) {
          continue;
        }
        if (field.type === "checkbox" || field.type === "radio") {
          field.checked = typed[field.name] === `${field.value}:true`;
        } else {
          field.value = typed[field.name];
        }
        field.dispatchEvent(new Event("input", { bubbles: true }));
      }
    }
  };

  document.addEventListener("input", (event) => {
    const form = event.target.form;
    if (form?.matches("main form:not([data-native])") && isField(event.target)) {
      keep(form);
    }
  });
  document.addEventListener("change", (event) => {
    const form = event.target.form;
    if (form?.matches("main form:not([data-native])") && isField(event.target)) {
      keep(form);
    }
  });
  document.querySelector("[data-sign-out]")?.addEventListener("submit", () => sessionStorage.removeItem(KEY));

  const askOf = (form) => form.closest("details.ask");

  // Where the hand is: the question it has open, the field it types in and the place in it.
  const place = () => {
    const field = document.activeElement;
    const form = field?.form ?? field?.closest?.("form");
    const typing = Boolean(form && isField(field) && field.closest("#now, main"));
    return {
      id: field?.id ?? "",
      typing,
      form: typing ? keyOf(form) : "",
      name: typing ? field.name : "",
      from: typing ? field.selectionStart ?? null : null,
      to: typing ? field.selectionEnd ?? null : null,
      ask: document.querySelector("#now details.ask[open]")?.id ?? "",
      step: document.getElementById("now")?.dataset.step ?? "",
      menu: document.querySelector("#now .changed-menu[open]") !== null,
      left: [...document.querySelectorAll("#now .keep input:not(:checked)")].map((tick) => tick.value),
    };
  };

  // How far each piece is scrolled: asked of the page itself it would have to be laid out once more for every piece.
  const scrolls = new WeakMap();
  document.addEventListener(
    "scroll",
    ({ target }) => {
      if (target instanceof Element) {
        scrolls.set(target, target.scrollTop);
      }
    },
    { capture: true, passive: true },
  );

  const typedForm = (root) => {
    const here = read()[location.pathname] ?? {};
    return [...root.querySelectorAll("#now form")].find((form) => here[keyOf(form)]);
  };

  /**
   * Puts newer pieces of the page in their places, by their ids; what was typed and where the hand is stay.
   * @param html pieces with their ids
   * @param sent the form that was answered, whose text is done with, or refused, whose text stays; or that a hand went to
   *   another step; nothing of it for others' news
   */
  const bring = (html, sent = {}) => {
    const answered = Boolean(sent.answered ?? sent.refused ?? sent.went);
    const was = place();
    // An answer's place is found by what follows it.
    const scroll = answered ? 0 : window.scrollY;
    if (sent.answered) {
      forget(sent.answered);
    }
    const page = new DOMParser().parseFromString(html, "text/html");
    const pieces = [...page.querySelectorAll("body > [hx-swap-oob], main > [hx-swap-oob]")]
      .map((piece) => ({ piece, old: document.getElementById(piece.id) }))
      .filter(({ old }) => old);
    for (const { piece, old } of pieces) {
      piece.removeAttribute("hx-swap-oob");
      old.replaceWith(document.adoptNode(piece));
      window.htmx?.process(piece);
    }
    for (const { piece, old } of pieces) {
      const scrolled = scrolls.get(old) ?? 0;
      // Another step is read from its beginning.
      if (scrolled > 0 && !(sent.went && piece.id === "now")) {
        piece.scrollTop = scrolled;
      }
    }
    bePresent();
    restore();
    leaveOut(was);
    if (sent.went) {
      openTyped();
    }
    if (!answered) {
      resume(was, scroll);
    }
    document.dispatchEvent(new CustomEvent("layette:brought", { detail: { answered, went: Boolean(sent.went) } }));
  };

  // A piece that stayed because nothing in it changed has been seen as it stands now; what is sent from it is a new entry.
  const bePresent = () => {
    const seq = document.getElementById("now")?.dataset.seq;
    for (const form of document.querySelectorAll("main > [data-print] form")) {
      if (seq && form.elements.seen) {
        form.elements.seen.value = seq;
      }
    }
  };

  // A mark that was left out of a look stays out of it, whatever came in between.
  const leaveOut = (was) => {
    for (const tick of document.querySelectorAll("#now .keep input")) {
      if (was.left.includes(tick.value)) {
        tick.checked = false;
      }
    }
  };

  // What the page shows already, for the server to leave out: each piece by the print of what it was drawn from.
  const shows = () =>
    [...document.querySelectorAll("main > [data-print]")].map((piece) => `${piece.id}=${piece.dataset.print}`).join(",");

  const resume = (was, scroll) => {
    const now = document.getElementById("now");
    const menu = now?.querySelector(".changed-menu");
    if (was.menu && menu) {
      menu.open = true;
    }
    if (was.ask && now?.dataset.step === was.step) {
      const ask = document.getElementById(was.ask);
      if (ask) {
        ask.open = true;
      }
    }
    if (was.typing) {
      const form = [...document.querySelectorAll("main form")].find((each) => keyOf(each) === was.form);
      const field = form && fieldsOf(form).find((each) => each.name === was.name);
      if (field) {
        field.focus({ preventScroll: true });
        if (was.from !== null) {
          field.setSelectionRange?.(was.from, was.to);
        }
      }
    } else if (was.id && document.activeElement === document.body) {
      document.getElementById(was.id)?.focus({ preventScroll: true });
    }
    window.scrollTo({ top: scroll, behavior: "instant" });
  };

  // A form of a fitting keeps its text wherever one went meanwhile. Any other form begins empty when it is come to anew:
  // another family is not to find the last one's name in it.
  const cameBack = () => {
    const way = performance.getEntriesByType("navigation")[0]?.type;
    return way === "reload" || way === "back_forward" || new URL(document.referrer || "about:blank").pathname === "/sign-in";
  };
  // The question in which something is typed already is the one that is open.
  const openTyped = () => {
    const open = typedForm(document);
    if (open && askOf(open)) {
      askOf(open).open = true;
    }
  };
  const begin = async () => {
    const kept = sessionStorage.getItem(KEY);
    const before = kept ? ((await safe.openText(kept)) ?? {}) : {};
    // What was typed while it was read stands over what was read.
    for (const [path, forms] of Object.entries(before)) {
      const here = (all[path] ??= {});
      for (const [form, fields] of Object.entries(forms)) {
        here[form] = { ...fields, ...here[form] };
      }
    }
    if (!/^\/fittings\/[0-9a-f-]{36}/.test(location.pathname) && !cameBack()) {
      delete all[location.pathname];
      write();
    }
    restore();
    openTyped();
  };
  begin().catch(() => {});

  window.layette.typed = { bring, shows, keep, forget, restore, keyOf };
})();
