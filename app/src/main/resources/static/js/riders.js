// Several riders as a control: people and restraints are dragged into the car, from seat to seat, and out of it. Each
// move is an entry in the form that the server answers; this file only moves the drawing.
(() => {
  "use strict";

  const LEAST_MOVE_PX = 5;
  const ARROWS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
  const RIDER = "rider/";
  const SEAT = "seat/";
  const PERSON = "p";

  const form = () => document.getElementById("seating");
  const car = () => document.querySelector("#together svg.view-cabin:not([aria-hidden])");
  const seats = () => [...(car()?.querySelectorAll(`[data-target^="${SEAT}"]`) ?? [])];
  const middle = (element) => {
    const box = element.getBoundingClientRect();
    return { x: box.left + box.width / 2, y: box.top + box.height / 2 };
  };
  const inside = (box, at) => at.x >= box.left && at.x <= box.right && at.y >= box.top && at.y <= box.bottom;
  const seatAt = (at) => seats().find((seat) => inside(seat.getBoundingClientRect(), at));
  const say = (key) => window.layette.steady.say(window.layette.say(key));

  let focusOn = "";

  const send = () => window.htmx.trigger(form(), "seat");

  const letGo = (key) => document.querySelectorAll(`[name=at][value^="${key}@"]`).forEach((each) => each.remove());

  const hold = (key, place) => {
    letGo(key);
    const kept = document.createElement("input");
    kept.type = "hidden";
    kept.name = "at";
    kept.value = `${key}@${place}`;
    document.getElementById("together").append(kept);
    kept.setAttribute("form", "seating");
  };

  const people = () => form().elements.people;

  // Into the car; on a seat, or wherever the planner seats them.
  const bring = (token, place) => {
    let key = token;
    if (token === "person") {
      const count = Number(people().value) + 1;
      if (count >= people().options.length) {
        say("noMorePeople");
        return;
      }
      people().value = String(count);
      key = PERSON + count;
    } else {
      form().querySelector(`[name=with][value="${token}"]`).checked = true;
    }
    if (place) {
      hold(key, place);
    }
    send();
  };

  // Out of it. People have no names: the last one goes, and the seats of those after it move up.
  const takeOut = (key) => {
    const box = form().querySelector(`[name=with][value="${key}"]`);
    if (key.startsWith(PERSON) && /^p\d$/.test(key)) {
      const gone = Number(key.slice(1));
      const held = new Map([...document.querySelectorAll("[name=at]")].map((each) => each.value.split("@")));
      const count = Number(people().value);
      for (let number = gone; number <= count; number++) {
        letGo(PERSON + number);
        if (number > gone && held.has(PERSON + number)) {
          hold(PERSON + (number - 1), held.get(PERSON + number));
        }
      }
      people().value = String(count - 1);
    } else if (box) {
      box.checked = false;
      letGo(key);
    } else {
      say("staysIn");
      return false;
    }
    send();
    return true;
  };

  const riderOf = (element) => element.closest("#together a[data-target]")?.dataset.target.slice(RIDER.length);

  document.addEventListener("keydown", (event) => {
    const rider = event.target instanceof Element && form() && event.target.closest("#together a[data-target]");
    if (!rider || event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    const key = riderOf(rider);
    if (event.key === "Delete" || event.key === "Backspace") {
      event.preventDefault();
      takeOut(key);
    } else if (event.key in ARROWS) {
      event.preventDefault();
      const [dx, dy] = ARROWS[event.key];
      const from = middle(rider);
      const here = seatAt(from);
      const to = seats()
        .filter((seat) => seat !== here)
        .map((seat) => {
          const at = middle(seat);
          const along = (at.x - from.x) * dx + (at.y - from.y) * dy;
          const aside = Math.abs((at.x - from.x) * dy) + Math.abs((at.y - from.y) * dx);
          return { seat, along, cost: along + 2 * aside };
        })
        .filter((each) => each.along > 8)
        .sort((a, b) => a.cost - b.cost)[0];
      if (to) {
        focusOn = key;
        hold(key, to.seat.dataset.target.slice(SEAT.length));
        send();
      }
    }
  });

  // What a rider leads to is its line below: a tap goes there, and nothing is moved.
  let drag = null;
  let frame = 0;
  let justDragged = false;

  const draw = () => {
    frame = 0;
    if (drag?.part) {
      const scale = drag.svg.viewBox.baseVal.width / drag.svg.getBoundingClientRect().width;
      drag.part.setAttribute("transform", `translate(${drag.dx * scale} ${drag.dy * scale})`);
    } else if (drag?.ghost) {
      drag.ghost.style.transform = `translate(${drag.x + drag.dx}px, ${drag.y + drag.dy}px)`;
    }
  };

  document.addEventListener("pointerdown", (event) => {
    if (!(event.target instanceof Element) || event.button > 0 || !form()) {
      return;
    }
    const part = event.target.closest("#together a[data-target]");
    const token = event.target.closest("[data-token]");
    if ((!part && !token) || !car()) {
      return;
    }
    drag = { part, token, svg: car(), id: event.pointerId, x: event.clientX, y: event.clientY, dx: 0, dy: 0 };
    if (part) {
      event.preventDefault();
      part.focus({ preventScroll: true });
    }
  });

  document.addEventListener("pointermove", (event) => {
    if (!drag || event.pointerId !== drag.id) {
      return;
    }
    drag.dx = event.clientX - drag.x;
    drag.dy = event.clientY - drag.y;
    if (!drag.moved && Math.hypot(drag.dx, drag.dy) > LEAST_MOVE_PX) {
      drag.moved = true;
      if (drag.token) {
        drag.ghost = document.createElement("div");
        drag.ghost.className = "token in-hand";
        drag.ghost.setAttribute("aria-hidden", "true");
        drag.ghost.append(drag.token.querySelector("[class^=small]").cloneNode());
        document.body.append(drag.ghost);
      }
    }
    const seat = seatAt({ x: event.clientX, y: event.clientY });
    seats().forEach((each) => each.classList.toggle("aimed", each === seat));
    frame = frame || window.requestAnimationFrame(draw);
  });

  const drop = (event) => {
    if (!drag || event.pointerId !== drag.id) {
      return;
    }
    const { part, token, ghost, moved, svg } = drag;
    drag = null;
    ghost?.remove();
    seats().forEach((each) => each.classList.remove("aimed"));
    if (!moved || event.type !== "pointerup") {
      part?.removeAttribute("transform");
      return;
    }
    justDragged = true;
    window.setTimeout(() => {
      justDragged = false;
    }, 0);
    const at = { x: event.clientX, y: event.clientY };
    const seat = seatAt(at)?.dataset.target.slice(SEAT.length);
    const inCar = inside(svg.getBoundingClientRect(), at);
    if (token) {
      if (inCar) {
        bring(token.dataset.token, seat);
      }
    } else if (seat) {
      hold(riderOf(part), seat);
      send();
    } else if (inCar || !takeOut(riderOf(part))) {
      part.removeAttribute("transform");
    }
  };
  document.addEventListener("pointerup", drop);
  document.addEventListener("pointercancel", drop);

  document.addEventListener("click", (event) => {
    const byPointer = event.detail > 0;
    if (event.target instanceof Element && (justDragged || (byPointer && event.target.closest("#together a[data-target]")))) {
      event.preventDefault();
    }
  }, true);

  document.addEventListener("change", (event) => {
    if (event.target instanceof Element && event.target.matches("#together [name=at]")) {
      send();
    }
  });

  document.addEventListener("htmx:afterSettle", () => {
    if (focusOn) {
      document.querySelector(`#together a[data-target="${RIDER}${focusOn}"]`)?.focus({ preventScroll: true });
      focusOn = "";
    }
  });
})();
