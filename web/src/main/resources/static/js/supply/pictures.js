/* A picture that is not drawn yet is asked for again, until it is there. */
import { whenShown } from "../shell/when-shown.js";

const tries = new WeakMap();
const MOST = 20;
const PAUSE = 2000;

function askAgain(picture) {
  picture.hidden = true;
  const tried = (tries.get(picture) || 0) + 1;
  tries.set(picture, tried);
  if (tried <= MOST) {
    setTimeout(() => {
      const address = new URL(picture.src, location.href);
      address.searchParams.set("again", tried);
      picture.src = address.href;
    }, PAUSE);
  }
}

function isOne(picture) {
  return picture.tagName === "IMG" && picture.closest(".thumb");
}

document.addEventListener("error", event => isOne(event.target) && askAgain(event.target), true);
document.addEventListener(
  "load",
  event => {
    if (isOne(event.target)) {
      event.target.hidden = false;
    }
  },
  true,
);

/* What failed before anybody listened. */
whenShown(() =>
  document.querySelectorAll(".thumb img").forEach(picture => {
    if (picture.complete && picture.naturalWidth === 0 && !tries.has(picture) && picture.getAttribute("loading") !== "lazy") {
      askAgain(picture);
    }
  })
);
