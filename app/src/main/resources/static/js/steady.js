// A press counts only when it was meant: its button had stood there for a while without moving or changing its words, and
// the press began on it. Hands are quicker than eyes: what has only just come up under a finger is not taken, and
// that is said.
window.layette = window.layette ?? {};
(() => {
  "use strict";

  const STEADY_MS = Number(document.documentElement.dataset.steady ?? 400);
  const STILL_PX = 1;
  const SAY_MS = 4000;
  const AFTER_PRESS_MS = 350;
  const GUARDED =
    "main form.entry button:not([type=button]), main form[data-waits] .choice, main .moves button, main .choice, svg.view-harness a[href*='#shoulder-']";

  const seen = new WeakMap();
  let until = 0;
  let frame = 0;
  let press = null;

  const guarded = (target) => (target instanceof Element ? target.closest(GUARDED) : null);

  // What is pressed shows that it works; that is no change of its words.
  const words = (button) => button.textContent.replace(/\s+/g, " ").trim();

  // How far all that stands around it is scrolled; what stands around several is asked once.
  const scrolled = (around, known) => {
    if (!around || around === document.scrollingElement) {
      return { left: window.scrollX, top: window.scrollY };
    }
    const before = known.get(around);
    if (before) {
      return before;
    }
    const outer = scrolled(around.parentElement, known);
    const here = { left: outer.left + around.scrollLeft, top: outer.top + around.scrollTop };
    known.set(around, here);
    return here;
  };

  // Where it stands on the page: a hand that scrolls moves the page, not the button.
  const place = (button, known) => {
    const box = button.getBoundingClientRect();
    if (box.width <= 0 || box.height <= 0) {
      return null;
    }
    const { left, top } = scrolled(button.parentElement, known);
    return { left: box.left + left, top: box.top + top, height: box.height, words: words(button) };
  };

  const look = (button, known = new Map()) => {
    const here = place(button, known);
    const before = seen.get(button);
    const still =
      before &&
      here &&
      Math.abs(before.left - here.left) <= STILL_PX &&
      Math.abs(before.top - here.top) <= STILL_PX &&
      Math.abs(before.height - here.height) <= STILL_PX &&
      before.words === here.words;
    if (!here) {
      seen.delete(button);
    } else if (!still) {
      seen.set(button, { ...here, at: performance.now() });
    }
    return seen.get(button) ?? null;
  };

  const isInView = (button) => {
    const box = button.getBoundingClientRect();
    return box.bottom > 0 && box.top < window.innerHeight && box.right > 0 && box.left < window.innerWidth;
  };

  // Looks at every frame for as long as something may still move, and not at all after that.
  const watch = () => {
    const known = new Map();
    document.querySelectorAll(GUARDED).forEach((button) => look(button, known));
    frame = performance.now() < until ? window.requestAnimationFrame(watch) : 0;
  };
  const stir = () => {
    until = performance.now() + STEADY_MS;
    frame = frame || window.requestAnimationFrame(watch);
  };
  new MutationObserver(stir).observe(document, {
    subtree: true,
    childList: true,
    characterData: true,
    attributes: true,
    attributeFilter: ["open", "hidden", "class", "style", "transform"],
  });
  for (const name of ["scroll", "toggle", "load", "transitionrun", "animationstart"]) {
    document.addEventListener(name, stir, { capture: true, passive: true });
  }
  for (const name of ["resize", "pageshow", "focus"]) {
    window.addEventListener(name, stir);
  }
  stir();

  const isSteady = (button) => {
    const since = look(button);
    return since !== null && isInView(button) && performance.now() - since.at >= STEADY_MS;
  };

  let hush = 0;
  const say = (text) => {
    let note = document.getElementById("not-taken");
    if (!note) {
      note = document.createElement("p");
      note.id = "not-taken";
      note.className = "not-taken";
      note.setAttribute("role", "status");
      document.body.append(note);
    }
    note.textContent = text;
    note.classList.add("shown");
    window.clearTimeout(hush);
    hush = window.setTimeout(() => note.classList.remove("shown"), SAY_MS);
  };
  const refuse = () => say(window.layette.say("notTaken"));

  document.addEventListener(
    "pointerdown",
    (event) => {
      const button = guarded(event.target);
      press = { button, steady: button !== null && isSteady(button) };
    },
    true,
  );
  document.addEventListener("pointerup", () => window.setTimeout(() => (press = null), AFTER_PRESS_MS), true);

  document.addEventListener(
    "keydown",
    (event) => {
      if (event.key !== "Enter" && event.key !== " ") {
        return;
      }
      const button = guarded(event.target);
      if (event.repeat && (button || event.target instanceof HTMLInputElement)) {
        event.preventDefault();
        return;
      }
      if (button) {
        press = { button, steady: isSteady(button) };
      } else if (event.key === "Enter") {
        enter(event);
      }
    },
    true,
  );

  // Enter in a field submits what the field belongs to. Where only answers stand beside it, it chooses none of them.
  const enter = (event) => {
    const field = event.target;
    const form = field instanceof HTMLInputElement && !field.readOnly ? field.closest("main form[method=post], main form.answers") : null;
    // A conversation goes on by Enter; only its last question is sent.
    if (!form || form.matches(".talks:not(.at-the-end)") || field.type === "range" || field.type === "file") {
      return;
    }
    event.preventDefault();
    const own = form.querySelector('button.go:not([type=button]):not([name^="sure"])');
    if (!own) {
      say(window.layette.say("chooseNow"));
    } else if (!guarded(own) || isSteady(own)) {
      // What a press needs not wait for, Enter needs not either.
      form.requestSubmit(own);
    } else {
      refuse();
    }
  };

  document.addEventListener(
    "click",
    (event) => {
      const button = guarded(event.target);
      // A click that this application makes itself was asked about where it was made.
      if (!button || !event.isTrusted) {
        return;
      }
      const meant = press ? press.button === button && press.steady : isSteady(button);
      press = null;
      if (!meant) {
        event.preventDefault();
        event.stopImmediatePropagation();
        refuse();
      }
    },
    true,
  );

  // What comes by itself waits until the hand is lifted: a button that moves away between press and release is missed.
  const HELD_MS = 3000;
  let held = 0;
  const waiting = [];
  const lift = () => {
    window.clearTimeout(held);
    held = 0;
    waiting.splice(0).forEach((act) => act());
  };
  document.addEventListener(
    "pointerdown",
    () => {
      window.clearTimeout(held);
      held = window.setTimeout(lift, HELD_MS);
    },
    true,
  );
  for (const name of ["pointerup", "pointercancel"]) {
    // The click comes after the release.
    document.addEventListener(name, () => window.setTimeout(lift), true);
  }
  const whenLifted = (act) => (held ? waiting.push(act) : act());

  window.layette.steady = { isSteady, refuse, say, whenLifted };
})();
