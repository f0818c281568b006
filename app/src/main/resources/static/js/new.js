// A new family as a conversation: one question in sight, the next when it is answered. Back and forward go through the
// questions; what was given stands in the one form that is sent at the end. Without this file it is a long form.
(() => {
  "use strict";

  const SETTLE_MS = 180;

  const converse = (form) => {
    const questions = [...form.querySelectorAll(".question")];
    let at = 0;
    let furthest = 0;

    const isSkipped = (question) => {
      const box = question.dataset.skip && form.elements[question.dataset.skip];
      return Boolean(box?.checked);
    };

    const told = (question) => {
      const said = [];
      for (const field of question.querySelectorAll("input, select")) {
        if (field.type === "radio") {
          if (field.checked) {
            said.push(field.closest(".tile").querySelector(".named").textContent.trim());
          }
        } else if (field.type === "checkbox") {
          if (field.checked) {
            said.push(field.closest("label").textContent.trim());
          }
        } else if (field.type === "file") {
          said.push(...[...field.files].map((file) => file.name));
        } else if (field.tagName === "SELECT") {
          if (field.value) {
            said.push(field.selectedOptions[0].textContent.trim());
          }
        } else if (!("filter" in field.dataset) && field.value.trim()) {
          said.push(field.value.trim());
        }
      }
      return said.join(" · ");
    };

    // Each question has a line for when it is answered: what was said, to be tapped for another word.
    for (const question of questions) {
      const line = document.createElement("button");
      line.type = "button";
      line.className = "said";
      line.addEventListener("click", () => open(questions.indexOf(question), true));
      question.append(line);
    }

    const show = (focus) => {
      questions.forEach((question, place) => {
        const here = place === at;
        question.classList.toggle("is-open", here);
        question.classList.toggle("is-ahead", !here && (place > furthest || isSkipped(question)));
        const line = question.querySelector(".said");
        line.textContent = told(question) || "–";
        line.hidden = here;
      });
      const last = questions.slice(at + 1).every(isSkipped);
      form.querySelector(".next").hidden = last;
      form.classList.toggle("at-the-end", last);
      if (focus) {
        const first = questions[at].querySelector("input:not([type=radio]):not([type=checkbox]), input:checked, input, select");
        first?.focus({ preventScroll: true });
        questions[at].scrollIntoView({ block: "nearest", behavior: "instant" });
      }
    };

    const open = (place, push) => {
      at = Math.max(0, Math.min(questions.length - 1, place));
      furthest = Math.max(furthest, at);
      if (push && location.hash !== `#${questions[at].id}`) {
        history.pushState(null, "", `#${questions[at].id}`);
      }
      show(true);
    };

    const next = () => {
      let place = at + 1;
      while (place < questions.length && isSkipped(questions[place])) {
        place += 1;
      }
      if (place < questions.length) {
        open(place, true);
      }
    };

    form.classList.add("talks");
    form.querySelector(".next").addEventListener("click", next);

    // Enter goes on, and begins where nothing is left to ask.
    form.addEventListener("keydown", (event) => {
      if (event.key !== "Enter" || !(event.target instanceof HTMLInputElement) || event.target.type === "file") {
        return;
      }
      if (!form.classList.contains("at-the-end")) {
        event.preventDefault();
        next();
      }
    });

    // A drawing that is tapped is an answer: the next question comes by itself.
    let byKey = false;
    form.addEventListener("keydown", (event) => {
      byKey = event.key.startsWith("Arrow");
    });
    form.addEventListener("pointerdown", () => {
      byKey = false;
    });
    form.addEventListener("change", (event) => {
      if (event.target.type === "radio" && !byKey && event.target.closest(".question") === questions[at]) {
        window.setTimeout(next, SETTLE_MS);
      } else {
        show(false);
      }
    });

    for (const filter of form.querySelectorAll("[data-filter]")) {
      filter.addEventListener("input", () => {
        const part = filter.value.trim().toLowerCase();
        for (const tile of filter.closest(".body").querySelectorAll(".tile:not(.plain)")) {
          tile.hidden = !tile.querySelector(".named").textContent.toLowerCase().includes(part);
        }
      });
    }

    // Whoever was here before is found while one types.
    const name = form.elements.childName;
    const known = () => document.getElementById("known");
    let pause = 0;
    let asking = null;
    const find = (text) => {
      window.clearTimeout(pause);
      pause = window.setTimeout(async () => {
        asking?.abort();
        asking = new AbortController();
        try {
          const response = await fetch(`${name.dataset.known}?who=${encodeURIComponent(text.trim())}`, { signal: asking.signal, redirect: "error" });
          if (response.ok) {
            const fresh = new DOMParser().parseFromString(await response.text(), "text/html").getElementById("known");
            known().replaceChildren(...(fresh?.children ?? []));
          }
        } catch {
          // No connection: the family is written down as a new one, or found by its reference later.
        }
      }, SETTLE_MS);
    };
    name.addEventListener("input", () => find(name.value));
    form.elements.reference.addEventListener("input", () => find(form.elements.reference.value));
    known()?.addEventListener("click", (event) => {
      const chip = event.target.closest(".chip");
      if (chip) {
        form.elements.comesBack.checked = true;
        form.elements.reference.value = chip.dataset.reference;
        name.value = chip.dataset.child;
        name.dispatchEvent(new Event("input", { bubbles: true }));
        window.clearTimeout(pause);
        known().replaceChildren();
        next();
      }
    });

    const byHash = () => questions.findIndex((question) => `#${question.id}` === location.hash);
    window.addEventListener("popstate", () => {
      if (!form.isConnected) {
        return;
      }
      at = Math.max(0, byHash());
      furthest = Math.max(furthest, at);
      show(true);
    });

    // What was refused comes first; a reload stays where one was; what came filled in is not asked again.
    const refused = questions.findIndex((question) => question.matches(".wrong, :has(.wrong), :has(.sure)"));
    if (document.querySelector("main .refused")) {
      furthest = questions.length - 1;
      open(refused < 0 ? questions.length - 1 : refused, false);
    } else if (byHash() >= 0) {
      open(byHash(), false);
    } else if (form.elements.comesBack.checked && form.elements.reference.value) {
      furthest = questions.length - 1;
      open(questions.findIndex((question) => question.id === "weight"), false);
    } else {
      show(false);
      name.focus({ preventScroll: true });
    }
    // What was kept in this browser is put back a moment later.
    form.addEventListener("input", () => show(false));

    // Any question by the name of its field, for whoever jumps.
    window.layette.openQuestion = (field) => {
      const question = form.querySelector(`[name="${CSS.escape(field)}"]`)?.closest(".question");
      if (question) {
        question.querySelector("details:not([open]) > summary")?.parentElement?.setAttribute("open", "");
        open(questions.indexOf(question), false);
      }
    };
  };

  // A page that was refused comes back in the same window: its form is another one.
  const begin = () => {
    const form = document.querySelector("main.new-family form.begin:not(.talks)");
    if (form) {
      converse(form);
    }
  };
  document.addEventListener("layette:brought", begin);
  document.addEventListener("htmx:afterSettle", begin);
  begin();
})();
