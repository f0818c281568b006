// A trip as a line of time: a stop is dragged by whole quarters of an hour, or moved by the arrow keys. The server says
// what that comes to; this file only asks.
(() => {
  "use strict";

  const QUARTER = 15;
  const LEAST_LEG = 5;
  let drag = null;

  const plan = () => document.getElementById("trip-plan");
  const legs = () => plan().dataset.legs.split(",").map(Number);

  const ask = async (moved, focus) => {
    const address = new URL(location.href);
    address.searchParams.set("legs", moved.join(","));
    const response = await fetch(address, { redirect: "error" }).catch(() => null);
    if (!response?.ok) {
      window.layette.steady.say(window.layette.say("needsConnection"));
      return;
    }
    const fresh = new DOMParser().parseFromString(await response.text(), "text/html").getElementById("trip-plan");
    if (fresh) {
      plan().replaceWith(fresh);
      history.replaceState(history.state, "", address);
      fresh.querySelector(`.stop[data-stop="${focus}"]`)?.focus({ preventScroll: true });
    }
  };

  // What one leg gains the next one loses: the drive stays as long as it is.
  const shift = (stop, minutes) => {
    const now = legs();
    const by = Math.max(LEAST_LEG - now[stop], Math.min(now[stop + 1] - LEAST_LEG, minutes));
    const quarters = Math.trunc(by / QUARTER) * QUARTER;
    if (quarters !== 0) {
      now[stop] += quarters;
      now[stop + 1] -= quarters;
      ask(now, stop);
    }
  };

  document.addEventListener("keydown", (event) => {
    const stop = event.target instanceof Element && event.target.closest("#trip-plan .stop");
    const by = { ArrowLeft: -QUARTER, ArrowDown: -QUARTER, ArrowRight: QUARTER, ArrowUp: QUARTER }[event.key];
    if (stop && by) {
      event.preventDefault();
      shift(Number(stop.dataset.stop), by);
    }
  });
  document.addEventListener("pointerdown", (event) => {
    const stop = event.target instanceof Element && event.target.closest("#trip-plan .stop");
    if (!stop || event.button > 0) {
      return;
    }
    const svg = stop.ownerSVGElement;
    const scale = svg.viewBox.baseVal.width / svg.getBoundingClientRect().width;
    drag = { stop, id: event.pointerId, x: event.clientX, scale, perMinute: Number(svg.dataset.perMinute), minutes: 0 };
    stop.setPointerCapture?.(event.pointerId);
    event.preventDefault();
  });
  document.addEventListener("pointermove", (event) => {
    if (drag && event.pointerId === drag.id) {
      const units = (event.clientX - drag.x) * drag.scale;
      drag.minutes = Math.round(units / drag.perMinute / QUARTER) * QUARTER;
      drag.stop.setAttribute("transform", `translate(${drag.minutes * drag.perMinute} 0)`);
    }
  });
  const drop = (event) => {
    if (drag && event.pointerId === drag.id) {
      const { stop, minutes } = drag;
      drag = null;
      stop.removeAttribute("transform");
      if (event.type === "pointerup") {
        shift(Number(stop.dataset.stop), minutes);
      }
    }
  };
  document.addEventListener("pointerup", drop);
  document.addEventListener("pointercancel", drop);
})();
