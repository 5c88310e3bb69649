/* The light table: the one that suits the work in hand. */
import "../deliverable/look-again.js";
import { whenShown } from "../shell/when-shown.js";
import "./brought-files.js";
import "./names.js";
import { Table } from "./sheet-table.js";
import { TextTable } from "./text-table.js";
import { PlayedTable } from "./played-table.js";

const KINDS = { TEXT: TextTable, VIDEO: PlayedTable, SOUND: PlayedTable };
let table = null;

/* What was unfolded stays so from note to note. */
const unfolded = new Set();

function show(button) {
  const open = unfolded.has(button.dataset.unfold);
  button.hidden = false;
  button.parentElement.classList.toggle("unfolded", open);
  button.setAttribute("aria-expanded", String(open));
}

/** Shows what lies folded beside a button, and hides it again. */
function unfold(event) {
  const button = event.target.closest("[data-unfold]");
  if (button) {
    const what = button.dataset.unfold;
    unfolded.has(what) ? unfolded.delete(what) : unfolded.add(what);
    show(button);
  }
}

document.addEventListener("click", unfold);

function begin() {
  document.querySelectorAll("[data-unfold]").forEach(show);
  if (table) {
    table.controls.abort();
  }
  const root = document.querySelector("[data-light-table]");
  table = root ? new (KINDS[root.dataset.lightTable] || Table)(root) : null;
  if (table && table.sheet && location.hash.startsWith("#mark-")) {
    table.select(location.hash.slice(6), false);
  }
}

whenShown(begin);
document.addEventListener("htmx:historyRestore", begin);
