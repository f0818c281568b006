// Passkeys: the browser makes one, or shows one, with what the server offered or asked.
(() => {
  "use strict";

  const MAKE = { options: "/account/second/passkeys/options", answer: "/account/second/passkeys" };
  const SHOW = { options: "/sign-in/code/passkey/options", answer: "/sign-in/code/passkey" };

  const post = (url, fields = {}) =>
    fetch(url, {
      method: "POST",
      body: new URLSearchParams({ ...fields, _csrf: document.querySelector("input[name=_csrf]").value }),
      redirect: "error",
    });

  const options = async (url) => {
    const response = await post(url);
    if (!response.ok) {
      throw new Error(`refused: ${response.status}`);
    }
    return response.json();
  };

  const answer = async (url, credential, fields) => {
    const response = await post(url, { ...fields, credential: JSON.stringify(credential.toJSON()) });
    if (!response.ok) {
      throw new Error(`refused: ${response.status}`);
    }
  };

  const make = async () => {
    const publicKey = PublicKeyCredential.parseCreationOptionsFromJSON(await options(MAKE.options));
    const credential = await navigator.credentials.create({ publicKey });
    await answer(MAKE.answer, credential, { label: document.getElementById("passkey-label").value });
  };

  const show = async () => {
    const publicKey = PublicKeyCredential.parseRequestOptionsFromJSON(await options(SHOW.options));
    await answer(SHOW.answer, await navigator.credentials.get({ publicKey }), {});
  };

  document.addEventListener("click", async (event) => {
    const button = event.target instanceof Element ? event.target.closest("[data-passkey]") : null;
    if (!button || button.classList.contains("busy")) {
      return;
    }
    const refused = button.parentElement.querySelector("[data-passkey-refused]");
    refused.hidden = true;
    button.classList.add("busy");
    try {
      await (button.dataset.passkey === "make" ? make() : show());
      location.assign(button.dataset.then);
    } catch {
      refused.hidden = false;
      button.classList.remove("busy");
    }
  });
})();
