/* The light table: the one that suits the work in hand. */
import { Table } from "./sheet-table.js";
import { TextTable } from "./text-table.js";
import { PlayedTable } from "./played-table.js";

const KINDS = { TEXT: TextTable, VIDEO: PlayedTable, SOUND: PlayedTable };
let table = null;

function begin() {
  if (table) {
    table.controls.abort();
  }
  const root = document.querySelector("[data-light-table]");
  table = root ? new (KINDS[root.dataset.lightTable] || Table)(root) : null;
  if (table && table.sheet && location.hash.startsWith("#mark-")) {
    table.select(location.hash.slice(6), false);
  }
}

document.addEventListener("DOMContentLoaded", begin);
document.addEventListener("htmx:afterSettle", event => { if (event.detail.target === document.body) { begin(); } });
document.addEventListener("htmx:historyRestore", begin);
if (document.readyState !== "loading") {
  begin();
}
