// The quick ride. Every answer is asked of the server; without a signal the card is looked up in the table that came with
// the page, and what is not in it needs a connection.
(() => {
  "use strict";

  const form = document.getElementById("ride-answers");
  if (!form) {
    return;
  }
  const { say } = window.layette;
  let table = null;

  const load = async () => {
    try {
      const response = await fetch("/quick/table", { redirect: "error" });
      table = response.ok ? await response.json() : null;
    } catch {
      table = null;
    }
  };
  load();

  const ride = () => document.getElementById("ride");

  // A family of today by one tap: their carrier comes with them.
  form.addEventListener("click", (event) => {
    const chip = event.target.closest?.(".chip[data-family]");
    if (chip) {
      form.elements.family.value = chip.dataset.family;
      form.elements.weight.value = "";
      form.querySelectorAll(".chip").forEach((each) => each.setAttribute("aria-pressed", String(each === chip)));
      form.dispatchEvent(new Event("change", { bubbles: true }));
    }
  });

  // The carrier that a family came with is shown as chosen, and is none until somebody taps it.
  const mark = () => {
    const seat = ride()?.dataset.seat ?? "";
    form.querySelectorAll(".carrier-tiles .tile").forEach((tile) => {
      const input = tile.querySelector("input");
      tile.classList.toggle("is-chosen", !form.querySelector(".carrier-tiles input:checked") && input.value === seat);
    });
  };
  document.addEventListener("htmx:afterSettle", mark);
  mark();

  const words = (text) => {
    const said = document.createElement("p");
    said.textContent = text;
    return said;
  };

  const lookUp = (band) => {
    const seat = form.querySelector("[name=seat]:checked")?.value;
    const shows = form.querySelector("[name=shows]:checked")?.value ?? "UNKNOWN";
    const bands = table?.carriers?.[seat] ?? [];
    const place = ride();
    place.replaceChildren();
    const lines = [say("fromTheTable")];
    if (bands.length === 0) {
      place.append(words(say("needsConnection")));
      return;
    }
    place.append(words(lines[0]));
    const choose = document.createElement("div");
    choose.className = "way-tiles";
    bands.forEach((each, number) => {
      const button = document.createElement("button");
      button.type = "button";
      button.className = number === band ? "tile is-chosen" : "tile";
      button.textContent = each.weights;
      button.addEventListener("click", () => lookUp(number));
      choose.append(button);
    });
    place.append(choose);
    if (band === undefined) {
      return;
    }
    const drawn = new DOMParser().parseFromString(table.cards[bands[band].cards[shows]], "text/html");
    place.append(...drawn.body.children);
  };

  const offline = () => lookUp(undefined);
  document.addEventListener("htmx:sendError", (event) => {
    if (event.detail?.elt === form) {
      offline();
    }
  });
})();
