/* The little window under the focus or the pointer: held back from everybody, or let go again. */
export async function turnWindow() {
  const window = document.activeElement?.closest?.("[data-window]") || document.querySelector("[data-window]:hover");
  if (window) {
    const item = window.dataset.window;
    await htmx.ajax("POST", `/t/items/${item}/window`, { source: window, target: window, swap: "outerHTML" });
    const turned = document.querySelector(`[data-window="${item}"]`);
    turned?.focus();
    const row = turned?.closest("[data-seen-by]")?.querySelector(".seen-by");
    if (row) {
      row.textContent = turned.getAttribute("aria-label").split(".")[0];
    }
  }
}
