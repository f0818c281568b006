// The sentences of the scripts, from the same bundles as all others: they come with the page, in its language.
window.layette = window.layette ?? {};

(() => {
  "use strict";

  const there = document.getElementById("script-words");
  const words = there ? JSON.parse(there.textContent) : {};
  const plural = new Intl.PluralRules(document.documentElement.lang || "en");

  const say = (key, ...values) => (words[key] ?? `?${key}?`).replace(/\{(\d)\}/g, (_, at) => values[at]);

  // What is counted has a sentence for each kind of number that the language knows.
  const count = (key, number) => say(words[`${key}.${plural.select(number)}`] === undefined ? `${key}.other` : `${key}.${plural.select(number)}`, number);

  const degrees = (number) => number.toLocaleString(document.documentElement.lang || "en", { minimumFractionDigits: 1, maximumFractionDigits: 1, useGrouping: false });

  Object.assign(window.layette, { say, count, degrees });
})();
