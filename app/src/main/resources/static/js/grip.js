// What can be dragged in a drawing is dragged by a finger too. The browser takes no touch-action from parts of a drawing, and
// would scroll the page under the finger after a few moves; whoever took hold of something means that thing. A tap stays a tap.
(() => {
  "use strict";

  const GRIPS = [
    ".can-drag",
    ".can-press",
    '#board [data-part="restraint"]',
    "#together a[data-target]",
    "[data-token]",
    ".trip-line .stop",
    'svg.view-harness [data-part="shoulder"]',
    "svg.day a.card.moves",
  ].join(", ");

  document.addEventListener(
    "touchmove",
    (event) => {
      if (event.cancelable && event.target instanceof Element && event.target.closest(GRIPS)) {
        event.preventDefault();
      }
    },
    { passive: false },
  );
})();
