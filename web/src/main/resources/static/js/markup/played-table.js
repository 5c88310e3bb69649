/* A light table for what is played: a time line that carries the marks, single pictures, and shapes that show when their time has come. */
import { Table } from "./sheet-table.js";

/** How near to a moment, in seconds, its shape is shown. */
const NEAR = 0.3;
const STEP = 1 / 25;

export function timeCode(seconds) {
  const hundredths = Math.round(seconds * 100);
  const two = value => String(value).padStart(2, "0");
  const minutes = Math.floor(hundredths / 6000);
  const tail = `${two(Math.floor(hundredths / 100) % 60)}.${two(hundredths % 100)}`;
  return minutes < 60 ? `${minutes}:${tail}` : `${Math.floor(minutes / 60)}:${two(minutes % 60)}:${tail}`;
}

export class PlayedTable extends Table {
  listen() {
    super.listen();
    this.media = this.root.querySelector("[data-media]");
    this.line = this.root.querySelector("[data-seek]");
    this.root.querySelector("[data-playing]").hidden = false;
    const press = (name, act) =>
      this.root.querySelectorAll(`[data-${name}]`).forEach(button => this.on(button, "click", act));
    press("play", () => this.play());
    press("frame-back", () => this.step1(-1));
    press("frame-on", () => this.step1(1));
    press("span", () => this.span());
    this.on(this.line, "input", () => {
      this.media.currentTime = Number(this.line.value);
    });
    ["loadedmetadata", "durationchange", "timeupdate", "seeked", "play", "pause"].forEach(event =>
      this.on(this.media, event, () => this.moved()),
    );
    this.on(this.media, "error", () => this.unplayable());
    this.controls.signal.addEventListener("abort", () => this.media.pause());
    if (this.media.error) {
      this.unplayable();
    }
    this.watchPictures();
    this.moved();
  }

  /** Follows picture by picture while it plays, and learns how long one stands. */
  watchPictures() {
    this.picture = STEP;
    if (!this.media.requestVideoFrameCallback) {
      return;
    }
    let last = null;
    const next = (now, shown) => {
      if (last !== null && shown.mediaTime > last && shown.mediaTime - last < 0.2) {
        this.picture = Math.min(this.picture, Math.max(1 / 120, shown.mediaTime - last));
      }
      last = shown.mediaTime;
      this.moved();
      if (!this.controls.signal.aborted) {
        this.media.requestVideoFrameCallback(next);
      }
    };
    this.media.requestVideoFrameCallback(next);
  }

  get length() {
    return Number.isFinite(this.media.duration) ? this.media.duration : 0;
  }

  get now() {
    return this.media.currentTime;
  }

  unplayable() {
    this.root.querySelector("[data-unplayable]").hidden = false;
    this.root.querySelector("[data-playing]").hidden = true;
  }

  play() {
    if (this.media.paused) {
      this.media.play().catch(() => this.unplayable());
    } else {
      this.media.pause();
    }
  }

  step1(by) {
    this.media.pause();
    this.media.currentTime = Math.max(0, Math.min(this.length, this.now + by * this.picture));
  }

  /** Shows where it is: the time, the line, and the shapes whose time it is. */
  moved() {
    if (!this.media) {
      return;
    }
    this.line.max = String(this.length || 1);
    this.line.value = String(this.now);
    this.line.setAttribute("aria-valuetext", timeCode(this.now));
    this.root.querySelector("[data-clock]").textContent = `${timeCode(this.now)} of ${timeCode(this.length)}`;
    this.root
      .querySelectorAll("[data-play]")
      .forEach(button => (button.textContent = this.media.paused ? "Play" : "Pause"));
    this.marks
      .querySelectorAll("[data-mark]")
      .forEach(shape =>
        shape.classList.toggle(
          "away",
          Number(shape.dataset.from) - NEAR > this.now || Number(shape.dataset.to) + NEAR < this.now,
        ),
      );
    if (this.length !== this.laidFor) {
      this.ticks();
    }
  }

  /** Lays the marks on the time line. */
  ticks() {
    const list = this.root.querySelector("[data-ticks]");
    this.laidFor = this.length;
    list.replaceChildren(
      ...(this.length ? this.notes() : []).map(note => {
        const tick = document.createElement("span");
        const [from, to] = [Number(note.dataset.from), Number(note.dataset.to)];
        const intent = ["change", "question", "idea", "keep"].find(kind => note.classList.contains(kind));
        tick.className = `tick ${intent}`;
        tick.classList.toggle("settled", note.classList.contains("settled"));
        tick.classList.toggle("on", note.dataset.note === this.selected);
        tick.style.left = `${(Math.min(from, this.length) / this.length) * 100}%`;
        tick.style.width = to > from ? `max(9px, ${((Math.min(to, this.length) - from) / this.length) * 100}%)` : "9px";
        tick.title = `Mark ${note.querySelector("b").textContent} at ${timeCode(from)}`;
        tick.addEventListener("click", () => this.select(note.dataset.note, true));
        return tick;
      }),
    );
  }

  select(id, bring) {
    const note = this.everyNote().find(one => one.dataset.note === id);
    if (
      (note && bring && this.selected !== id) ||
      (note && bring && Math.abs(this.now - Number(note.dataset.from)) > NEAR)
    ) {
      this.media.pause();
      this.media.currentTime = Number(note.dataset.from);
    }
    super.select(id, bring);
    this.ticks();
  }

  /* ---- noting a moment ---- */

  choose(tool) {
    this.media?.pause();
    if (tool === "MOMENT") {
      this.at("NONE");
      this.ask();
      return;
    }
    super.choose(tool);
  }

  at(shape) {
    const set = (name, value) => (this.form.elements[name].value = value);
    set("shape", shape);
    set("from", this.now.toFixed(3));
    set("to", "");
    this.said();
  }

  place(from, to) {
    super.place(from, to);
    this.at(this.form.elements.shape.value);
  }

  /** The note is about all from where it began to where it stands now. */
  span() {
    const begun = Number(this.form.elements.from.value);
    const [from, to] = [Math.min(begun, this.now), Math.max(begun, this.now)];
    this.form.elements.from.value = from.toFixed(3);
    this.form.elements.to.value = to > from ? to.toFixed(3) : "";
    this.said();
  }

  said() {
    const [from, to] = [Number(this.form.elements.from.value), this.form.elements.to.value];
    this.form.querySelector("[data-when]").textContent =
      `at ${timeCode(from)}${to ? ` to ${timeCode(Number(to))}` : ""}`;
  }

  action(event) {
    if (event.key === "t" && this.form) {
      return () => this.choose("MOMENT");
    }
    if (this.placing.tool) {
      return super.action(event);
    }
    if (event.key === " " && event.target.closest("button, a, summary")) {
      return null;
    }
    return (
      {
        " ": () => this.play(),
        ArrowLeft: () => (event.shiftKey ? this.jump(-1) : this.step1(-1)),
        ArrowRight: () => (event.shiftKey ? this.jump(1) : this.step1(1)),
      }[event.key] || super.action(event)
    );
  }

  jump(by) {
    this.media.currentTime = Math.max(0, Math.min(this.length, this.now + by));
  }

  /** Notes stand beside the picture in the order of their times; no leader runs across it. */
  layOut() {
    this.everyNote()
      .concat(this.form || [])
      .forEach(note => {
        note.style.left = "";
        note.style.top = "";
      });
    if (this.media) {
      this.ticks();
    }
  }

  takeMarks(table) {
    super.takeMarks(table);
    this.moved();
  }
}
