/* What can be copied with a press says so for a moment. */
document.addEventListener("click", event => {
  const button = event.target.closest("[data-copy]");
  if (button && navigator.clipboard) {
    navigator.clipboard
      .writeText(button.dataset.copy)
      .then(() => {
        button.textContent = "copied";
        setTimeout(() => {
          button.textContent = button.dataset.copy;
        }, 1200);
      })
      .catch(() => {});
  }
});
