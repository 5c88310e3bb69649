/** Does something once the page stands there, and again whenever another took its place. */
export function whenShown(act) {
  document.addEventListener("htmx:afterSettle", event => {
    if (event.detail.target === document.body || event.detail.elt === document.body) {
      act();
    }
  });
  if (document.readyState === "loading") {
    document.addEventListener("DOMContentLoaded", act);
  } else {
    act();
  }
}

/** Does something once the page stands there, and again whenever a part of it was swapped. */
export function whenSwapped(act) {
  document.addEventListener("htmx:afterSettle", act);
  act();
}
