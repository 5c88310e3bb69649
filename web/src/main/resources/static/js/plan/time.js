/* The plan over time: bars are moved and stretched, and it is said what that would do. Everything works without. */
import { whenShown } from "../shell/when-shown.js";

const SVG = "http://www.w3.org/2000/svg";
const LEFT = 230;
const WIDTH = 1000;
const A_DAY = 86_400_000;

class TimePlan {
  constructor(svg) {
    this.svg = svg;
    this.panel = document.querySelector("[data-consequence]");
    this.first = Date.parse(svg.dataset.first);
    this.days = Number(svg.dataset.days);
    this.held = null;
    svg.addEventListener("pointerdown", event => this.down(event));
    svg.addEventListener("pointermove", event => this.move(event));
    svg.addEventListener("pointerup", event => this.up(event));
    svg.addEventListener("keydown", event => this.key(event));
    this.panel.querySelector("[data-leave]").addEventListener("click", () => this.leave());
    this.panel.addEventListener("keydown", event => {
      if (event.key === "Escape") {
        this.leave();
      }
    });
  }

  get pixelsADay() {
    return (this.svg.getBoundingClientRect().width / 1240) * (WIDTH / this.days);
  }

  grip(bar) {
    return {
      bar,
      from: Date.parse(bar.dataset.from),
      to: Date.parse(bar.dataset.to),
      start: Date.parse(bar.dataset.from),
      end: Date.parse(bar.dataset.to),
      begun: bar.dataset.begun === "true",
    };
  }

  down(event) {
    const bar = event.target.closest("[data-task]");
    if (!bar || event.button !== 0) {
      return;
    }
    event.preventDefault();
    bar.focus({ preventScroll: true });
    this.held = this.grip(bar);
    const edge = bar.getBoundingClientRect().right - event.clientX < 8;
    this.drag = { x: event.clientX, stretch: edge || this.held.begun, moved: false };
    this.svg.setPointerCapture(event.pointerId);
  }

  move(event) {
    if (!this.drag) {
      return;
    }
    const by = Math.round((event.clientX - this.drag.x) / this.pixelsADay);
    if (by !== 0 || this.drag.moved) {
      this.drag.moved = true;
      this.shape(by, this.drag.stretch);
    }
  }

  up() {
    if (this.drag && !this.drag.moved) {
      this.leave();
    }
    this.drag = null;
  }

  key(event) {
    const bar = event.target.closest("[data-task]");
    if (!bar) {
      return;
    }
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (by) {
      event.preventDefault();
      if (this.held?.bar !== bar) {
        this.leave();
        this.held = this.grip(bar);
        this.keyed = { move: 0, stretch: 0 };
      }
      const stretch = event.shiftKey || this.held.begun;
      this.keyed[stretch ? "stretch" : "move"] += by;
      this.held.from = this.held.start + this.keyed.move * A_DAY;
      this.held.to = Math.max(this.held.from, this.held.end + (this.keyed.move + this.keyed.stretch) * A_DAY);
      this.show();
    } else if (event.key === "Enter" && this.held) {
      event.preventDefault();
      this.panel.requestSubmit();
    } else if (event.key === "Escape") {
      this.leave();
    }
  }

  shape(by, stretch) {
    this.held.from = stretch ? this.held.start : this.held.start + by * A_DAY;
    this.held.to = stretch ? Math.max(this.held.from, this.held.end + by * A_DAY) : this.held.end + by * A_DAY;
    this.show();
  }

  x(time) {
    return LEFT + (WIDTH * (time - this.first)) / A_DAY / this.days;
  }

  /* The ghost is drawn at once; what it would do is asked for when the hand rests. */
  show() {
    const bar = this.held.bar;
    let ghost = this.svg.querySelector(".ghost");
    if (!ghost) {
      ghost = document.createElementNS(SVG, "rect");
      ghost.setAttribute("class", "ghost");
      ghost.setAttribute("height", "17");
      this.svg.querySelector("[data-ghost]").append(ghost);
    }
    ghost.setAttribute("x", this.x(this.held.from));
    ghost.setAttribute("y", Number(bar.getAttribute("y")) - 2);
    ghost.setAttribute("width", Math.max(3, this.x(this.held.to + A_DAY) - this.x(this.held.from)));
    clearTimeout(this.asking);
    this.asking = setTimeout(() => this.ask(), 120);
  }

  async ask() {
    const held = this.held;
    if (!held) {
      return;
    }
    const day = time => new Date(time).toISOString().slice(0, 10);
    const from = day(held.from);
    const to = day(held.to);
    const answer = await fetch(`/t/tasks/${held.bar.dataset.task}/if?from=${from}&to=${to}`, {
      headers: { Accept: "application/json" },
    });
    if (!answer.ok || this.held !== held) {
      return;
    }
    const sentences = await answer.json();
    this.panel.querySelector("[data-said]").replaceChildren(
      ...sentences.map(sentence => {
        const line = document.createElement("p");
        line.textContent = sentence;
        return line;
      }),
    );
    this.panel.elements.from.value = from;
    this.panel.elements.to.value = to;
    this.panel.elements.revision.value = held.bar.dataset.revision;
    this.panel.elements.task.value = held.bar.dataset.task;
    this.panel.hidden = false;
  }

  leave() {
    clearTimeout(this.asking);
    this.svg.querySelector(".ghost")?.remove();
    this.panel.hidden = true;
    this.held?.bar.focus({ preventScroll: true });
    this.held = null;
  }
}

function begin() {
  const svg = document.querySelector("[data-time]");
  if (svg && !svg.planned) {
    svg.planned = new TimePlan(svg);
  }
}

whenShown(begin);
