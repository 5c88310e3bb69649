/* Notes in the margins, with leaders to their places. */
import { sides, tops } from "./margin-layout.js";

/** So wide must a page be that there is room beside the work. */
export const WIDE = 1000;
const GAP = 12;
const NOTE_WIDTH = 244;
const SVG = "http://www.w3.org/2000/svg";

export class Margins {
  constructor(table) {
    this.table = table;
  }

  lay() {
    const wide = this.table.page.clientWidth >= WIDE;
    this.table.page.classList.toggle("margins", wide && this.table.closer.zoom === 1);
    this.table.leaders.replaceChildren();
    const [writing, entries] = [
      this.table.entries().filter(entry => entry.id === "new"),
      this.table.entries().filter(entry => entry.id !== "new"),
    ];
    if (!wide || this.table.closer.zoom !== 1) {
      [...entries, ...writing].forEach(({ note }) => {
        note.style.left = "";
        note.style.top = "";
      });
      this.table.stage.style.minHeight = "";
      return;
    }
    const stage = this.table.stage.getBoundingClientRect();
    const sheet = this.table.sheet.getBoundingClientRect();
    const heights = entries.map(({ note }) => note.offsetHeight);
    const length = Math.max(sheet.height, window.innerHeight - 240);
    const chosen = sides(
      entries.map(entry => entry.x / 1000),
      heights,
      GAP,
      length,
    );
    let lowest = 0;
    for (const side of ["LEFT", "RIGHT"]) {
      const own = entries
        .map((entry, i) => ({ ...entry, height: heights[i], side: chosen[i] }))
        .filter(entry => entry.side === side)
        .sort((a, b) => a.y - b.y || a.x - b.x);
      const placed = tops(
        own.map(entry => ({
          wantedTop: (entry.y / this.table.height) * sheet.height - entry.height / 2,
          height: entry.height,
        })),
        GAP,
        length,
      );
      const offset = sheet.top - stage.top;
      const left =
        side === "LEFT" ? Math.max(10, sheet.left - stage.left - NOTE_WIDTH - 30) : sheet.right - stage.left + 30;
      own.forEach((entry, i) => {
        entry.note.style.left = `${left}px`;
        entry.note.style.top = `${placed[i] + offset}px`;
        lowest = Math.max(lowest, placed[i] + offset + entry.height);
        if (!entry.gone) this.leader(entry, side, left, placed[i] + offset, stage, sheet);
      });
    }
    writing.forEach(entry => {
      lowest = Math.max(lowest, this.beside(entry, stage, sheet));
    });
    this.table.stage.style.minHeight = `${lowest + 26}px`;
  }

  /** Puts the note that is being written right beside its place, over the others and within what can be seen. Returns where it ends. */
  beside(entry, stage, sheet) {
    const side = entry.x < 500 ? "LEFT" : "RIGHT";
    const left =
      side === "LEFT" ? Math.max(10, sheet.left - stage.left - NOTE_WIDTH - 30) : sheet.right - stage.left + 30;
    const height = entry.note.offsetHeight;
    const wanted = sheet.top - stage.top + (entry.y / this.table.height) * sheet.height - height / 2;
    const seen = window.innerHeight - stage.top - height - 90;
    const top = Math.max(8, Math.min(wanted, seen));
    entry.note.style.left = `${left}px`;
    entry.note.style.top = `${top}px`;
    this.leader({ ...entry, height }, side, left, top, stage, sheet);
    return top + height;
  }

  leader(entry, side, left, top, stage, sheet) {
    const x = sheet.left - stage.left + (this.table.edgeX(entry, side) / 1000) * sheet.width;
    const y = sheet.top - stage.top + (entry.y / this.table.height) * sheet.height;
    const edge = side === "LEFT" ? left + NOTE_WIDTH : left;
    const knee = side === "LEFT" ? edge + 13 : edge - 13;
    const from = top + Math.min(22, entry.height / 2);
    const path = document.createElementNS(SVG, "path");
    path.setAttribute("d", `M${edge} ${from}H${knee}L${x} ${y}`);
    path.setAttribute(
      "class",
      `${entry.kind} ${entry.settled ? "settled" : ""} ${entry.id === this.table.selected ? "on" : ""}`,
    );
    this.table.leaders.append(path);
  }
}
