// Two people on one fitting see each other: the page asks from time to time whether anybody added to it. What somebody is
// typing stays, and so does the question that is open.
(() => {
  "use strict";

  const ASK_MS = 4000;
  const { steady, typed } = window.layette;
  let asking = false;

  const ask = async () => {
    const now = document.getElementById("now");
    if (!now || asking || document.hidden || !navigator.onLine || window.layette.isSignedOut() || document.querySelector(".busy")) {
      return;
    }
    asking = true;
    try {
      const { fitting, seq, step, view } = now.dataset;
      const response = await fetch(`/fittings/${fitting}/changes?step=${step}&view=${view}`, {
        headers: { "If-None-Match": `"${seq}"`, "HX-Request": "true", "Layette-Shows": typed.shows() },
        redirect: "manual",
      });
      // Signed out: said once, with the way back in, and not asked again.
      if (response.type === "opaqueredirect" || response.status === 401 || response.status === 403) {
        window.layette.signedOut();
      } else if (response.status === 200) {
        const html = await response.text();
        steady.whenLifted(() => {
          // An answer pressed meanwhile brings the newer page itself, and shows until then that it is under way.
          const underWay = document.querySelector(".busy") !== null;
          // A hand that went to another step meanwhile has what is new with it.
          if (!underWay && document.getElementById("now") === now && now.dataset.seq === seq) {
            typed.bring(html);
          }
        });
      }
    } catch {
      // No connection: the next time will tell.
    } finally {
      asking = false;
    }
  };

  window.setInterval(ask, ASK_MS);
  document.addEventListener("layette:ask", ask);
})();
