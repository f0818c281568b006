// Keys, dialogs and focus. Everything works without this file; it only makes it quicker.
(() => {
  "use strict";

  const { say } = window.layette;

  const typing = (target) =>
    target instanceof HTMLElement && (target.matches("input, select, textarea") || target.isContentEditable);

  const follow = (selector) => {
    const link = document.querySelector(selector);
    if (link instanceof HTMLInputElement) {
      link.focus();
    } else if (link instanceof HTMLButtonElement && link.form) {
      press(link);
    } else if (link) {
      link.click();
    }
    return Boolean(link);
  };

  // A key presses a button as a finger does: only one that has been there long enough to be meant.
  const press = (button) => {
    if (window.layette.steady.isSteady(button)) {
      button.click();
    } else {
      // A number is a key to what one sees: what it would have chosen is brought into sight first.
      inSight(button);
      window.layette.steady.refuse();
    }
  };

  const choose = (number) => {
    const buttons = document.querySelectorAll(".ask[open] .choice");
    const button = buttons[number - 1];
    if (button) {
      press(button);
    }
    return Boolean(button) || openMark(number);
  };

  // In a look a number taps its mark: that one is not as drawn.
  const openMark = (number) => {
    const mark = document.querySelectorAll(".look .one-mark > .ask")[number - 1];
    if (mark) {
      mark.open = true;
      mark.querySelector("summary").focus({ preventScroll: true });
      inSight(mark);
    }
    return Boolean(mark);
  };

  // A mark that was tapped is not one of the rest; closed again, it is.
  document.addEventListener(
    "toggle",
    (event) => {
      const tick = event.target instanceof Element && event.target.matches(".look .one-mark > .ask") ? event.target.parentElement.querySelector(".keep input") : null;
      if (tick) {
        tick.checked = !event.target.open;
      }
    },
    true,
  );

  const stepBy = (offset) => {
    const steps = [...document.querySelectorAll("#run .step a")];
    const here = steps.findIndex((step) => step.getAttribute("aria-current") === "step");
    const target = steps[here + offset];
    if (target) {
      target.click();
    }
    return Boolean(target);
  };

  const keys = {
    "?": () => {
      document.getElementById("keys")?.showModal();
      return true;
    },
    "/": () => {
      const find = document.getElementById("find");
      if (find) {
        find.focus();
        return true;
      }
      window.location.assign("/");
      return true;
    },
    j: () => stepBy(1),
    k: () => stepBy(-1),
  };

  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target) || document.querySelector("dialog[open]")) {
      return;
    }
    const key = event.key.toLowerCase();
    if (event.repeat && (/^[1-9]$/.test(key) || key in keys || document.querySelector(`[data-key="${CSS.escape(key)}"]`))) {
      // Held down, it was meant once.
      event.preventDefault();
      return;
    }
    const done = /^[1-9]$/.test(key)
      ? choose(Number(key))
      : keys[key]
        ? keys[key]()
        : follow(`[data-key="${CSS.escape(key)}"]`);
    if (done) {
      event.preventDefault();
    }
  });

  document.addEventListener("click", (event) => {
    const opener = event.target instanceof Element && event.target.closest("[data-dialog]");
    if (opener) {
      document.getElementById(opener.dataset.dialog)?.showModal();
    }
    if (event.target instanceof Element && event.target.closest("[data-print]")) {
      window.print();
    }
  });

  // After an entry the next question is in a new panel: focus goes there, the page stays where the thumb is.
  document.addEventListener("layette:brought", (event) => {
    if (!event.detail.answered) {
      return;
    }
    const wrong = document.querySelector("#now [aria-invalid=true]") ?? document.querySelector("#now .refused");
    if (wrong && !wrong.matches("input, select")) {
      wrong.tabIndex = -1;
    }
    (wrong ?? document.getElementById("now-title"))?.focus({ preventScroll: true });
    if (event.detail.went) {
      window.scrollTo({ top: 0, behavior: "instant" });
    }
    inSight(wrong ?? openAnswer() ?? document.getElementById("now-title"));
  });

  // The open question is in sight when the page opens, and stays so; what is in sight already is left alone.
  const inSight = (piece) => {
    const box = piece?.getBoundingClientRect();
    // The panel ends where the findings begin: below that nothing is seen, though the window goes on.
    const panel = piece?.closest(".now")?.getBoundingClientRect();
    const bottom = Math.min(window.innerHeight, panel?.bottom ?? window.innerHeight);
    const top = Math.max(0, panel?.top ?? 0);
    if (box && (box.bottom > bottom || box.top < top)) {
      const question = piece.closest(".ask") ?? piece;
      const tall = question.getBoundingClientRect().height > window.innerHeight * 0.8;
      (tall ? piece : question).scrollIntoView({ block: tall ? "center" : "nearest", behavior: "instant" });
    }
  };
  // Where a place is being chosen, its why and its button are what the panel is about.
  const openAnswer = () =>
    document.querySelector("#now .place-why .go") ??
    (document.querySelector("#now .place-why")
      ? null
      : document.querySelector("#now .ask[open] .choice, #now .ask[open] .go:not(.no-answer), #now #look-form .go"));
  if (!location.hash) {
    inSight(openAnswer());
  }

  // The scale or the length board fills its field in; a hand keeps it, marked as coming from there.
  document.addEventListener("click", async (event) => {
    const button = event.target.closest?.("[data-scale]");
    if (!button) {
      return;
    }
    const form = button.closest("form");
    const said = form.querySelector(".sensor");
    const answer = await fetch(button.dataset.scale, { credentials: "same-origin" }).catch(() => null);
    if (!answer || answer.status !== 200) {
      said.textContent = say("scaleSilent");
      return;
    }
    const field = form.querySelector("[name=mass], [name=length]");
    field.value = await answer.text();
    field.dispatchEvent(new Event("input", { bubbles: true }));
    form.querySelector("[name=how]").value = "simulated";
    said.textContent = say("scaleRead");
  });

  // The run is long: keep the open step in sight, without moving the page under anybody's finger.
  const showStep = () => {
    const run = document.getElementById("run");
    const step = run?.querySelector("[aria-current=step]");
    if (step && run.scrollHeight > run.clientHeight) {
      const hidden = step.getBoundingClientRect().bottom - run.getBoundingClientRect().bottom;
      if (hidden > 0) {
        run.scrollTop += hidden + 40;
      }
    }
  };
  document.addEventListener("layette:brought", showStep);
  showStep();

  // A shared control needs its number shown: the keys 1 to 9 answer the open question.
  document.documentElement.classList.add("has-script");
})();
