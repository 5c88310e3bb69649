/* A light table for sheets: the work, the marks on it, and the notes beside it. */
import { Closer } from "./closer.js";
import { Filters } from "./filters.js";
import { Margins, WIDE } from "./margins.js";
import { Others } from "./others.js";
import { BOXES, Placing } from "./placing.js";

const INTENTS = ["change", "question", "idea", "keep"];
const TOOLS = { p: "POINT", r: "RECTANGLE", e: "ELLIPSE", a: "ARROW", l: "LINE", f: "FREEHAND" };

/** An identifier that no other note has; also where the page came without encryption. */
function onceOnly() {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6] & 0x0f) | 0x40;
  bytes[8] = (bytes[8] & 0x3f) | 0x80;
  return [...bytes]
    .map((byte, i) => ([4, 6, 8, 10].includes(i) ? "-" : "") + byte.toString(16).padStart(2, "0"))
    .join("");
}

export class Table {
  constructor(root) {
    this.root = root;
    this.stage = root.querySelector("[data-stage]");
    this.sheet = root.querySelector("[data-sheet]");
    this.page = root.closest("main"); // its class may still be that of the page before, while this one settles
    this.form = root.querySelector("[data-new-note]");
    this.controls = new AbortController();
    if (!this.sheet) {
      return;
    }
    this.marks = root.querySelector("[data-marks]");
    this.leaders = root.querySelector("[data-leaders]");
    this.page.querySelectorAll("[data-tools],[data-zooms]").forEach(part => (part.hidden = false));
    this.sheet.style.setProperty("--tall", this.height / 1000);
    this.closer = new Closer(this);
    this.margins = new Margins(this);
    this.placing = new Placing(this);
    this.listen();
    this.observe();
    this.layOut();
    this.filters = new Filters(this);
    this.others = new Others(this);
    if (this.form) {
      this.on(this.root, "note:resume", event => this.resume(event.detail));
      this.on(this.root, "note:aside", () => this.cancel());
      this.on(this.root, "note:arrived", () => this.others.refresh());
    }
  }

  get height() {
    return this.marks.viewBox.baseVal.height;
  }

  on(target, event, handler, options = {}) {
    target.addEventListener(event, handler, { signal: this.controls.signal, ...options });
  }

  listen() {
    this.on(document, "keydown", event => this.key(event));
    this.on(window, "resize", () => this.layOut());
    this.on(this.stage, "scroll", () => this.layOut());
    this.on(this.root, "click", event => this.pressed(event.target));
    this.on(this.root, "mouseover", event => this.passed(event.target.closest("[data-note]")));
    this.on(this.root, "focusin", event => this.come(event.target.closest("[data-note]")));
    this.on(this.root, "toggle", event => this.unfolded(event.target), { capture: true });
    if (this.form) {
      this.on(this.form.querySelector("[data-cancel]"), "click", () => this.cancel());
    }
  }

  pressed(target) {
    const shape = target.closest("[data-mark]");
    if (shape) {
      this.select(shape.dataset.mark, true);
    }
  }

  /** Shows whose mark it is, once for each time the pointer comes over a note. */
  passed(note) {
    if (note !== this.under) {
      this.come(note);
    }
    this.under = note;
  }

  come(note) {
    if (note && note.dataset.note !== this.selected) {
      this.select(note.dataset.note, false);
    }
  }

  unfolded(details) {
    if (details.matches("details[data-whole]")) {
      this.others.whole(details.closest("[data-note]"), details);
    }
    this.layOut();
  }

  observe() {
    this.watch = new ResizeObserver(() => this.layOut());
    this.watch.observe(this.sheet);
    this.watch.observe(this.page);
    if (this.form) {
      this.watch.observe(this.form);
    }
    this.everyNote().forEach(note => this.watch.observe(note));
    this.controls.signal.addEventListener("abort", () => this.watch.disconnect());
  }

  /** After notes or marks were taken over: all that this page alone knows of them. */
  shown() {
    this.everyNote().forEach(note => this.watch.observe(note));
    this.mark();
    this.filters.sift();
    this.layOut();
  }

  everyNote() {
    return [...this.root.querySelectorAll("[data-note]")];
  }

  notes() {
    return this.everyNote().filter(note => !note.hidden);
  }

  /** What stands for a mark on the sheet, or in the text. */
  shape(id) {
    return this.root.querySelector(`[data-mark="${id}"]`);
  }

  takeMarks(table) {
    this.others.takeMarks(table.querySelector("[data-marks]"));
  }

  layOut() {
    this.margins.lay();
  }

