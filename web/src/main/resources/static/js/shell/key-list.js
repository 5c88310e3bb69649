/* The list of keys, with those that this page has. */
import { whenSwapped } from "./when-shown.js";

function showKeys() {
  const keys = document.getElementById("keys");
  keys.querySelectorAll("[data-keys-for]").forEach(line => {
    line.hidden = !document.querySelector(line.dataset.keysFor);
  });
  keys.showModal();
}

function revealKeys() {
  document.querySelectorAll("[data-keys]").forEach(button => {
    button.hidden = false;
  });
}

/** Whether a key is pressed by itself, and not to write something. */
export function isPressedAlone(event) {
  const typing = event.target.closest("input, textarea, select, [contenteditable], dialog");
  return !typing && !event.ctrlKey && !event.metaKey && !event.altKey;
}

document.addEventListener("keydown", event => {
  if (event.key === "?" && isPressedAlone(event)) {
    event.preventDefault();
    showKeys();
  }
});
document.addEventListener("click", event => {
  if (event.target.closest("[data-keys]")) {
    showKeys();
  }
});
whenSwapped(revealKeys);
