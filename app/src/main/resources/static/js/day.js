// An appointment is moved on the day's drawing: by pointer or finger, or by the arrow keys and Enter. What is let go is sent
// to the server, which takes it or says why not; nothing is decided here but which quarter of an hour is meant.
(() => {
  "use strict";

  const { say } = window.layette;
  const LEFT = 116;
  const WIDTH = 900;
  const QUARTERS_AN_HOUR = 4;
  const MOVED = 6;

  const board = () => document.querySelector(".day-board");
  const svg = () => document.querySelector("svg.day");
  const lanes = () => [...document.querySelectorAll("svg.day .lane")];
  const quarter = () => (WIDTH - LEFT) / (Number(board().dataset.hours) * QUARTERS_AN_HOUR);
  const firstHour = () => Number(board().dataset.from.split(":")[0]);

  let held = null;

  const begin = (card) => ({
    card,
    steps: Math.round((Number(card.dataset.x) - LEFT) / quarter()),
    lane: lanes().findIndex((lane) => lane.dataset.bay === card.dataset.bay),
  });

  const timeOf = (steps) => {
    const minutes = firstHour() * 60 + steps * 15;
    return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, "0")}`;
  };

  const show = (move) => {
    const lane = lanes()[move.lane];
    const x = LEFT + move.steps * quarter() - Number(move.card.dataset.x);
    const y = Number(lane.dataset.y) - Number(move.card.dataset.y);
    move.card.setAttribute("transform", `translate(${x} ${y})`);
    move.card.classList.add("lifted");
    document.querySelector(".day-board .tried").textContent = say("dayTried", timeOf(move.steps), lane.querySelector(".bay").textContent);
  };

  const drop = (card) => {
    card.removeAttribute("transform");
    card.classList.remove("lifted");
    document.querySelector(".day-board .tried").textContent = "";
  };

  const isMoved = (move) => {
    const was = begin(move.card);
    return was.steps !== move.steps || was.lane !== move.lane;
  };

  const send = (move) => {
    const form = document.getElementById("move");
    form.setAttribute("action", `/appointments/${move.card.dataset.id}/move`);
    form.elements.time.value = `${lanes()[move.lane].dataset.bay} ${board().dataset.day} ${timeOf(move.steps)}`;
    form.submit();
  };

  const bound = (move) => {
    move.steps = Math.max(0, Math.min(Number(board().dataset.hours) * QUARTERS_AN_HOUR - 1, move.steps));
    move.lane = Math.max(0, Math.min(lanes().length - 1, move.lane));
    return move;
  };

  document.addEventListener("pointerdown", (event) => {
    const card = event.target.closest?.("svg.day a.card.moves");
    if (card && event.button === 0) {
      held = { card, from: begin(card), x: event.clientX, y: event.clientY, going: false };
    }
  });
  document.addEventListener("pointermove", (event) => {
    if (!held) {
      return;
    }
    const scale = WIDTH / svg().getBoundingClientRect().width;
    const dx = (event.clientX - held.x) * scale;
    const dy = (event.clientY - held.y) * scale;
    if (!held.going && Math.hypot(dx, dy) < MOVED) {
      return;
    }
    held.going = true;
    event.preventDefault();
    const height = lanes().length > 1 ? Number(lanes()[1].dataset.y) - Number(lanes()[0].dataset.y) : 1;
    held.move = bound({ card: held.card, steps: held.from.steps + Math.round(dx / quarter()), lane: held.from.lane + Math.round(dy / height) });
    show(held.move);
  });
  document.addEventListener("pointerup", () => {
    const was = held;
    held = null;
    if (was?.going && isMoved(was.move)) {
      send(was.move);
    } else if (was?.going) {
      drop(was.card);
    }
    if (was?.going) {
      // The click that follows belongs to the drag.
      document.addEventListener("click", (event) => { event.preventDefault(); event.stopPropagation(); }, { capture: true, once: true });
      window.setTimeout(() => document.body.dispatchEvent(new MouseEvent("click")), 0);
    }
  });
  document.addEventListener("dragstart", (event) => {
    if (event.target.closest?.("svg.day a.card")) {
      event.preventDefault();
    }
  });

  const STEPS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
  const tried = new Map();
  document.addEventListener("keydown", (event) => {
    const card = event.target.closest?.("svg.day a.card.moves");
    if (!card || event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    const move = tried.get(card) ?? begin(card);
    if (STEPS[event.key]) {
      event.preventDefault();
      move.steps += STEPS[event.key][0];
      move.lane += STEPS[event.key][1];
      tried.set(card, bound(move));
      show(move);
    } else if (event.key === "Escape" && tried.has(card)) {
      event.preventDefault();
      tried.delete(card);
      drop(card);
    } else if (event.key === "Enter" && tried.has(card) && isMoved(move)) {
      event.preventDefault();
      send(move);
    }
  });
})();