  entries() {
    const all = this.notes()
      .map(note => ({ note, shape: this.shape(note.dataset.note) }))
      .filter(entry => entry.shape)
      .map(({ note, shape }) => ({
        note,
        shape,
        id: note.dataset.note,
        x: Number(shape.dataset.x),
        y: Number(shape.dataset.y),
        kind: INTENTS.find(k => note.classList.contains(k)),
        settled: note.classList.contains("settled"),
      }));
    if (this.form && !this.form.hidden) {
      const value = name => Number(this.form.elements[name].value);
      const half = BOXES.includes(this.form.elements.shape.value) ? 0.5 : 0;
      all.push({
        note: this.form,
        id: "new",
        x: (value("x1") + value("x2") * half) * 1000,
        y: (value("y1") + value("y2") * half) * this.height,
        kind: "new",
        settled: false,
      });
    }
    return all;
  }

  /** Leaders end at the near edge of a rectangle, at the middle of anything else. */
  edgeX(entry, side) {
    const box = entry.shape?.querySelector("rect");
    const round = entry.shape?.querySelector("ellipse");
    if (round) {
      return entry.x + (side === "LEFT" ? -1 : 1) * Number(round.getAttribute("rx"));
    }
    return box ? Number(box.getAttribute("x")) + (side === "LEFT" ? 0 : Number(box.getAttribute("width"))) : entry.x;
  }

  select(id, bring) {
    this.selected = id;
    this.mark();
    this.layOut();
    const note = this.notes().find(one => one.dataset.note === id);
    if (bring && note) {
      note.focus({ preventScroll: true });
      note.scrollIntoView({ block: "nearest" });
    }
  }

  /** Lifts the chosen note and its mark out. */
  mark() {
    const { selected } = this;
    this.notes().forEach(note => note.classList.toggle("on", note.dataset.note === selected));
    this.root
      .querySelectorAll("[data-mark]")
      .forEach(shape => shape.classList.toggle("on", shape.dataset.mark === selected));
  }

  step(by) {
    const all = this.notes();
    if (all.length) {
      const at = all.findIndex(note => note.dataset.note === this.selected);
      this.select(all[(at + by + all.length) % all.length].dataset.note, true);
    }
  }

  /* ---- a new note ---- */

  choose(tool) {
    this.placing.choose(tool);
  }

  place(from, to) {
    this.placing.place(from, to);
  }

  /** Opens the form for a new note and puts the cursor into it. */
  ask() {
    this.form.hidden = false;
    this.form.elements.once.value = onceOnly();
    this.root.querySelector(".kept-note")?.remove();
    this.layOut();
    this.form.elements.note.focus({ preventScroll: this.page.clientWidth >= WIDE });
  }

  cancel() {
    this.form.hidden = true;
    this.form.reset();
    this.placing.drawing.replaceChildren();
    this.layOut();
    this.root.dispatchEvent(new CustomEvent("note:closed", { bubbles: true }));
  }

  /** Goes on with a note that was begun before: at its place, with its words. */
  resume(fields) {
    const known = Object.entries(fields).filter(([name]) => this.form.elements[name] && name !== "page");
    known.forEach(([name, value]) => {
      this.form.elements[name].value = value;
    });
    this.placing.drawAgain(fields);
    this.ask();
  }

  /* ---- keys ---- */

  key(event) {
    if (event.target.closest("input, textarea, select, [contenteditable]")) {
      if (event.key === "Escape" && this.form && this.form.contains(event.target)) {
        this.cancel();
      }
      return;
    }
    if (event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    const action = this.action(event);
    if (action) {
      event.preventDefault();
      action();
    }
  }

  action(event) {
    if (this.form && TOOLS[event.key] && this.page.querySelector(`[data-tool="${TOOLS[event.key]}"]`)) {
      return () => this.choose(TOOLS[event.key]);
    }
    const changes = this.page.querySelector("[data-changes]");
    if (changes && (event.key === "d" || event.key === "w")) {
      return () => {
        changes.href += event.key === "w" ? "&as=wipe" : "";
        changes.click();
      };
    }
    if (/^[1-9]$/.test(event.key)) {
      const link = this.page.querySelector(`[data-version-number="${event.key}"]`);
      return link ? () => link.click() : null;
    }
    if (this.placing.tool && ["ArrowLeft", "ArrowRight", "ArrowUp", "ArrowDown", "Enter", " "].includes(event.key)) {
      return () => this.placing.steer(event);
    }
    return {
      ".": () => this.step(1),
      ",": () => this.step(-1),
      "+": () => this.closer.zoomBy("in"),
      "-": () => this.closer.zoomBy("out"),
      0: () => this.closer.zoomBy("fit"),
      ArrowRight: () => this.turn(1),
      ArrowLeft: () => this.turn(-1),
      Escape: () => this.choose(null),
    }[event.key];
  }

  turn(by) {
    const current = this.page.querySelector(".pages [aria-current]");
    const link = current && (by > 0 ? current.nextElementSibling : current.previousElementSibling);
    if (link) {
      link.click();
    }
  }
}
