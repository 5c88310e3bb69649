/* What others do meanwhile: the page is read anew and what changed is taken over, but nothing that somebody works in. */
import { Idiomorph } from "../../vendor/idiomorph.min.js";

const read = (address, table) =>
  fetch(address, { signal: table.controls.signal })
    .then(answer => (answer.ok ? answer.text() : ""))
    .catch(() => "")
    .then(text => new DOMParser().parseFromString(text, "text/html"));
const isBusy = note => note.contains(document.activeElement) || note.querySelector("details[open]");

export class Others {
  constructor(table) {
    this.table = table;
    if (table.root.dataset.live && window.EventSource) {
      const others = new EventSource(table.root.dataset.live);
      others.addEventListener("moved", () => this.refresh());
      table.controls.signal.addEventListener("abort", () => others.close());
    }
  }

  async refresh() {
    const { table } = this;
    const fresh = await read(location.href, table);
    const theirs = fresh.querySelector("[data-light-table]");
    if (!theirs || table.controls.signal.aborted) {
      return;
    }
    table.takeMarks(theirs);
    this.takeNotes(theirs.querySelector("[data-notes]"));
    for (const part of [".table-tools .pages", ".decision-bar > p"]) {
      const [mine, other] = [table.page.querySelector(part), fresh.querySelector(part)];
      if (mine && other) {
        Idiomorph.morph(mine, other);
      }
    }
    table.shown();
  }

  /** Takes over shapes; what is being drawn stays. */
  takeMarks(theirs) {
    Idiomorph.morph(this.table.marks, theirs, {
      morphStyle: "innerHTML",
      callbacks: { beforeNodeMorphed: mine => !mine.matches?.("[data-drawing]") },
    });
  }

  takeNotes(theirs) {
    const list = this.table.root.querySelector("[data-notes]");
    const isKept = mine =>
      mine.nodeType === Node.ELEMENT_NODE &&
      (mine.matches("[data-new-note]") || (mine.matches("[data-note]") && isBusy(mine)));
    Idiomorph.morph(list, theirs, {
      morphStyle: "innerHTML",
      callbacks: {
        beforeNodeMorphed: mine => !isKept(mine),
        beforeNodeRemoved: mine => !isKept(mine),
        afterNodeAdded: note => note.matches?.("[data-note]") && note.classList.add("arrived"),
      },
    });
    window.htmx?.process(list);
  }

  /** Where there are many notes, the forms of one are fetched when it is worked in. */
  async whole(note, details) {
    if (!details.open) {
      return;
    }
    const fresh = await read(details.dataset.whole, this.table);
    const theirs = fresh.querySelector(`[data-note="${note.dataset.note}"]`);
    if (!theirs || !note.isConnected) {
      return;
    }
    const own = document.importNode(theirs, true);
    note.replaceWith(own);
    window.htmx?.process(own);
    const opened = [...own.querySelectorAll(".note-foot details")].find(
      one => one.querySelector("summary").firstChild.textContent === details.querySelector("summary").textContent,
    );
    if (opened) {
      opened.open = true;
      opened.querySelector("textarea, select")?.focus({ preventScroll: true });
    }
    this.table.shown();
  }
}
