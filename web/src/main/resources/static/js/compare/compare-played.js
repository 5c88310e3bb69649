/* Two versions of what is played, second by second: they begin, stop and step together. */
import { timeCode } from "../markup/played-table.js";

const STEP = 1 / 25;
const APART = 0.08;
const WIDEST = 1600;

class TwoPlayed {
  constructor(root) {
    this.root = root;
    this.controls = new AbortController();
    this.both = [...root.querySelectorAll("[data-one]")];
    this.line = root.querySelector("[data-seek]");
    root.querySelector("[data-playing]").hidden = false;
    this.frames = root.querySelector("[data-frames]");
    if (this.frames) {
      this.frames.hidden = false;
    }
    this.press("play", () => this.play());
    this.press("frame-back", () => this.to(this.now - STEP));
    this.press("frame-on", () => this.to(this.now + STEP));
    this.press("differs", () => this.differs());
    this.press("hear", button => this.hear(button));
    this.on(this.line, "input", () => this.to(Number(this.line.value)));
    this.both.forEach(one => {
      ["loadedmetadata", "timeupdate", "seeked", "play", "pause", "ended"].forEach(event =>
        this.on(one, event, () => this.moved()),
      );
      this.on(one, "error", () => {
        root.querySelector("[data-unplayable]").hidden = false;
      });
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
    this.both.forEach(one => {
      one.pause();
      one.currentTime = Math.max(0, Math.min(one.duration || 0, second));
    });
  }

  /** The picture that a film stands at, as a file. */
  picture(one) {
    const canvas = document.createElement("canvas");
    const scale = Math.min(1, WIDEST / one.videoWidth);
    canvas.width = Math.round(one.videoWidth * scale);
    canvas.height = Math.round(one.videoHeight * scale);
    canvas.getContext("2d").drawImage(one, 0, 0, canvas.width, canvas.height);
    return new Promise(done => canvas.toBlob(done, "image/png"));
  }

  /** Has the two pictures that are seen now compared, and outlines where they differ. */
  async differs() {
    this.to(this.now);
    await Promise.all(
      this.both.map(one =>
        one.seeking ? new Promise(done => one.addEventListener("seeked", done, { once: true })) : null,
      ),
    );
    const told = this.frames.querySelector("[data-told]");
    const at = this.now;
    const form = new FormData();
    form.append("before", await this.picture(this.both[0]), "before.png");
    form.append("after", await this.picture(this.both[1]), "after.png");
    told.textContent = "Comparing…";
    const found = await fetch(this.frames.dataset.url, {
      method: "POST",
      body: form,
      headers: JSON.parse(document.body.getAttribute("hx-headers") || "{}"),
      signal: this.controls.signal,
    })
      .then(answer => (answer.ok ? answer.json() : null))
      .catch(() => null);
    if (this.now !== at) {
      return;
    }
    told.textContent = !found
      ? "The two pictures could not be compared."
      : !found.aligned
        ? "The two pictures have too little in common to be laid on each other."
        : !found.places.length
          ? "Nothing differs here."
          : `${found.places.length === 1 ? "1 place differs" : `${found.places.length} places differ`} here, ` +
            `${found.percent < 0.1 ? "less than 0.1" : found.percent.toFixed(1)} % of the picture.`;
    this.compared = at;
    if (found?.aligned) {
      this.outline(found.places);
    }
  }

  outline(places) {
    this.root.querySelectorAll("[data-places]").forEach((drawing, side) =>
      drawing.replaceChildren(
        ...places.map(place => {
          const box = side === 0 ? place.before : place.after;
          const outline = document.createElementNS("http://www.w3.org/2000/svg", "rect");
          Object.entries({ x: box.x, y: box.y, width: box.width, height: box.height }).forEach(([name, value]) =>
            outline.setAttribute(name, 1000 * value),
          );
          return outline;
        }),
      ),
    );
  }

  /** What was found is of one moment. */
  forget() {
    if (this.compared !== undefined && this.compared !== this.now) {
      this.compared = undefined;
      this.frames.querySelector("[data-told]").textContent = "";
      this.outline([]);
    }
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
    this.forget();
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
