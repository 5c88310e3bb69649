/* Fast lines: Tab makes what is typed a part of the task above, Shift and Tab a task of its own again. */


document.addEventListener("keydown", event => {
  const form = event.target.closest?.("[data-add-line]");
  if (!form || event.key !== "Tab" || !form.elements.line.value.trim() || event.target !== form.elements.line) {
    return;
  }
  const above = [...form.closest("section").querySelectorAll("[data-task][data-depth]")].pop();
  const isPart = form.elements.parent.value !== "";
  if (event.shiftKey === isPart && above) {
    event.preventDefault();
    form.elements.parent.value = event.shiftKey ? "" : above.dataset.task;
    form.classList.toggle("is-part", !event.shiftKey);
    const hint = form.querySelector(".part-hint");
    hint.hidden = event.shiftKey;
    hint.textContent = event.shiftKey ? "" : `a part of “${above.querySelector(".task-name a").textContent}”`;
  }
});
