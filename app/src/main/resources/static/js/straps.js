// The straps by hand: the end of a webbing is dragged off the plate, to a slot, onto the plate. Which move that is, and
// whether it may be made, stands in the server's table; the browser computes none of it and needs no signal for it.
(() => {
  "use strict";

  /** The page as it stands now: what comes instead of it is begun anew. */
  let now = null;

  const begin = (source, svg) => {
    const table = JSON.parse(source.textContent);
    const PARTS = { LEFT: "belt-1", RIGHT: "belt-2" };
    const PLATE = { x: 0, y: -96 };
    const PLATE_REACH = 80;
    const SLOT_REACH = 70;
    let at = 0;
    let drag = null;
    let frame = 0;

    const said = document.getElementById("straps-refused");
    const front = document.querySelector("svg.view-shell-front");
    const part = (strap) => svg.querySelector(`[data-part="${PARTS[strap]}"]`);

    const toView = (event) => {
      const matrix = svg.getScreenCTM().inverse();
      return new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    };

    const refuse = (text) => {
      said.textContent = text;
      said.hidden = text === "";
    };

    const drawnAs = (inner) => {
      const drawn = new DOMParser().parseFromString(`<svg xmlns="http://www.w3.org/2000/svg">${inner}</svg>`, "image/svg+xml");
      return document.importNode(drawn.documentElement.firstElementChild, true);
    };

    const draw = () => {
      const state = table.states[at];
      for (const strap of Object.keys(PARTS)) {
        const fresh = drawnAs(table.straps[strap][state[strap]]);
        part(strap).replaceWith(fresh);
        fresh.classList.add("can-drag");
        front?.querySelector(`[data-part="${PARTS[strap]}"]`).replaceWith(drawnAs(table.fronts[strap][state[strap]]));
      }
      const next = document.getElementById("next-move");
      if (next) {
        next.textContent = state.next;
      }
    };

    // The form of a move: the one that the server gave, or one like it where the page has gone on without it.
    const send = (move) => {
      const like = document.querySelector("#moves form.moves:not([data-sent])");
      if (!like) {
        return;
      }
      const form = like.cloneNode(true);
      const set = (name, value) => {
        let field = form.querySelector(`[name=${name}]`);
        if (!field) {
          field = document.createElement("input");
          field.type = "hidden";
          field.name = name;
          form.prepend(field);
        }
        field.value = value;
        field.disabled = value === "";
      };
      delete form.dataset.table;
      set("entry", crypto.randomUUID());
      set("move", move.kind);
      set("strap", move.strap);
      set("slot", move.slot);
      form.querySelector("button").textContent = move.words;
      form.hidden = true;
      document.getElementById("moves").append(form);
      form.dataset.sent = "";
      form.requestSubmit();
    };

    const offer = () => {
      const place = document.getElementById("moves");
      if (!place) {
        return;
      }
      const moves = [...table.states[at].moves].sort((a, b) => Number(b.next) - Number(a.next));
      const forms = [...place.querySelectorAll("form.moves:not([data-sent])")];
      // What the server gave belongs to the state before: its buttons take the moves of this one.
      forms.forEach((form, number) => {
        const move = moves[number];
        form.hidden = !move;
        if (move) {
          form.dataset.table = String(number);
          const button = form.querySelector("button");
          button.textContent = move.words;
          button.classList.toggle("quiet", !move.next);
        }
      });
    };

    const make = (kind, strap, slot) => {
      const move = table.states[at].moves.find((each) => each.kind === kind && each.strap === strap && (slot === "" || each.slot === slot));
      if (!move) {
        refuse(window.layette.say("needsConnection"));
        return;
      }
      if (move.refused) {
        refuse(move.refused);
        return;
      }
      refuse("");
      send(move);
      at = move.to;
      draw();
      offer();
    };

    const press = (form) => {
      const moves = [...table.states[at].moves].sort((a, b) => Number(b.next) - Number(a.next));
      const move = moves[Number(form.dataset.table)];
      if (move) {
        make(move.kind, move.strap, move.slot);
      }
    };

    // Slots as they are drawn, to each side; the number is the one that the server wrote beside it.
    const slotAt = (point) => {
      const slots = [...svg.querySelectorAll(":scope > path.ink-slot, :scope > path.ink-hands")].map((path) => path.getBBox());
      const heights = [...new Set(slots.map((box) => Math.round(box.y + box.height / 2)))].sort((a, b) => b - a);
      const near = heights.map((y, number) => ({ number: number + 1, far: Math.abs(point.y - y) })).sort((a, b) => a.far - b.far)[0];
      return near && near.far < SLOT_REACH && Math.abs(point.x) < 150 ? near.number : 0;
    };

    const dropped = (strap, point) => {
      const state = table.states[at][strap].split("-");
      const onPlate = Math.hypot(point.x - PLATE.x, point.y - PLATE.y) < PLATE_REACH;
      if (onPlate) {
        if (state[0] !== "HOME") {
          make("ON_PLATE", strap, "");
        }
        return;
      }
      const slot = slotAt(point);
      if (state[0] === "HOME" || slot === 0) {
        make("OFF_PLATE", strap, "");
        return;
      }
      if (slot !== table.target) {
        refuse(window.layette.say("otherSlot", table.target));
        return;
      }
      make(state[1] === String(slot) ? "THROUGH_PAD" : "THROUGH_SHELL", strap, String(slot));
    };

    svg.addEventListener("pointerdown", (event) => {
      const strap = Object.keys(PARTS).find((each) => event.target.closest?.(`[data-part="${PARTS[each]}"]`));
      if (!strap || event.button > 0) {
        return;
      }
      drag = { strap, id: event.pointerId, from: toView(event), to: toView(event) };
      svg.setPointerCapture?.(event.pointerId);
      event.preventDefault();
    });
    svg.addEventListener("pointermove", (event) => {
      if (!drag || event.pointerId !== drag.id) {
        return;
      }
      drag.to = toView(event);
      frame = frame || window.requestAnimationFrame(() => {
        frame = 0;
        if (drag) {
          part(drag.strap).setAttribute("transform", `translate(${drag.to.x - drag.from.x} ${drag.to.y - drag.from.y})`);
        }
      });
    });
    const drop = (event) => {
      if (!drag || event.pointerId !== drag.id) {
        return;
      }
      const { strap, from, to } = drag;
      drag = null;
      part(strap).removeAttribute("transform");
      if (event.type === "pointerup" && Math.hypot(to.x - from.x, to.y - from.y) > 12) {
        dropped(strap, to);
      }
    };
    svg.addEventListener("pointerup", drop);
    svg.addEventListener("pointercancel", drop);
    svg.querySelectorAll("[data-part^=belt]").forEach((each) => each.classList.add("can-drag"));
    offer();
    return { source, press };
  };

  const start = () => {
    const source = document.getElementById("strap-table");
    const svg = document.querySelector(".drawing.shell-back svg");
    if (source && svg && now?.source !== source) {
      now = begin(source, svg);
    }
  };

  // A button makes its move by the table: it shows at once, and is sent as soon as it can be.
  document.addEventListener("submit", (event) => {
    const form = event.target;
    if (now?.source.isConnected && form instanceof HTMLFormElement && form.dataset.table !== undefined) {
      event.preventDefault();
      event.stopImmediatePropagation();
      now.press(form);
    }
  }, true);
  document.addEventListener("layette:brought", start);
  start();
})();
