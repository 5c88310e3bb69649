/* A picture that is not drawn yet is asked for again, until it is there. */
const tries = new WeakMap();
const MOST = 20;

document.addEventListener(
  "error",
  event => {
    const picture = event.target;
    if (picture.tagName !== "IMG" || !picture.closest(".thumb")) {
      return;
    }
    picture.hidden = true;
    const tried = (tries.get(picture) || 0) + 1;
    tries.set(picture, tried);
    if (tried <= MOST) {
      setTimeout(() => {
        const address = new URL(picture.src, location.href);
        address.searchParams.set("again", tried);
        picture.src = address.href;
      }, 2000);
    }
  },
  true,
);
document.addEventListener(
  "load",
  event => {
    if (event.target.tagName === "IMG" && event.target.closest(".thumb")) {
      event.target.hidden = false;
    }
  },
  true,
);
