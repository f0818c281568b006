// What was understood of a field is said back beside it while it is typed, on every form.
(() => {
  "use strict";

  const PAUSE_MS = 160;
  const pauses = new WeakMap();
  const { steady } = window.layette;

  const saidOf = (field) => {
    let said = field.parentElement.querySelector(".echo");
    if (!said) {
      said = document.createElement("small");
      said.className = "echo";
      said.setAttribute("aria-live", "polite");
      field.after(said);
    }
    return said;
  };

  const ask = async (field) => {
    const query = new URLSearchParams([...new FormData(field.form)].filter(([, value]) => typeof value === "string"));
    query.delete("_csrf");
    query.set("field", field.name);
    query.set("as", field.dataset.echo);
    const typed = field.value;
    const said = saidOf(field);
    try {
      const response = await fetch(`/echo?${query}`, { redirect: "error" });
      const html = response.ok ? await response.text() : "";
      steady.whenLifted(() => {
        if (field.value === typed) {
          const page = new DOMParser().parseFromString(html, "text/html").body;
          said.textContent = page.textContent;
          said.classList.toggle("not-read", page.querySelector(".not-read") !== null);
        }
      });
    } catch {
      said.textContent = "";
    }
  };

  document.addEventListener("input", (event) => {
    const field = event.target;
    if (field instanceof HTMLInputElement && field.dataset.echo !== undefined) {
      window.clearTimeout(pauses.get(field));
      pauses.set(field, window.setTimeout(() => ask(field), PAUSE_MS));
    }
  });
})();
