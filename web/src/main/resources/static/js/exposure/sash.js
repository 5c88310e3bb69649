/* The sash beside any page of a project. It stays open from page to page and follows the thing in hand. */
import { whenShown } from "../shell/when-shown.js";

const SASH = "sash";

export function turnSash() {
  const own = document.querySelector(".with-sash");
  const sash = document.getElementById("sash");
  if (own) {
    own.classList.toggle("no-sash");
  } else if (sash) {
    if (sash.hidden) {
      openSash(sash);
    } else {
      closeSash(sash);
    }
  }
}

function remembered() {
  return JSON.parse(sessionStorage.getItem(SASH) || "{}");
}

async function openSash(sash) {
  const { through = "", sight = "now" } = remembered();
  sash.hidden = false;
  document.body.classList.add("sash-open");
  sessionStorage.setItem(SASH, JSON.stringify({ through, sight, open: true }));
  const query = new URLSearchParams({ sight, hand: document.querySelector("[data-in-hand]")?.dataset.inHand || "" });
  if (through) {
    query.set("through", through);
  }
  await htmx.ajax("GET", `${sash.dataset.sash}?${query}`, { source: sash, target: sash, swap: "innerHTML" });
}

function closeSash(sash) {
  sash.hidden = true;
  sash.replaceChildren();
  document.body.classList.remove("sash-open");
  sessionStorage.setItem(SASH, JSON.stringify({ ...remembered(), open: false }));
  document.querySelector("[data-sash-open]")?.focus();
}

function followSash() {
  const sash = document.getElementById("sash");
  const opener = document.querySelector("[data-sash-open]");
  if (opener) {
    opener.hidden = false;
  }
  document.body.classList.toggle("sash-open", Boolean(sash && !sash.hidden));
  if (sash && sash.hidden && remembered().open && !document.querySelector(".with-sash .sash")) {
    openSash(sash);
  }
}

document.addEventListener("click", event => {
  const sash = document.getElementById("sash");
  if (sash && event.target.closest("[data-sash-open]")) {
    openSash(sash);
  } else if (sash && event.target.closest("[data-sash-close]")) {
    closeSash(sash);
  }
});
document.addEventListener("change", event => {
  const choice = event.target.closest("[data-sash-choice]");
  if (choice) {
    const typed = new FormData(choice);
    sessionStorage.setItem(
      SASH,
      JSON.stringify({ through: typed.get("through"), sight: typed.get("sight"), open: true }),
    );
    openSash(document.getElementById("sash"));
  }
});


whenShown(followSash);
