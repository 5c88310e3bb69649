/* A light table for texts: marks on words, chosen with mouse, finger or keys. */
import { Table } from "./sheet-table.js";

const WORD = /[\p{L}\p{N}’'-]+/gu;
const MOST = 4000;

export class TextTable extends Table {
  get writing() {
    return this.root.querySelector("[data-writing]");
  }

  get height() {
    return (1000 * this.sheet.clientHeight) / this.sheet.clientWidth;
  }

  listen() {
    super.listen();
    this.on(document, "selectionchange", () => this.offer());
    this.offered = this.root.querySelector("[data-choose]");
    if (this.offered) {
      this.on(this.offered, "pointerdown", event => event.preventDefault());
      this.on(this.offered, "click", () => this.take());
    }
  }

  /** Texts have one tool. */
  choose(tool) {
    if (tool) {
      this.words();
    }
  }

  /* ---- which words are meant ---- */

  /** Where a spot of the page is in the text. */
  offset(node, within) {
    const passage = (node.nodeType === Node.TEXT_NODE ? node.parentElement : node).closest("[data-start]");
    if (!passage) {
      return null;
    }
    const before = document.createRange();
    before.setStart(passage, 0);
    before.setEnd(node, within);
    return Number(passage.dataset.start) + before.toString().length;
  }

  /** The whole text, as places count it. */
  get plain() {
    return [...this.writing.querySelectorAll("[data-start]")].map(passage => passage.textContent).join("\n");
  }

  /** The words that are chosen on the page, without the spaces around them; null if none are. */
  chosen() {
    const selection = document.getSelection();
    if (!selection.rangeCount || selection.isCollapsed) {
      return null;
    }
    const range = selection.getRangeAt(0);
    if (!this.writing.contains(range.startContainer) || !this.writing.contains(range.endContainer)) {
      return null;
    }
    const start = this.offset(range.startContainer, range.startOffset);
    const end = this.offset(range.endContainer, range.endOffset);
    if (start === null || end === null || end <= start) {
      return null;
    }
    const quote = this.plain.slice(start, end);
    const words = quote.trim();
    return words ? { start: start + quote.indexOf(words), quote: words.slice(0, MOST) } : null;
  }

  /** Offers to note the words that are chosen, just under them. */
  offer() {
    if (!this.offered) {
      return;
    }
    const chosen = this.chosen();
    this.offered.hidden = !chosen;
    if (chosen) {
      const box = this.sheet.getBoundingClientRect();
      const boxes = document.getSelection().getRangeAt(0).getClientRects();
      const last = boxes[boxes.length - 1];
      this.offered.style.top = `${last.bottom - box.top + 6}px`;
      const right = Math.min(
        box.width - this.offered.offsetWidth - 8,
        last.right - box.left - this.offered.offsetWidth,
      );
      this.offered.style.left = `${Math.max(8, right)}px`;
    }
  }

  /** Begins a note on the words that are chosen. */
  take() {
    const chosen = this.chosen();
    if (!chosen) {
      return;
    }
    const set = (name, value) => (this.form.elements[name].value = value);
    set("start", chosen.start);
    set("quote", chosen.quote);
    this.form.querySelector("[data-quoted]").textContent =
      `“${chosen.quote.length > 160 ? `${chosen.quote.slice(0, 160)}…` : chosen.quote}”`;
    this.range = document.getSelection().getRangeAt(0).cloneRange();
    if (window.Highlight) {
      CSS.highlights.set("new-words", new Highlight(this.range));
    }
    document.getSelection().removeAllRanges();
    this.ask();
  }

  cancel() {
    super.cancel();
    window.CSS?.highlights?.delete("new-words");
    this.range = null;
  }

  /* ---- choosing with keys ---- */

  /** Chooses a word to begin with, or takes those that are chosen. */
  words() {
    if (this.chosen()) {
      this.take();
      return;
    }
    this.steps = [];
    this.writing.querySelectorAll("[data-start]").forEach(passage => {
      for (const word of passage.textContent.matchAll(WORD)) {
        this.steps.push({ passage, start: word.index, end: word.index + word[0].length });
      }
    });
    const seen = this.steps.findIndex(word => word.passage.getBoundingClientRect().bottom > 80);
    this.from = this.to = Math.max(0, seen);
    this.sheet.tabIndex = 0;
    this.sheet.setAttribute(
      "aria-label",
      "The text: move by words with the arrow keys, take more with Shift, note them with Enter",
    );
    this.sheet.focus({ preventScroll: true });
    this.show();
  }

  action(event) {
    if (event.key === "t" && this.form) {
      return () => this.words();
    }
    if (this.steps && ["ArrowLeft", "ArrowRight", "ArrowUp", "ArrowDown", "Enter", "Escape"].includes(event.key)) {
      return () => this.walk(event);
    }
    return super.action(event);
  }

  walk(event) {
    if (event.key === "Escape") {
      this.steps = null;
      document.getSelection().removeAllRanges();
      return;
    }
    if (event.key === "Enter") {
      this.steps = null;
      this.take();
      return;
    }
    const passage = this.steps[this.to].passage;
    const turn = {
      ArrowLeft: () => this.to - 1,
      ArrowRight: () => this.to + 1,
      ArrowDown: () => this.steps.findIndex((word, i) => i > this.to && word.passage !== passage),
      ArrowUp: () => {
        const before = this.steps
          .slice(0, this.to)
          .reverse()
          .find(word => word.passage !== passage);
        return before ? this.steps.findIndex(word => word.passage === before.passage) : 0;
      },
    }[event.key]();
    this.to =
      turn < 0 ? (event.key === "ArrowDown" ? this.steps.length - 1 : 0) : Math.min(this.steps.length - 1, turn);
    this.from = event.shiftKey ? this.from : this.to;
    this.show();
  }

  /** Chooses the words from one to another on the page. */
  show() {
    const [first, last] = [this.steps[Math.min(this.from, this.to)], this.steps[Math.max(this.from, this.to)]];
    const spot = (passage, at) => {
      const texts = document.createTreeWalker(passage, NodeFilter.SHOW_TEXT);
      let left = at;
      for (let text = texts.nextNode(); text; text = texts.nextNode()) {
        if (left <= text.length) {
          return [text, left];
        }
        left -= text.length;
      }
      return [passage, 0];
    };
    document.getSelection().setBaseAndExtent(...spot(first.passage, first.start), ...spot(last.passage, last.end));
    this.steps[this.to].passage.scrollIntoView({ block: "nearest" });
  }

  /* ---- notes beside their words ---- */

  entries() {
    const box = this.sheet.getBoundingClientRect();
    const at = rect => ({
      x: ((rect.left + rect.width / 2 - box.left) / box.width) * 1000,
      y: ((rect.top + rect.height / 2 - box.top) / box.width) * 1000,
    });
    const all = this.notes().map(note => {
      const words = this.shape(note.dataset.note);
      return {
        note,
        shape: words,
        gone: !words,
        id: note.dataset.note,
        ...(words ? at(words.getClientRects()[0] || words.getBoundingClientRect()) : { x: 0, y: 0 }),
        kind: ["change", "question", "idea", "keep"].find(kind => note.classList.contains(kind)),
        settled: note.classList.contains("settled"),
      };
    });
    if (this.form && !this.form.hidden) {
      all.push({
        note: this.form,
        id: "new",
        ...(this.range ? at(this.range.getBoundingClientRect()) : { x: 0, y: 0 }),
        kind: "new",
        settled: false,
      });
    }
    return all;
  }

  /** Leaders end at the edge of the text, in the line of their words. */
  edgeX(entry, side) {
    return side === "LEFT" ? 10 : 990;
  }

  takeMarks(table) {
    const fresh = table.querySelector("[data-writing]");
    if (fresh && !this.chosen() && !this.range) {
      this.writing.replaceWith(document.importNode(fresh, true));
    }
  }
}
