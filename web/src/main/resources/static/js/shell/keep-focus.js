/* The focus stays where it was when the page comes back after something was sent from it;
   what was searched for is read next, not typed on. */
let stood = null;
document.addEventListener("htmx:beforeRequest", event => {
  const form = event.detail.elt?.closest?.("form");
  const field =
    form?.contains(document.activeElement) && !form.querySelector("[data-search]") ? document.activeElement : null;
  const value = field?.matches("button") ? field.value : null;
  stood = field ? { action: form.getAttribute("action"), name: field.name || "", value } : null;
});
document.addEventListener("htmx:afterSettle", event => {
  if (
    event.detail.target === document.body &&
    stood &&
    (document.activeElement === document.body || !document.activeElement)
  ) {
    const form = [...document.querySelectorAll("form")].find(one => one.getAttribute("action") === stood.action);
    const field = [...(form?.elements || [])].find(
      one => one.type !== "hidden" && one.name === stood.name && (stood.value === null || one.value === stood.value),
    );
    field?.focus({ preventScroll: true });
  }
  stood = event.detail.target === document.body ? null : stood;
});
