// Going to another step brings what differs of the page, as an answer does: the page stays, and a phone does not build it
// anew. Where that is not possible the link is followed as it stands.
(() => {
  "use strict";

  const LONGEST_MS = 10000;
  const KEEP_AFTER_MS = 200;
  const { typed } = window.layette;
  let last = 0;

  const isPlain = (event) => event.button === 0 && !event.ctrlKey && !event.metaKey && !event.shiftKey && !event.altKey;
  const isStep = (link) =>
    !link.target && link.origin === location.origin && link.pathname === location.pathname && /^\?step=[A-Z_]+$/.test(link.search) && !link.hash;
  // What is under way belongs to the step it was told at; somebody signed out is led to where one signs in.
  const isFree = () => navigator.onLine && !window.layette.isSignedOut() && document.querySelector("main .busy:not(a)") === null;

  // Where there is no signal a step that was looked at is there all the same: the whole page of it is kept meanwhile.
  let keeping = 0;
  const keep = (href) => {
    window.clearTimeout(keeping);
    keeping = window.setTimeout(() => navigator.serviceWorker?.controller?.postMessage({ keep: href }), KEEP_AFTER_MS);
  };

  const go = async (link) => {
    const { href } = link;
    last += 1;
    const mine = last;
    link.classList.add("busy");
    const now = document.getElementById("now");
    try {
      const response = await fetch(href, {
        headers: { "HX-Request": "true", "Layette-Shows": typed.shows() },
        redirect: "error",
        signal: AbortSignal.timeout(LONGEST_MS),
      });
      const html = response.status === 200 ? await response.text() : "";
      if (mine !== last) {
        // The hand went elsewhere meanwhile.
        link.classList.remove("busy");
        return;
      }
      if (!html || document.getElementById("now") !== now) {
        // Refused, or an answer came first: the whole page says how it stands.
        location.assign(href);
        return;
      }
      history.replaceState({ ...history.state, layette: true }, "");
      // The same step once more is no further place to come back to.
      history[href === location.href ? "replaceState" : "pushState"]({ layette: true }, "", href);
      typed.bring(html, { went: true });
      link.classList.remove("busy");
      keep(href);
    } catch {
      if (mine === last) {
        location.assign(href);
      } else {
        link.classList.remove("busy");
      }
    }
  };

  document.addEventListener("click", (event) => {
    const link = event.target instanceof Element ? event.target.closest("main.bench a[href]") : null;
    if (event.defaultPrevented || !link || !isPlain(event) || !isStep(link) || !isFree()) {
      return;
    }
    event.preventDefault();
    go(link);
  });
})();
