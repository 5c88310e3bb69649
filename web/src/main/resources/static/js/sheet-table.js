/* A light table for sheets: notes in the margins with leaders to their places, and placing marks by mouse, finger and keyboard. */
import { tops, sides } from "./margin-layout.js";

const WIDE = 1000;
const GAP = 12;
const NOTE_WIDTH = 244;
const SVG = "http://www.w3.org/2000/svg";
const INTENTS = ["change", "question", "idea", "keep"];
const BOXES = ["RECTANGLE", "ELLIPSE"];
const MOST_SPOTS = 10000;
const LARGE = 1600;
const SETTLED = 60;
const RESTED = 200;
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
    this.page = root.closest(".table-page");
    this.tool = null;
    this.start = null;
    this.zoom = 1;
    this.form = root.querySelector("[data-new-note]");
    this.controls = new AbortController();
    if (!this.sheet) {
      return;
    }
    this.marks = root.querySelector("[data-marks]");
    this.drawing = root.querySelector("[data-drawing]");
    this.leaders = root.querySelector("[data-leaders]");
    this.page.querySelectorAll("[data-tools],[data-zooms]").forEach(part => (part.hidden = false));
    this.sheet.style.setProperty("--tall", this.height / 1000);
    this.listen();
    this.observe();
    this.layOut();
    this.beginFilters();
    this.watchOthers();
    if (this.form) {
      this.on(this.root, "note:resume", event => this.resume(event.detail));
      this.on(this.root, "note:aside", () => this.cancel());
      this.on(this.root, "note:arrived", () => this.refresh());
    }
  }

  /* ---- which notes are shown ---- */

  get filter() {
    return (this.filters && this.filters.querySelector("[aria-pressed='true']")?.dataset.filter) || "all";
  }

  passes(note, filter) {
    const tests = {
      all: () => true,
      own: () => note.dataset.own,
      open: () => note.dataset.open,
      change: () => note.dataset.open && note.classList.contains("change"),
      unanswered: () => note.dataset.unanswered,
    };
    return Boolean(tests[filter]());
  }

  beginFilters() {
    this.filters = this.root.querySelector("[data-filters]");
    if (!this.filters) {
      return;
    }
    this.filters.hidden = false;
    this.person = this.filters.querySelector("[data-filter-person]");
    this.filters.querySelectorAll("[data-filter]").forEach(button =>
      this.on(button, "click", () => {
        this.filters
          .querySelectorAll("[data-filter]")
          .forEach(other => other.setAttribute("aria-pressed", String(other === button)));
        this.sift();
      }),
    );
    this.intent = this.filters.querySelector("[data-filter-intent]");
    this.on(this.person, "change", () => this.sift());
    this.on(this.intent, "change", () => this.sift());
    this.sift();
  }

  /** Shows the notes that pass and their marks; says beside each choice how many it would show. */
  sift() {
    if (!this.filters) {
      return;
    }
    const notes = this.everyNote();
    const people = [...new Set(notes.map(note => note.dataset.person))].sort();
    const chosen = this.person.value;
    this.person.replaceChildren(
      new Option("everybody", ""),
      ...people.map(name => new Option(name, name, false, name === chosen)),
    );
    const wanted = note =>
      (!chosen || note.dataset.person === chosen) && (!this.intent.value || note.classList.contains(this.intent.value));
    this.filters.querySelectorAll("[data-filter]").forEach(button => {
      button.querySelector("b").textContent = notes.filter(
        note => wanted(note) && this.passes(note, button.dataset.filter),
      ).length;
    });
    notes.forEach(note => {
      note.hidden = !(wanted(note) && this.passes(note, this.filter));
      const shape = this.shape(note.dataset.note);
      if (shape) {
        shape.classList.toggle("sifted", note.hidden);
      }
    });
    this.layOut();
  }

  everyNote() {
    return [...this.root.querySelectorAll("[data-note]")];
  }

  /* ---- what others do meanwhile ---- */

  watchOthers() {
    if (!this.root.dataset.live || !window.EventSource) {
      return;
    }
    const others = new EventSource(this.root.dataset.live);
    others.addEventListener("moved", () => this.refresh());
    this.controls.signal.addEventListener("abort", () => others.close());
  }

  /** Reads the page anew and takes over what changed, but nothing that somebody is working in. */
  async refresh() {
    const text = await fetch(location.href, { signal: this.controls.signal })
      .then(answer => (answer.ok ? answer.text() : ""))
      .catch(() => "");
    const fresh = new DOMParser().parseFromString(text, "text/html");
    const table = fresh.querySelector("[data-light-table]");
    if (!table || this.controls.signal.aborted) {
      return;
    }
    this.takeMarks(table);
    this.takeNotes(table);
    for (const part of [".table-tools .pages", ".decision-bar > p"]) {
      const [mine, theirs] = [this.page.querySelector(part), fresh.querySelector(part)];
      if (mine && theirs && mine.outerHTML !== theirs.outerHTML) {
        mine.replaceWith(theirs);
      }
    }
    this.sift();
    this.layOut();
  }

  takeMarks(table) {
    const drawing = this.drawing;
    this.marks.querySelectorAll("[data-mark]").forEach(shape => shape.remove());
    table.querySelectorAll("[data-marks] [data-mark]").forEach(shape => {
      const own = document.importNode(shape, true);
      own.classList.toggle("on", own.dataset.mark === this.selected);
      this.marks.insertBefore(own, drawing);
      this.on(own, "click", () => this.select(own.dataset.mark, true));
    });
  }

  takeNotes(table) {
    const list = this.root.querySelector("[data-notes]");
    const busy = note => note.contains(document.activeElement) || note.querySelector("details[open]");
    const theirs = [...table.querySelectorAll("[data-note]")];
    const kept = new Set(theirs.map(note => note.dataset.note));
    this.everyNote()
      .filter(note => !kept.has(note.dataset.note) && !busy(note))
      .forEach(note => note.remove());
    let before = list.querySelector("[data-note]") || list.querySelector(".no-notes") || this.form;
    for (const note of theirs) {
      const mine = this.root.querySelector(`[data-note="${note.dataset.note}"]`);
      if (mine && busy(mine)) {
        before = mine.nextElementSibling;
        continue;
      }
      const own = document.importNode(note, true);
      if (mine) {
        before = mine.nextElementSibling;
        mine.replaceWith(own);
      } else {
        list.insertBefore(own, before);
        own.classList.add("arrived");
      }
      window.htmx?.process(own);
      this.listenToNote(own);
    }
    if (theirs.length) {
      list.querySelector(".no-notes")?.remove();
    }
  }

  listenToNote(note) {
    this.on(note, "mouseenter", () => this.select(note.dataset.note, false));
    this.on(note, "focusin", () => this.select(note.dataset.note, false));
    note
      .querySelectorAll("details[data-whole]")
      .forEach(details => this.on(details, "toggle", () => this.whole(note, details)));
    note.querySelectorAll("details").forEach(details => this.on(details, "toggle", () => this.layOut()));
    this.watch.observe(note);
  }

  /** Where there are many notes, the forms of one are fetched when it is worked in. */
  async whole(note, details) {
    if (!details.open) {
      return;
    }
    const text = await fetch(note.querySelector("[data-whole]").dataset.whole, { signal: this.controls.signal })
      .then(answer => (answer.ok ? answer.text() : ""))
      .catch(() => "");
    const theirs = new DOMParser()
      .parseFromString(text, "text/html")
      .querySelector(`[data-note="${note.dataset.note}"]`);
    if (!theirs || !note.isConnected) {
      return;
    }
    const own = document.importNode(theirs, true);
    note.replaceWith(own);
    window.htmx?.process(own);
    this.listenToNote(own);
    const opened = [...own.querySelectorAll(".note-foot details")].find(
      one => one.querySelector("summary").firstChild.textContent === details.querySelector("summary").textContent,
    );
    if (opened) {
      opened.open = true;
      opened.querySelector("textarea, select")?.focus({ preventScroll: true });
    }
    this.sift();
    this.layOut();
  }

  get height() {
    return this.marks.viewBox.baseVal.height;
  }

  on(target, event, handler) {
    target.addEventListener(event, handler, { signal: this.controls.signal });
  }

  listen() {
    this.page
      .querySelectorAll("[data-tool]")
      .forEach(button =>
        this.on(button, "click", () => this.choose(this.tool === button.dataset.tool ? null : button.dataset.tool)),
      );
    this.page
      .querySelectorAll("[data-zoom]")
      .forEach(button => this.on(button, "click", () => this.zoomBy(button.dataset.zoom)));
    this.on(this.sheet, "pointerdown", event => this.down(event));
    this.on(this.sheet, "pointermove", event => this.move(event));
    this.on(this.sheet, "pointerup", event => this.up(event));
    this.on(document, "keydown", event => this.key(event));
    this.on(window, "resize", () => this.layOut());
    this.on(this.stage, "scroll", () => {
      this.layOut();
      this.squaresSoon();
    });
    this.on(window, "scroll", () => this.squaresSoon());
    this.on(this.stage, "toggle", () => this.layOut(), true);
    this.root
      .querySelectorAll("[data-mark]")
      .forEach(shape => this.on(shape, "click", () => this.select(shape.dataset.mark, true)));
    if (this.form) {
      this.on(this.form.querySelector("[data-cancel]"), "click", () => this.cancel());
    }
  }

  observe() {
    this.watch = new ResizeObserver(() => this.layOut());
    this.watch.observe(this.sheet);
    this.watch.observe(this.page);
    this.everyNote().forEach(note => this.listenToNote(note));
    if (this.form) {
      this.watch.observe(this.form);
    }
    this.controls.signal.addEventListener("abort", () => this.watch.disconnect());
  }

  notes() {
    return this.everyNote().filter(note => !note.hidden);
  }

  /** What stands for a mark on the sheet, or in the text. */
  shape(id) {
    return this.root.querySelector(`[data-mark="${id}"]`);
  }

  /* ---- notes and leaders ---- */

  layOut() {
    const wide = this.page.clientWidth >= WIDE;
    this.page.classList.toggle("margins", wide && this.zoom === 1);
    this.leaders.replaceChildren();
    const [writing, entries] = [
      this.entries().filter(entry => entry.id === "new"),
      this.entries().filter(entry => entry.id !== "new"),
    ];
    if (!wide || this.zoom !== 1) {
      [...entries, ...writing].forEach(({ note }) => {
        note.style.left = "";
        note.style.top = "";
      });
      this.stage.style.minHeight = "";
      return;
    }
    const stage = this.stage.getBoundingClientRect();
    const sheet = this.sheet.getBoundingClientRect();
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
          wantedTop: (entry.y / this.height) * sheet.height - entry.height / 2,
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
    this.stage.style.minHeight = `${lowest + 26}px`;
  }

  /** Puts the note that is being written right beside its place, over the others and within what can be seen. Returns where it ends. */
  beside(entry, stage, sheet) {
    const side = entry.x < 500 ? "LEFT" : "RIGHT";
    const left =
      side === "LEFT" ? Math.max(10, sheet.left - stage.left - NOTE_WIDTH - 30) : sheet.right - stage.left + 30;
    const height = entry.note.offsetHeight;
    const wanted = sheet.top - stage.top + (entry.y / this.height) * sheet.height - height / 2;
    const seen = window.innerHeight - stage.top - height - 90;
    const top = Math.max(8, Math.min(wanted, seen));
    entry.note.style.left = `${left}px`;
    entry.note.style.top = `${top}px`;
    this.leader({ ...entry, height }, side, left, top, stage, sheet);
    return top + height;
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

  leader(entry, side, left, top, stage, sheet) {
    const x = sheet.left - stage.left + (this.edgeX(entry, side) / 1000) * sheet.width;
    const y = sheet.top - stage.top + (entry.y / this.height) * sheet.height;
    const edge = side === "LEFT" ? left + NOTE_WIDTH : left;
    const knee = side === "LEFT" ? edge + 13 : edge - 13;
    const from = top + Math.min(22, entry.height / 2);
    const path = document.createElementNS(SVG, "path");
    path.setAttribute("d", `M${edge} ${from}H${knee}L${x} ${y}`);
    path.setAttribute(
      "class",
      `${entry.kind} ${entry.settled ? "settled" : ""} ${entry.id === this.selected ? "on" : ""}`,
    );
    this.leaders.append(path);
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
    this.notes().forEach(note => note.classList.toggle("on", note.dataset.note === id));
    this.root.querySelectorAll("[data-mark]").forEach(shape => shape.classList.toggle("on", shape.dataset.mark === id));
    this.layOut();
    const note = this.notes().find(one => one.dataset.note === id);
    if (bring && note) {
      note.focus({ preventScroll: true });
      note.scrollIntoView({ block: "nearest" });
    }
  }

  step(by) {
    const all = this.notes();
    if (all.length) {
      const at = all.findIndex(note => note.dataset.note === this.selected);
      this.select(all[(at + by + all.length) % all.length].dataset.note, true);
    }
  }

  /* ---- looking closely ---- */

  squaresSoon(wait = 0) {
    if (this.zoom !== 1) {
      clearTimeout(this.soon);
      this.soon = setTimeout(() => this.squares(), wait || SETTLED);
    }
  }

  /** Lays squares of the right sharpness over what can be seen of the sheet. */
  squares() {
    const floor = this.root.querySelector("[data-squares]");
    const wanted = this.sheet.clientWidth * window.devicePixelRatio;
    const levels = Number(this.sheet.dataset.levels);
    const level = Math.min(levels, Math.ceil(Math.log2(wanted / LARGE)));
    if (level < 1 || this.zoom === 1) {
      floor.replaceChildren();
      this.level = 0;
      return;
    }
    if (level !== this.level) {
      floor.replaceChildren();
      this.level = level;
      this.laid = new Set();
    }
    const columns = 2 ** (level + 1);
    const side = this.sheet.clientWidth / columns;
    const tall = this.sheet.clientHeight;
    const sheet = this.sheet.getBoundingClientRect();
    const stage = this.stage.getBoundingClientRect();
    const first = at => Math.max(0, Math.floor(at / side));
    const last = (at, most) => Math.min(most, Math.ceil(at / side));
    const rows = Math.ceil(tall / side - 0.001);
    for (let row = first(Math.max(0, stage.top) - sheet.top); row < last(window.innerHeight - sheet.top, rows); row++) {
      for (
        let column = first(Math.max(0, stage.left) - sheet.left);
        column < last(Math.min(window.innerWidth, stage.right) - sheet.left, columns);
        column++
      ) {
        this.square(floor, level, column, row, side, tall);
      }
    }
  }

  square(floor, level, column, row, side, tall) {
    const name = `${level}/${column}/${row}`;
    if (this.laid.has(name)) {
      return;
    }
    this.laid.add(name);
    const image = new Image();
    image.alt = "";
    image.style.left = `${(column * side * 100) / this.sheet.clientWidth}%`;
    image.style.top = `${(row * side * 100) / tall}%`;
    image.style.width = `${(side * 100) / this.sheet.clientWidth}%`;
    image.style.height = `${(Math.min(side, tall - row * side) * 100) / tall}%`;
    image.addEventListener("error", () => image.remove());
    image.src = `${this.sheet.dataset.tiles}/${name}`;
    floor.append(image);
  }

  zoomBy(direction) {
    this.zoom = direction === "fit" ? 1 : Math.min(6, Math.max(1, this.zoom * (direction === "in" ? 1.5 : 1 / 1.5)));
    this.zoom = this.zoom < 1.1 ? 1 : this.zoom;
    this.page.classList.toggle("zoomed", this.zoom !== 1);
    this.sheet.style.width = this.zoom === 1 ? "" : `${this.zoom * 90}vw`;
    this.layOut();
    if (this.zoom === 1) {
      this.squares();
    } else {
      this.squaresSoon(RESTED);
    }
  }

  /* ---- placing ---- */

  choose(tool) {
    this.tool = tool;
    this.start = null;
    this.cursor = null;
    this.drawing.replaceChildren();
    this.page.classList.toggle("placing", tool !== null);
    this.page
      .querySelectorAll("[data-tool]")
      .forEach(button => button.setAttribute("aria-pressed", String(button.dataset.tool === tool)));
    if (tool) {
      this.sheet.tabIndex = 0;
      this.sheet.setAttribute("aria-label", "The sheet: move with the arrow keys, place with Enter");
      this.sheet.focus({ preventScroll: true });
    } else {
      this.sheet.removeAttribute("tabindex");
    }
  }

  spot(event) {
    const box = this.sheet.getBoundingClientRect();
    const within = value => Math.min(1, Math.max(0, value));
    return { x: within((event.clientX - box.left) / box.width), y: within((event.clientY - box.top) / box.height) };
  }

  down(event) {
    if (this.tool && event.button === 0) {
      event.preventDefault();
      this.start = this.spot(event);
      this.trace = [this.start];
      this.sheet.setPointerCapture(event.pointerId);
    }
  }

  move(event) {
    if (this.tool && this.start) {
      this.follow(this.spot(event));
    }
  }

  up(event) {
    if (this.tool && this.start) {
      const to = this.spot(event);
      this.follow(to);
      this.place(this.start, to);
    }
  }

  /** Draws on to a spot; a line drawn by hand keeps every spot it came by. */
  follow(to) {
    if (this.tool === "FREEHAND" && this.trace.length < MOST_SPOTS) {
      this.trace.push(to);
    }
    this.draw(this.start, to);
  }

  place(from, to) {
    const far = Math.hypot(to.x - from.x, to.y - from.y) > 0.008 || (this.tool === "FREEHAND" && this.trace.length > 8);
    const shape = this.tool === "POINT" || !far ? "POINT" : this.tool;
    const box = BOXES.includes(shape);
    const line = shape === "ARROW" || shape === "LINE";
    const set = (name, value) => (this.form.elements[name].value = value);
    set("shape", shape);
    set("x1", box ? Math.min(from.x, to.x) : from.x);
    set("y1", box ? Math.min(from.y, to.y) : from.y);
    set("x2", box ? Math.max(0.001, Math.abs(to.x - from.x)) : line ? to.x : 0);
    set("y2", box ? Math.max(0.001, Math.abs(to.y - from.y)) : line ? to.y : 0);
    set(
      "spots",
      shape === "FREEHAND" ? this.trace.map(spot => `${spot.x.toFixed(5)},${spot.y.toFixed(5)}`).join(" ") : "",
    );
    this.choose(null);
    this.tool = shape;
    this.draw(from, to);
    this.tool = null;
    this.ask();
  }

  draw(from, to) {
    const x = value => value * 1000;
    const y = value => value * this.height;
    const make = (name, attributes) => {
      const element = document.createElementNS(SVG, name);
      Object.entries(attributes).forEach(([key, value]) => element.setAttribute(key, value));
      return element;
    };
    const shapes = {
      RECTANGLE: () =>
        make("rect", {
          x: x(Math.min(from.x, to.x)),
          y: y(Math.min(from.y, to.y)),
          width: x(Math.abs(to.x - from.x)),
          height: y(Math.abs(to.y - from.y)),
        }),
      ELLIPSE: () =>
        make("ellipse", {
          cx: x((from.x + to.x) / 2),
          cy: y((from.y + to.y) / 2),
          rx: x(Math.abs(to.x - from.x) / 2),
          ry: y(Math.abs(to.y - from.y) / 2),
        }),
      ARROW: () => make("path", { d: `M${x(from.x)} ${y(from.y)}L${x(to.x)} ${y(to.y)}` }),
      LINE: () => make("path", { d: `M${x(from.x)} ${y(from.y)}L${x(to.x)} ${y(to.y)}` }),
      FREEHAND: () =>
        make("path", {
          d: (this.trace || [from, to]).map((spot, i) => `${i ? "L" : "M"}${x(spot.x)} ${y(spot.y)}`).join(""),
        }),
      POINT: () => make("circle", { cx: x(to.x), cy: y(to.y), r: 9 }),
    };
    this.drawing.replaceChildren(shapes[this.tool]());
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
    this.drawing.replaceChildren();
    this.layOut();
    this.root.dispatchEvent(new CustomEvent("note:closed", { bubbles: true }));
  }

  /** Goes on with a note that was begun before: at its place, with its words. */
  resume(fields) {
    const known = Object.entries(fields).filter(([name]) => this.form.elements[name] && name !== "page");
    known.forEach(([name, value]) => {
      this.form.elements[name].value = value;
    });
    this.drawAgain(fields);
    this.ask();
  }

  drawAgain(fields) {
    const from = { x: Number(fields.x1), y: Number(fields.y1) };
    const box = BOXES.includes(fields.shape);
    const spots = (fields.spots || "")
      .split(" ")
      .filter(Boolean)
      .map(spot => spot.split(",").map(Number));
    this.trace = spots.map(([x, y]) => ({ x, y }));
    this.tool = fields.shape;
    const to = { x: Number(fields.x2), y: Number(fields.y2) };
    const line = ["ARROW", "LINE"].includes(fields.shape);
    this.draw(from, box ? { x: from.x + to.x, y: from.y + to.y } : line ? to : from);
    this.tool = null;
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
    if (this.tool && ["ArrowLeft", "ArrowRight", "ArrowUp", "ArrowDown", "Enter", " "].includes(event.key)) {
      return () => this.steer(event);
    }
    return {
      ".": () => this.step(1),
      ",": () => this.step(-1),
      "+": () => this.zoomBy("in"),
      "-": () => this.zoomBy("out"),
      0: () => this.zoomBy("fit"),
      ArrowRight: () => this.turn(1),
      ArrowLeft: () => this.turn(-1),
      Escape: () => this.choose(null),
    }[event.key];
  }

  steer(event) {
    const by = event.shiftKey ? 0.05 : 0.01;
    const at = this.cursor || { x: 0.5, y: 0.5 };
    const moves = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] };
    if (moves[event.key]) {
      const within = value => Math.min(1, Math.max(0, value));
      this.cursor = { x: within(at.x + moves[event.key][0]), y: within(at.y + moves[event.key][1]) };
      if (this.start) {
        this.follow(this.cursor);
      } else {
        this.draw(this.cursor, this.cursor);
      }
    } else if (this.tool === "POINT" || this.start) {
      this.place(this.start || at, at);
    } else {
      this.start = at;
      this.trace = [at];
      this.draw(at, at);
    }
  }

  turn(by) {
    const current = this.page.querySelector(".pages [aria-current]");
    const link = current && (by > 0 ? current.nextElementSibling : current.previousElementSibling);
    if (link) {
      link.click();
    }
  }
}
