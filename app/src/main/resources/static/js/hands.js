// Both hands full: one act a screen. A tap anywhere, any key, a foot switch or a page-turner goes on; a second kind of key
// goes back. Read aloud by the browser's own voice on wish. Without this file it is a list to be scrolled.
(() => {
  "use strict";

  const main = document.querySelector("main.hands");
  if (!main) {
    return;
  }
  const slides = [...main.querySelectorAll(".slide")];
  const aloud = document.getElementById("aloud");
  const BACK = ["ArrowLeft", "ArrowUp", "PageUp", "Backspace"];
  const LEFT_ALONE = ["Tab", "Shift", "Control", "Alt", "Meta", "Escape", "CapsLock", "F5", "F11", "F12"];
  const LEAST_APART_MS = 350;
  let at = Math.max(0, slides.findIndex((slide) => `#${slide.id}` === location.hash));
  let last = 0;

  // The drawing of a step stands on each of its acts.
  slides.forEach((slide, place) => {
    if (!slide.querySelector(".act-drawn") && place > 0 && !slide.classList.contains("last")) {
      const drawn = slides[place - 1].querySelector(".act-drawn");
      if (drawn) {
        slide.append(drawn.cloneNode(true));
      }
    }
  });
  for (const title of main.querySelectorAll(".act-drawn svg")) {
    title.removeAttribute("aria-labelledby");
    title.querySelector("title")?.remove();
  }

  const speak = () => {
    const voice = window.speechSynthesis;
    if (!voice || aloud.getAttribute("aria-pressed") !== "true") {
      return;
    }
    voice.cancel();
    const said = new SpeechSynthesisUtterance(slides[at].querySelector(".act-says")?.textContent ?? "");
    said.lang = document.documentElement.lang;
    voice.speak(said);
  };

  const show = () => {
    slides.forEach((slide, place) => {
      slide.classList.toggle("is-open", place === at);
      slide.toggleAttribute("aria-hidden", place !== at);
    });
    history.replaceState(null, "", slides[at].id ? `#${slides[at].id}` : location.pathname + location.search);
    main.querySelector(".slide.is-open .act-says")?.setAttribute("aria-live", "polite");
    speak();
  };

  // A foot switch bounces, and a wet finger taps twice.
  const step = (by) => {
    const now = performance.now();
    if (now - last < LEAST_APART_MS) {
      return;
    }
    last = now;
    at = Math.max(0, Math.min(slides.length - 1, at + by));
    show();
  };

  const isControl = (target) => target instanceof Element && target.closest("a, button, input, label, form, summary") !== null;
  document.addEventListener("keydown", (event) => {
    if (event.repeat || event.ctrlKey || event.metaKey || event.altKey || LEFT_ALONE.includes(event.key) || isControl(event.target)) {
      return;
    }
    event.preventDefault();
    event.stopImmediatePropagation();
    step(BACK.includes(event.key) ? -1 : 1);
  }, true);
  main.addEventListener("click", (event) => {
    if (!isControl(event.target)) {
      step(1);
    }
  });
  aloud.addEventListener("click", () => {
    const on = aloud.getAttribute("aria-pressed") !== "true";
    aloud.setAttribute("aria-pressed", String(on));
    if (on) {
      speak();
    } else {
      window.speechSynthesis?.cancel();
    }
  });
  aloud.hidden = !window.speechSynthesis;

  main.classList.add("one-at-a-time");
  // The screen stays on while it is propped up, where the browser lets it.
  navigator.wakeLock?.request("screen").catch(() => {});
  show();
  main.focus({ preventScroll: true });
})();
