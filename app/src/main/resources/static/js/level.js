// The angle without typing it: this phone or tablet as a level, or the gauge. Either only fills the field in; a hand keeps
// it. The phone is checked first, like any level: laid on something flat, then turned half round on the same spot.
(() => {
  "use strict";

  const { say, degrees } = window.layette;

  const HOLD_MS = 900;
  const STEADY_DEGREES = 1;
  const STALE_MS = 2000;

  let tilt = null;
  let tiltAt = 0;
  let session = null;

  // Tilt of the long side against the ground; beta of a device that lies or stands, whichever way it is held.
  const listen = () => {
    window.addEventListener("deviceorientation", (event) => {
      if (typeof event.beta === "number") {
        tilt = event.beta;
        tiltAt = Date.now();
        session?.show();
      }
    });
  };

  const permitted = async () => {
    const sensor = window.DeviceOrientationEvent;
    if (!sensor) {
      return false;
    }
    if (typeof sensor.requestPermission === "function") {
      return (await sensor.requestPermission()) === "granted";
    }
    return true;
  };

  const steady = () =>
    new Promise((resolve, reject) => {
      const seen = [];
      const began = Date.now();
      const timer = window.setInterval(() => {
        if (tilt === null || Date.now() - tiltAt > STALE_MS) {
          if (Date.now() - began > STALE_MS) {
            window.clearInterval(timer);
            reject(new Error(say("noAngle")));
          }
          return;
        }
        seen.push(tilt);
        if (Date.now() - began >= HOLD_MS) {
          window.clearInterval(timer);
          const low = Math.min(...seen);
          const high = Math.max(...seen);
          if (high - low > STEADY_DEGREES) {
            reject(new Error(say("itMoved")));
          } else {
            resolve(seen.reduce((sum, each) => sum + each, 0) / seen.length);
          }
        }
      }, 60);
    });

  const fill = (form, degrees, source) => {
    const field = form.querySelector("input[name=angle]");
    field.value = degrees.toFixed(1);
    form.querySelector("select[name=source]").value = source;
    field.dispatchEvent(new Event("input", { bubbles: true }));
  };

  const step = (panel, text, label, act) => {
    const button = document.createElement("button");
    button.type = "button";
    button.className = "go quiet";
    button.textContent = label;
    const live = document.createElement("b");
    live.className = "live";
    panel.replaceChildren(text, " ", live, " ", button);
    session = {
      show: () => {
        live.textContent = tilt === null ? "" : `${degrees(Math.abs(tilt))}°`;
      },
    };
    button.addEventListener("click", async () => {
      button.disabled = true;
      try {
        await act();
      } catch (error) {
        panel.append(` ${error.message}`);
        button.disabled = false;
      }
    });
    button.focus();
  };

  const asLevel = async (button) => {
    const form = button.closest("form");
    const panel = form.querySelector(".sensor");
    if (!(await permitted().catch(() => false))) {
      panel.textContent = say("noPermission");
      return;
    }
    if (!session) {
      listen();
    }
    let first = 0;
    step(panel, say("layFlat"), say("liesFlat"), async () => {
      first = await steady();
      step(panel, say("turnRound"), say("turnedRound"), async () => {
        const second = await steady();
        // What both readings share is the device's own error; what turns with it is the place.
        const own = (first + second) / 2;
        step(panel, say("holdAlong"), say("takeAngle"), async () => {
          const fromLevel = Math.abs((await steady()) - own);
          const angle = Math.abs(90 - fromLevel);
          fill(form, angle, "DEVICE_SENSOR");
          panel.textContent = say("angleTaken", degrees(angle), degrees(own));
          session = { show: () => {} };
        });
      });
    });
  };

  const fromGauge = async (button) => {
    const form = button.closest("form");
    const panel = form.querySelector(".sensor");
    button.disabled = true;
    panel.textContent = say("reading");
    try {
      const response = await fetch(button.dataset.gauge, { redirect: "error" });
      const text = await response.text();
      if (response.status === 200) {
        fill(form, Number(text), "GAUGE");
        panel.textContent = say("gaugeReads", degrees(Number(text)));
      } else {
        panel.textContent = say("gaugeSilent");
      }
    } catch {
      panel.textContent = say("gaugeSilent");
    } finally {
      button.disabled = false;
    }
  };

  document.addEventListener("click", (event) => {
    const target = event.target instanceof Element ? event.target : null;
    const sensor = target?.closest("[data-level-sensor]");
    const gauge = target?.closest("[data-gauge]");
    if (sensor) {
      asLevel(sensor);
    } else if (gauge) {
      fromGauge(gauge);
    }
  });
})();
