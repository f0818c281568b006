// A photographed label proposes; a hand confirms. What was confirmed stands in its field, to be kept like anything typed.
(() => {
  "use strict";

  const { say } = window.layette;
  const LONGEST_MS = 60000;

  // A reader names which field of its form takes what, as MODEL_NUMBER:model,MADE:made.
  const fieldOf = (reader, of) => {
    const pair = (reader.dataset.fills ?? "").split(",").find((each) => each.startsWith(`${of}:`));
    return pair ? reader.closest("form")?.elements[pair.split(":")[1]] : null;
  };

  const read = async (reader, file) => {
    const said = reader.querySelector(".proposals");
    said.textContent = say("labelReading");
    const body = new FormData();
    body.append("photo", file);
    body.append("sheet", reader.dataset.sheet ?? "");
    body.append("_csrf", document.querySelector("input[name=_csrf]")?.value ?? "");
    try {
      const response = await fetch(reader.dataset.label, { method: "POST", body, redirect: "error", signal: AbortSignal.timeout(LONGEST_MS) });
      if (response.ok || response.status === 422) {
        said.innerHTML = await response.text();
        // What this form does not ask for is not offered.
        said.querySelectorAll("button[data-of]").forEach((button) => {
          if (!fieldOf(reader, button.dataset.of)) {
            button.closest("figure").remove();
          }
        });
        return;
      }
    } catch {
      // Said below.
    }
    said.textContent = say("needsConnection");
  };

  document.addEventListener("change", (event) => {
    const reader = event.target.closest?.(".label-reader");
    if (reader && event.target.matches("input[type=file]") && event.target.files.length > 0) {
      read(reader, event.target.files[0]);
    }
  });

  document.addEventListener("click", (event) => {
    const button = event.target.closest?.(".label-reader button[data-of]");
    const reader = button?.closest(".label-reader");
    const field = reader ? fieldOf(reader, button.dataset.of) : null;
    if (!field) {
      return;
    }
    field.value = button.dataset.value;
    field.dispatchEvent(new Event("input", { bubbles: true }));
    button.setAttribute("aria-pressed", "true");
  });

  // A code is read by the camera itself where the browser can; typed, or photographed, where it cannot.
  const LOOK_MS = 250;
  const scan = async (button) => {
    const field = document.getElementById(button.dataset.scan);
    const film = document.createElement("video");
    film.className = "scanning";
    film.muted = true;
    film.playsInline = true;
    let stream = null;
    try {
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: "environment" } });
      film.srcObject = stream;
      button.after(film);
      await film.play();
      const detector = new window.BarcodeDetector();
      while (film.isConnected) {
        const [code] = await detector.detect(film);
        if (code) {
          field.value = code.rawValue;
          field.form.requestSubmit();
          break;
        }
        await new Promise((next) => window.setTimeout(next, LOOK_MS));
      }
    } catch {
      window.layette.steady.say(say("cameraSilent"));
    } finally {
      stream?.getTracks().forEach((track) => track.stop());
      film.remove();
    }
  };
  const canScan = "BarcodeDetector" in window && Boolean(navigator.mediaDevices?.getUserMedia);
  document.querySelectorAll("[data-scan]").forEach((button) => (button.hidden = !canScan));
  document.addEventListener("click", (event) => {
    const button = event.target.closest?.("[data-scan]");
    if (!button) {
      return;
    }
    const running = button.parentElement.querySelector("video.scanning");
    if (running) {
      running.remove();
    } else {
      scan(button);
    }
  });
})();
