// Two people on one fitting see each other: the page asks from time to time whether anybody added to it. While somebody
// is typing, the open step is left alone and only the rest is brought up to date.
(() => {
  "use strict";

  const ASK_MS = 4000;
  let asking = false;

  const isTyping = () =>
    [...document.querySelectorAll("#now input:not([type=hidden]), #now select")].some(
      (field) => field === document.activeElement || (field.type !== "select-one" && field.value !== field.defaultValue),
    );

  const ask = async () => {
    const now = document.getElementById("now");
    if (!now || asking || document.hidden || !navigator.onLine || document.querySelector(".htmx-request")) {
      return;
    }
    asking = true;
    try {
      const { fitting, seq, step, view } = now.dataset;
      const response = await fetch(`/fittings/${fitting}/changes?step=${step}&view=${view}`, {
        headers: { "If-None-Match": `"${seq}"`, "HX-Request": "true" },
        redirect: "error",
      });
      if (response.status === 200) {
        bring(await response.text());
      }
    } catch {
      // No connection, or signed out: the next time will tell.
    } finally {
      asking = false;
    }
  };

  const bring = (html) => {
    const page = new DOMParser().parseFromString(html, "text/html");
    if (isTyping()) {
      page.getElementById("now")?.remove();
    }
    window.htmx.swap(document.getElementById("now"), page.body.innerHTML, { swapStyle: "none" });
  };

  window.setInterval(ask, ASK_MS);

  // Numbers are said in the other unit while they are typed.
  let pause = 0;
  document.addEventListener("input", (event) => {
    const field = event.target;
    if (!(field instanceof HTMLInputElement) || !field.dataset.echo) {
      return;
    }
    window.clearTimeout(pause);
    pause = window.setTimeout(async () => {
      const query = new URLSearchParams(new FormData(field.form));
      query.delete("_csrf");
      const said = field.parentElement.querySelector(".echo");
      try {
        const response = await fetch(`${field.dataset.echo}?${query}`);
        said.textContent = response.ok ? new DOMParser().parseFromString(await response.text(), "text/html").body.textContent : "";
      } catch {
        said.textContent = "";
      }
    }, 160);
  });
})();
