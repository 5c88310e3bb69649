/* Two versions of what is played, second by second: they begin, stop and step together. */
import { timeCode } from "./played-table.js";

const STEP = 1 / 25;
const APART = 0.08;

class TwoPlayed {
  constructor(root) {
    this.root = root;
    this.controls = new AbortController();
    this.both = [...root.querySelectorAll("[data-one]")];
    this.line = root.querySelector("[data-seek]");
    root.querySelector("[data-playing]").hidden = false;
    this.press("play", () => this.play());
    this.press("frame-back", () => this.to(this.now - STEP));
    this.press("frame-on", () => this.to(this.now + STEP));
    this.press("hear", button => this.hear(button));
    this.on(this.line, "input", () => this.to(Number(this.line.value)));
    this.both.forEach(one => {
      ["loadedmetadata", "timeupdate", "seeked", "play", "pause", "ended"].forEach(event => this.on(one, event, () => this.moved()));
      this.on(one, "error", () => { root.querySelector("[data-unplayable]").hidden = false; });
    });
    this.controls.signal.addEventListener("abort", () => this.both.forEach(one => one.pause()));
    this.mix();
    this.later = true;
    this.balance();
    this.moved();
  }

  on(target, event, handler) {
    target.addEventListener(event, handler, { signal: this.controls.signal });
  }

  press(name, act) {
    this.root.querySelectorAll(`[data-${name}]`).forEach(button => this.on(button, "click", () => act(button)));
  }

  get now() {
    return this.both[1].currentTime;
  }

  get length() {
    return Math.max(...this.both.map(one => (Number.isFinite(one.duration) ? one.duration : 0)));
  }

  play() {
    const paused = this.both.every(one => one.paused);
    this.to(this.now, !paused);
    if (paused) {
      this.both.forEach(one => one.play().catch(() => {}));
    }
  }

  to(second) {
    this.both.forEach(one => { one.pause(); one.currentTime = Math.max(0, Math.min(one.duration || 0, second)); });
  }

  /** Of two sounds one is heard at a time, at the same second. */
  hear(button) {
    this.later = !this.later;
    button.setAttribute("aria-pressed", String(!this.later));
    this.balance();
  }

  balance() {
    this.both[0].muted = this.later;
    this.both[1].muted = !this.later;
  }

  /** How much of the later one lies over the earlier. */
  mix() {
    const slide = this.root.querySelector("[data-mix]");
    if (!slide) {
      return;
    }
    slide.hidden = false;
    const input = slide.querySelector("input");
    const wipe = this.root.closest("[data-compare]").dataset.mode === "wipe";
    const set = () => {
      this.both[1].style.clipPath = wipe ? `inset(0 0 0 ${input.value}%)` : "";
      this.both[1].style.opacity = wipe ? "" : String(Number(input.value) / 100);
    };
    this.on(input, "input", set);
    set();
  }

  moved() {
    this.line.max = String(this.length || 1);
    this.line.value = String(this.now);
    this.root.querySelector("[data-clock]").textContent = `${timeCode(this.now)} of ${timeCode(this.length)}`;
    this.root.querySelector("[data-play]").textContent = this.both.every(one => one.paused) ? "Play both" : "Pause";
    const [earlier, later] = this.both;
    if (!later.paused && !earlier.paused && Math.abs(earlier.currentTime - later.currentTime) > APART) {
      earlier.currentTime = later.currentTime;
    }
  }
}

let two = null;

export function beginPlayed(root) {
  two?.controls.abort();
  const found = root?.querySelector("[data-two-played]");
  two = found ? new TwoPlayed(found) : null;
}
