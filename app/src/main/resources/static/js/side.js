// The side view as a control. The server says where everything stands at each setting; this file only moves the drawing
// between those poses while a rung, the arrow keys or a finger tries one, and asks the server what to expect of it.
(() => {
  "use strict";

  const LEAST_DRAWN_MM = 4;
  const PX_PER_RUNG = 26;
  const ASK_AFTER_MS = 120;

  let ladder = null;
  let poses = null;
  let at = 0;
  let ghostAt = -1;
  let lastNow = null;
  let frame = 0;

  const part = (name) => document.querySelector(`#board [data-part="${name}"]`);
  const mix = (a, b, t) => a + (b - a) * t;

  const between = (place) => {
    const low = Math.max(0, Math.min(poses.rows.length - 1, Math.floor(place)));
    const a = poses.rows[low];
    const b = poses.rows[Math.min(poses.rows.length - 1, low + 1)];
    const t = Math.max(0, Math.min(1, place - low));
    const row = {};
    for (const key of ["turn", "slide", "recline", "spread", "along", "mark", "lift", "gap"]) {
      row[key] = mix(a[key], b[key], t);
    }
    row.foot = [mix(a.foot[0], b.foot[0], t), mix(a.foot[1], b.foot[1], t)];
    return row;
  };

  const standing = (row, drawn) =>
    `translate(${row.foot[0]} ${row.foot[1]}) rotate(${row.turn - drawn.turn}) translate(${-drawn.foot[0]} ${-drawn.foot[1]})`;

  const turn = (name, degrees, about) =>
    part(name)?.setAttribute("transform", `rotate(${degrees} ${about[0]} ${about[1]})`);

  const say = (name, text) => {
    const label = part(name)?.querySelector("text");
    if (label) {
      label.textContent = text;
    }
  };

  const draw = () => {
    frame = 0;
    const drawn = poses.rows[Number(ladder.dataset.drawn)];
    const row = between(at);
    const nearest = poses.rows[Math.round(at)];
    part("restraint")?.setAttribute("transform", standing(row, drawn));
    turn("carrier", row.slide - drawn.slide, drawn.pivot);
    turn("needle", drawn.recline - row.recline, poses.dial);
    turn("fan-low", drawn.recline - drawn.spread - row.recline + row.spread, poses.dial);
    turn("fan-high", drawn.recline + drawn.spread - row.recline - row.spread, poses.dial);
    if (poses.indicator) {
      const [x, y] = poses.indicator;
      part("mark")?.setAttribute(
        "transform",
        `translate(${row.along - drawn.along} 0) rotate(${row.mark - drawn.mark} ${x} ${y})`,
      );
    }
    const grown = Math.max(row.lift, LEAST_DRAWN_MM) / Math.max(drawn.lift, LEAST_DRAWN_MM);
    const [fx, fy] = drawn.foot;
    part("lift")?.setAttribute(
      "transform",
      `translate(${fx} ${fy}) rotate(${drawn.turn}) scale(1 ${grown}) rotate(${-drawn.turn}) translate(${-fx} ${-fy})`,
    );
    say("needle-says", nearest.says);
    say("lift-says", nearest.liftSays);
    say("gap", nearest.gapSays);
    const gap = part("gap")?.querySelector("path");
    if (gap && drawn.gap > 0) {
      // The front seat stays: the line shrinks from the head end.
      const ends = gap.getBBox();
      gap.setAttribute(
        "transform",
        `translate(${ends.x} 0) scale(${Math.max(0.01, row.gap / drawn.gap)} 1) translate(${-ends.x} 0)`,
      );
    }
    ghost(drawn);
    for (const rung of ladder.querySelectorAll(".rung")) {
      const here = Number(rung.dataset.row) === Math.round(at);
      if (here) {
        rung.setAttribute("aria-current", "true");
      } else {
        rung.removeAttribute("aria-current");
      }
    }
    const range = document.getElementById("try");
    if (range) {
      range.value = String(at);
      range.setAttribute("aria-valuetext", ladder.querySelector(`[data-row="${Math.round(at)}"]`)?.textContent.replace(/\s+/g, " ").trim() ?? "");
    }
  };

  // How it stood before: where it stands while another setting is tried, else the setting before the last.
  const ghost = (drawn) => {
    const now = Number(ladder.dataset.now);
    const wanted = Math.round(at) === now ? ghostAt : now;
    const restraint = part("restraint");
    let copy = document.querySelector("#board .ghost");
    if (wanted < 0 || !restraint || wanted === Math.round(at)) {
      copy?.remove();
      return;
    }
    if (!copy) {
      copy = restraint.cloneNode(true);
      copy.removeAttribute("data-part");
      copy.querySelectorAll("[data-part]").forEach((each) => each.removeAttribute("data-part"));
      copy.querySelectorAll("text").forEach((each) => each.remove());
      copy.querySelectorAll("[transform]").forEach((each) => each.removeAttribute("transform"));
      copy.classList.add("ghost");
      restraint.before(copy);
    }
    copy.setAttribute("transform", standing(poses.rows[wanted], drawn));
  };

  const redraw = () => {
    frame = frame || window.requestAnimationFrame(draw);
  };

  let pause = 0;
  let asking = null;
  const ask = () => {
    window.clearTimeout(pause);
    pause = window.setTimeout(async () => {
      asking?.abort();
      asking = new AbortController();
      const rung = ladder.querySelector(`[data-row="${Math.round(at)}"]`);
      const name = new URL(rung.href).searchParams.get("try");
      try {
        const response = await fetch(`${ladder.dataset.try}&setting=${encodeURIComponent(name)}`, { signal: asking.signal, redirect: "error" });
        if (response.ok) {
          const fresh = new DOMParser().parseFromString(await response.text(), "text/html").getElementById("tried");
          document.getElementById("tried")?.replaceWith(fresh);
          // It no longer shows how things stand: the next answer brings it anew.
          document.getElementById("board")?.removeAttribute("data-print");
          window.htmx?.process(fresh);
        }
      } catch {
        // No connection, or a newer try: what the drawing says stays computed from the last table.
      }
    }, ASK_AFTER_MS);
  };

  const go = (place, settled = true) => {
    const most = poses.rows.length - 1;
    at = Math.max(0, Math.min(most, settled ? Math.round(place) : place));
    redraw();
    ask();
  };

  const begin = () => {
    const found = document.getElementById("ladder");
    if (!found || found === ladder) {
      return;
    }
    const fitting = found.dataset.fitting;
    const now = Number(found.dataset.now);
    if (lastNow && lastNow.fitting === fitting && lastNow.now !== now) {
      ghostAt = lastNow.now;
    } else if (!lastNow || lastNow.fitting !== fitting) {
      ghostAt = -1;
    }
    lastNow = { fitting, now };
    ladder = found;
    poses = JSON.parse(found.dataset.poses);
    at = Number(found.dataset.drawn);
    part("restraint")?.classList.add("can-drag");
    redraw();
  };

  document.addEventListener("click", (event) => {
    const rung = event.target instanceof Element && event.target.closest("#ladder .rung");
    if (rung && !event.ctrlKey && !event.metaKey) {
      event.preventDefault();
      go(Number(rung.dataset.row));
    }
  });

  document.addEventListener("input", (event) => {
    if (event.target instanceof Element && event.target.id === "try") {
      go(Number(event.target.value), false);
    }
  });
  document.addEventListener("change", (event) => {
    if (event.target instanceof Element && event.target.id === "try") {
      go(Number(event.target.value));
    }
  });
  const steps = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 2, PageDown: -2 };
  document.addEventListener("keydown", (event) => {
    if (!(event.target instanceof Element) || event.target.id !== "try") {
      return;
    }
    if (event.key in steps) {
      event.preventDefault();
      go(Math.round(at) + steps[event.key]);
    } else if (event.key === "Enter") {
      event.preventDefault();
      const set = document.querySelector("#tried .go");
      if (set && !event.repeat) {
        window.layette.steady.isSteady(set) ? set.click() : window.layette.steady.refuse();
      }
    }
  });

  // A finger lifts the end that it took: the foot end up reclines more, the head end up makes more upright.
  let drag = null;
  document.addEventListener("pointerdown", (event) => {
    const held = event.target instanceof Element && event.target.closest('#board [data-part="restraint"]');
    if (!held || !poses || event.button > 0) {
      return;
    }
    const box = held.getBoundingClientRect();
    drag = { y: event.clientY, from: at, way: event.clientX > box.left + box.width / 2 ? 1 : -1, id: event.pointerId };
    held.setPointerCapture?.(event.pointerId);
    event.preventDefault();
  });
  document.addEventListener("pointermove", (event) => {
    if (drag && event.pointerId === drag.id) {
      go(drag.from + (drag.way * (drag.y - event.clientY)) / PX_PER_RUNG, false);
    }
  });
  const drop = (event) => {
    if (drag && event.pointerId === drag.id) {
      drag = null;
      go(at);
    }
  };
  document.addEventListener("pointerup", drop);
  document.addEventListener("pointercancel", drop);

  document.addEventListener("layette:brought", begin);
  document.addEventListener("htmx:afterSettle", begin);
  begin();
})();
