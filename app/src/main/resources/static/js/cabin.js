// The cabin as a control: the restraint is dragged to a place, by pointer, finger or arrow keys, and the panel says what
// that place comes to before anything is chosen. The server answers; this file only moves the drawing.
(() => {
  "use strict";

  const ASK_AFTER_MS = 90;
  const LEAST_MOVE_PX = 4;
  const ARROWS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

  const view = () => document.querySelector("#board svg.view-cabin");
  const restraint = () => document.querySelector("#board svg.view-cabin [data-part=restraint]");
  const places = () => [...document.querySelectorAll("#board svg.view-cabin a[data-target]")];
  const targetOf = (link) => link.dataset.target;
  const placeOf = (target) => target.split("/")[0];
  const centre = (element) => {
    const box = element.getBoundingClientRect();
    return { x: box.left + box.width / 2, y: box.top + box.height / 2 };
  };
  // The outline in a link is its first path: the words beside it do not move its middle.
  const spot = (link) => centre(link.querySelector("path") ?? link);

  let asking = null;
  let pause = 0;
  let shown = "";

  const fitting = () => document.getElementById("now")?.dataset.fitting;

  // What was asked while a place was being chosen is told only as long as it still is: an answer pressed meanwhile, or a
  // step gone to, brings the newer page itself, and a try that comes late must not be laid over it.
  const isStillAsked = ({ seq, step }) => {
    const now = document.getElementById("now");
    return now?.dataset.seq === seq && now.dataset.step === step && document.querySelector(".busy") === null;
  };

  const bring = async (pick, alone, focusPlace) => {
    asking?.abort();
    asking = new AbortController();
    const { typed } = window.layette;
    const { seq, step } = document.getElementById("now").dataset;
    try {
      const response = await fetch(`/fittings/${fitting()}/place?pick=${encodeURIComponent(pick)}&alone=${alone}`, {
        headers: { "HX-Request": "true", "Layette-Shows": typed.shows() },
        signal: asking.signal,
        redirect: "error",
      });
      if (!response.ok) {
        return false;
      }
      const html = await response.text();
      if (!isStillAsked({ seq, step })) {
        return true;
      }
      typed.bring(html);
      if (!alone) {
        // Reload comes back to what was tried; Back still leaves the fitting.
        history.replaceState(history.state, "", `${location.pathname}?step=PLACE&view=cabin&pick=${encodeURIComponent(pick)}`);
      }
      if (focusPlace) {
        places().find((link) => placeOf(targetOf(link)) === focusPlace)?.focus({ preventScroll: true });
      }
      return true;
    } catch {
      return false;
    }
  };

  const tryIt = (pick, alone = false, focusPlace = "") => {
    if (pick === shown && alone) {
      return;
    }
    shown = pick;
    window.clearTimeout(pause);
    pause = window.setTimeout(async () => {
      const came = await bring(pick, alone, focusPlace);
      if (!came && !asking?.signal.aborted) {
        window.layette.steady.say(window.layette.say("needsConnection"));
      }
    }, alone ? ASK_AFTER_MS : 0);
  };

  // A way in the panel, and a place in the drawing: tried where it stands, without leaving the page.
  document.addEventListener("click", (event) => {
    if (event.ctrlKey || event.metaKey || event.shiftKey || !(event.target instanceof Element)) {
      return;
    }
    const way = event.target.closest("#now .ways a[data-pick]");
    const link = event.target.closest("#board svg.view-cabin a[data-target]");
    if (way) {
      event.preventDefault();
      tryIt(way.dataset.pick);
    } else if (link) {
      event.preventDefault();
      tryIt(targetOf(link), false, document.activeElement === link ? placeOf(targetOf(link)) : "");
    }
  });

  // Arrow keys go to the nearest place that way.
  document.addEventListener("keydown", (event) => {
    const here = event.target instanceof Element && event.target.closest("#board svg.view-cabin a[data-target]");
    if (!here || !(event.key in ARROWS) || event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    event.preventDefault();
    const [dx, dy] = ARROWS[event.key];
    const from = spot(here);
    const ahead = places()
      .filter((link) => link !== here)
      .map((link) => {
        const to = spot(link);
        const along = (to.x - from.x) * dx + (to.y - from.y) * dy;
        const aside = Math.abs((to.x - from.x) * dy) + Math.abs((to.y - from.y) * dx);
        return { link, along, cost: along + 2 * aside };
      })
      .filter((each) => each.along > 8)
      .sort((a, b) => a.cost - b.cost)[0];
    if (ahead) {
      ahead.link.focus({ preventScroll: true });
      tryIt(targetOf(ahead.link), false, placeOf(targetOf(ahead.link)));
    }
  });

  let drag = null;
  let frame = 0;

  const draw = () => {
    frame = 0;
    if (!drag) {
      return;
    }
    const scale = drag.svg.viewBox.baseVal.width / drag.svg.getBoundingClientRect().width;
    drag.part.setAttribute("transform", `translate(${drag.dx * scale} ${drag.dy * scale})`);
  };

  const nearest = () => {
    const at = { x: drag.from.x + drag.dx, y: drag.from.y + drag.dy };
    const reach = drag.size;
    return drag.spots
      .map(({ link, to }) => ({ link, far: Math.hypot(to.x - at.x, to.y - at.y) }))
      .filter((each) => each.far < reach)
      .sort((a, b) => a.far - b.far)[0]?.link;
  };

  const aim = (link) => places().forEach((each) => each.classList.toggle("aimed", each === link));

  document.addEventListener("pointerdown", (event) => {
    const part = event.target instanceof Element && event.target.closest("#board svg.view-cabin [data-part=restraint]");
    if (!part || event.button > 0) {
      return;
    }
    const box = part.getBoundingClientRect();
    drag = {
      part,
      svg: part.ownerSVGElement,
      id: event.pointerId,
      x: event.clientX,
      y: event.clientY,
      dx: 0,
      dy: 0,
      from: centre(part.querySelector("path") ?? part),
      size: Math.max(box.width, box.height) * 0.8,
      // Measured once: while it moves nothing else does.
      spots: places().map((link) => ({ link, to: spot(link) })),
    };
    part.setPointerCapture?.(event.pointerId);
    event.preventDefault();
  });

  document.addEventListener("pointermove", (event) => {
    if (!drag || event.pointerId !== drag.id) {
      return;
    }
    drag.dx = event.clientX - drag.x;
    drag.dy = event.clientY - drag.y;
    if (Math.hypot(drag.dx, drag.dy) > LEAST_MOVE_PX) {
      drag.moved = true;
      drag.part.classList.add("held");
    }
    frame = frame || window.requestAnimationFrame(draw);
    const link = nearest();
    aim(link);
    if (link && drag.moved) {
      tryIt(targetOf(link), true);
    }
  });

  const drop = (event) => {
    if (!drag || event.pointerId !== drag.id) {
      return;
    }
    const { part, moved } = drag;
    const link = event.type === "pointerup" ? nearest() : null;
    part.classList.remove("held");
    drag = null;
    aim(null);
    if (moved && link) {
      shown = "";
      tryIt(targetOf(link));
    } else {
      part.removeAttribute("transform");
      if (moved) {
        // Put down beside the car: what was tried last is not what stands there.
        const here = places().find((each) => each.classList.contains("here"));
        shown = "";
        tryIt(here ? targetOf(here) : new URL(location.href).searchParams.get("pick") ?? "");
      }
    }
  };
  document.addEventListener("pointerup", drop);
  document.addEventListener("pointercancel", drop);

  const begin = () => {
    shown = "";
    if (view() && restraint()) {
      restraint().classList.add("can-drag");
    }
  };
  document.addEventListener("layette:brought", begin);
  document.addEventListener("htmx:afterSettle", begin);
  begin();
})();
