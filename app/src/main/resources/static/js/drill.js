// The practice bench by hand: a press is dragged down from the base, the longer the harder; the front seat is pushed along.
// What is let go is sent to the server, which says what it comes to; nothing is decided here.
(() => {
  "use strict";

  const { say } = window.layette;
  const SVG = "http://www.w3.org/2000/svg";
  const NEWTONS_PER_MM = 2.2;
  const MOST_NEWTONS = 900;
  const MOST_SEAT_MM = 300;
  const MEANT_MM = 14;
  const SHARES = { FOOT_END: 0, MIDDLE: 1, HEAD_END: 2 };

  const board = () => document.querySelector(".drill-board .drawing");
  const svg = () => board()?.querySelector("svg");
  const live = () => document.querySelector(".drill-live");
  let held = null;

  const spotOf = (link) => {
    const query = new URL(link.href?.baseVal ?? link.getAttribute("href"), location.href).searchParams;
    return { spot: query.get("spot"), what: query.get("what") };
  };

  const inDrawing = (event) => {
    const point = new DOMPoint(event.clientX, event.clientY);
    return point.matrixTransform(svg().getScreenCTM().inverse());
  };

  const newtons = (move) => Math.min(MOST_NEWTONS, Math.max(0, move.down) * NEWTONS_PER_MM);

  const showPress = (move) => {
    const { x, y } = move.from;
    const end = y + Math.max(0, move.down);
    move.line ??= svg().appendChild(document.createElementNS(SVG, "path"));
    move.head ??= svg().appendChild(document.createElementNS(SVG, "path"));
    move.line.setAttribute("class", "drill-arrow");
    move.head.setAttribute("class", "drill-arrow-head");
    move.line.setAttribute("d", `M${x} ${y}V${end}`);
    move.head.setAttribute("d", `M${x - 16} ${end}h32l-16 26z`);
    const { unit, newtons: perUnit } = board().dataset;
    const where = document.querySelectorAll(".drill-press fieldset label span")[SHARES[move.what]]?.textContent ?? "";
    live().textContent = say("drillPress", where, Math.round(newtons(move) / Number(perUnit)), unit);
  };

  const showSeat = (move) => {
    move.link.setAttribute("transform", `translate(${move.along} 0)`);
    live().textContent = say("drillSeat", Math.round(-move.along));
  };

  const drop = (move) => {
    move.line?.remove();
    move.head?.remove();
    move.link.removeAttribute("transform");
  };

  const send = (hand, what, force) => {
    const form = document.getElementById("drag");
    form.elements.hand.value = hand;
    form.elements.what.value = what;
    form.elements.force.value = force;
    form.submit();
  };

  document.addEventListener("pointerdown", (event) => {
    const link = event.target.closest?.(".drill-board .drawing a");
    if (!link || event.button !== 0) {
      return;
    }
    const { spot, what } = spotOf(link);
    if (spot === "PRESS" || spot === "MOVE_FRONT_SEAT") {
      held = { link, spot, what, from: inDrawing(event), down: 0, along: 0, moved: false, frame: 0 };
      event.preventDefault();
    }
  });

  document.addEventListener("pointermove", (event) => {
    if (!held) {
      return;
    }
    const now = inDrawing(event);
    held.down = now.y - held.from.y;
    held.along = Math.max(-MOST_SEAT_MM, Math.min(MOST_SEAT_MM, now.x - held.from.x));
    held.moved ||= Math.hypot(held.down, held.along) > MEANT_MM;
    cancelAnimationFrame(held.frame);
    const move = held;
    move.frame = requestAnimationFrame(() => (move.spot === "PRESS" ? showPress(move) : showSeat(move)));
  });

  document.addEventListener("pointerup", () => {
    const move = held;
    held = null;
    if (!move?.moved) {
      return;
    }
    cancelAnimationFrame(move.frame);
    if (move.spot === "PRESS" && move.down > MEANT_MM) {
      send("PRESS", move.what, Math.round(newtons(move) / Number(board().dataset.newtons)));
    } else if (move.spot === "MOVE_FRONT_SEAT" && Math.abs(move.along) > MEANT_MM) {
      // In the drawing the front seat stands to the left: to the left is away.
      send("MOVE_FRONT_SEAT", String(Math.round(-move.along)), "0");
    } else {
      drop(move);
    }
    // What was dragged is no tap.
    document.addEventListener("click", (click) => click.preventDefault(), { once: true, capture: true });
  });

  document.addEventListener("pointercancel", () => {
    if (held) {
      drop(held);
      held = null;
    }
  });

  // The line of what was done is read from its end.
  const toTheEnd = () => {
    const did = document.querySelector("main.drill:not(.apart) .drill-did");
    if (did) {
      did.scrollTop = did.scrollHeight;
    }
    for (const link of document.querySelectorAll(".drill-board .drawing a")) {
      const { spot } = spotOf(link);
      link.classList.toggle("can-press", spot === "PRESS" || spot === "MOVE_FRONT_SEAT");
    }
    document.querySelector(".drill-scrub input[type=range]")?.addEventListener("change", (event) => event.target.form.submit());
  };
  toTheEnd();
  document.addEventListener("layette:brought", toTheEnd);
})();
