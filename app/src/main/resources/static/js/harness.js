// The harness view as a control: the shoulder line is dragged, or the space between two slots tapped. What is chosen is
// the answer of the open question; the server decides what follows from it.
(() => {
  "use strict";

  const PREFIX = "shoulder-";
  let dragged = null;

  const bands = () => [...document.querySelectorAll("svg.view-harness a[href*='#shoulder-']")];
  const slotOf = (band) => band.getAttribute("href").split("#" + PREFIX)[1];

  const answer = (slot) =>
    document.querySelector(`#ask-shoulder button[name="slotAtOrBelow"][value="${slot}"]`);

  const choose = (band) => {
    const button = answer(slotOf(band));
    if (button) {
      button.click();
    } else {
      // Another step is open: its page has the question.
      window.location.href = band.getAttribute("href").split("#")[0];
    }
  };

  const bandAt = (y) =>
    bands().find((band) => {
      const box = band.getBoundingClientRect();
      return y >= box.top && y <= box.bottom;
    });

  const mark = (band) =>
    bands().forEach((each) => each.classList.toggle("aimed", each === band));

  document.addEventListener("click", (event) => {
    const band = event.target.closest?.("svg.view-harness a[href*='#shoulder-']");
    if (band) {
      event.preventDefault();
      choose(band);
    }
  });

  document.addEventListener("pointerdown", (event) => {
    const line = event.target.closest?.("svg.view-harness [data-part='shoulder']");
    if (!line || bands().length === 0) {
      return;
    }
    const svg = line.ownerSVGElement;
    dragged = { line, from: event.clientY, scale: svg.viewBox.baseVal.height / svg.getBoundingClientRect().height };
    event.preventDefault();
  });

  document.addEventListener("pointermove", (event) => {
    if (dragged) {
      const by = (event.clientY - dragged.from) * dragged.scale;
      dragged.line.setAttribute("transform", `translate(0 ${by})`);
      mark(bandAt(event.clientY));
    }
  });

  document.addEventListener("pointerup", (event) => {
    if (!dragged) {
      return;
    }
    const moved = Math.abs(event.clientY - dragged.from) > 3;
    const band = bandAt(event.clientY);
    dragged.line.removeAttribute("transform");
    dragged = null;
    mark(null);
    if (moved && band) {
      choose(band);
    }
  });
})();
