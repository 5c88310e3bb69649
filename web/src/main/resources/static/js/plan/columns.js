/* Cards are moved from column to column. */


document.addEventListener("dragstart", event => {
  const card = event.target.closest?.(".task-card");
  if (card) {
    event.dataTransfer.setData("text/plain", card.dataset.task);
    event.dataTransfer.effectAllowed = "move";
  }
});
document.addEventListener("dragover", event => {
  const column = event.target.closest?.("[data-stage]");
  document.querySelectorAll(".stage-columns .over").forEach(one => one.classList.toggle("over", one === column));
  if (column) {
    event.preventDefault();
    column.classList.add("over");
  }
});
document.addEventListener("drop", event => {
  const column = event.target.closest?.("[data-stage]");
  const card =
    column && document.querySelector(`.task-card[data-task="${CSS.escape(event.dataTransfer.getData("text/plain"))}"]`);
  if (card) {
    event.preventDefault();
    const form = card.querySelector("form");
    form.elements.stage.value = column.dataset.stage;
    form.requestSubmit();
  }
});
