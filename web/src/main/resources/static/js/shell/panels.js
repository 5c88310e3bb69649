/* A panel that opened closes with Escape and gives the focus back; only one is open in a bar. */
document.addEventListener("keydown", event => {
  const open = document.querySelector("details.decide[open]");
  if (event.key === "Escape" && open) {
    open.open = false;
    open.querySelector("summary").focus();
  }
});
document.addEventListener(
  "toggle",
  event => {
    if (event.target.matches?.("details.decide") && event.target.open) {
      document.querySelectorAll("details.decide[open]").forEach(other => {
        if (other !== event.target) {
          other.open = false;
        }
      });
    }
  },
  true,
);


/* A list that drops down closes when one presses beside it. */
document.addEventListener("click", event => {
  document.querySelectorAll("details.switcher[open]").forEach(open => {
    if (!open.contains(event.target)) {
      open.open = false;
    }
  });
});
