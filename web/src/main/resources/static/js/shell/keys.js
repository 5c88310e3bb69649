/* Keys of every screen of the team. They are off in text fields and while a dialog is open. */
import { turnSash } from "../exposure/sash.js";
import { turnWindow } from "../exposure/little-window.js";
import { isPressedAlone } from "./key-list.js";

const KEYS = {
  "/": () => document.querySelector("[data-search]")?.focus(),
  v: turnSash,
  h: turnWindow,
  n: () => throughWhatAwaits(1),
  b: () => throughWhatAwaits(-1),
};

document.addEventListener("keydown", event => {
  if (KEYS[event.key] && isPressedAlone(event)) {
    event.preventDefault();
    KEYS[event.key]();
  }
});

function throughWhatAwaits(by) {
  if (document.querySelector("[data-search]")) {
    const here = document.querySelector("[data-here]")?.dataset.here;
    location.assign(`/t/next?by=${by}${here ? `&from=${here}` : ""}`);
  }
}

/* What was typed into the search stays there, but the keys work again. */
document.addEventListener("submit", event => {
  event.target.closest(".find")?.querySelector("input").blur();
});
