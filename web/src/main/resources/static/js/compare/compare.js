/* Two versions on each other: the slider, panes that move together, and walking through what changed. */
import "../deliverable/look-again.js";
import { whenShown } from "../shell/when-shown.js";
import { beginPlayed } from "./compare-played.js";

class Compare {
  constructor(root) {
    this.root = root;
    this.controls = new AbortController();
    this.at = 0;
    const slide = root.querySelector("[data-slide]");
    if (slide) {
      slide.hidden = false;
      this.slider = root.querySelector("[data-slider]");
      this.on(this.slider, "input", () => this.slid());
      this.slid();
      this.followPointer();
    }
    this.together();
    root
      .querySelectorAll("[data-show]")
      .forEach(button => this.on(button, "click", () => this.show(Number(button.dataset.show))));
    this.on(document, "keydown", event => this.key(event));
    root.setAttribute("aria-keyshortcuts", ". ,");
  }

  on(target, event, handler) {
    target.addEventListener(event, handler, { signal: this.controls.signal });
  }

  get mode() {
    return this.root.dataset.mode;
  }

  slid() {
    const part = Number(this.slider.value) / 100;
    const later = this.root.querySelector("[data-later]");
    if (this.mode === "overlay") {
      later.setAttribute("opacity", part);
      return;
    }
    const wiped = this.root.querySelector("[data-wiped]");
    const edge = this.root.querySelector("[data-edge]");
    wiped.setAttribute("x", 1000 * part);
    wiped.setAttribute("width", 1000 * (1 - part));
    edge.setAttribute("x1", 1000 * part);
    edge.setAttribute("x2", 1000 * part);
  }

  /** The edge of the wipe follows mouse, pen and finger on the sheet. */
  followPointer() {
    const sheet = this.root.querySelector(".laid");
    const to = event => {
      const box = sheet.getBoundingClientRect();
      this.slider.value = String(Math.round(Math.min(1, Math.max(0, (event.clientX - box.left) / box.width)) * 100));
      this.slid();
    };
    if (this.mode === "wipe") {
      this.on(sheet, "pointerdown", event => {
        sheet.setPointerCapture(event.pointerId);
        to(event);
      });
      this.on(sheet, "pointermove", event => {
        if (event.buttons || event.pointerType === "mouse") {
          to(event);
        }
      });
    }
  }

  together() {
    const panes = [...this.root.querySelectorAll("[data-together]")];
    panes.forEach(pane =>
      this.on(pane, "scroll", () =>
        panes
          .filter(other => other !== pane)
          .forEach(other => {
            if (Math.abs(other.scrollTop - pane.scrollTop) > 1) {
              other.scrollTop = pane.scrollTop;
            }
            if (Math.abs(other.scrollLeft - pane.scrollLeft) > 1) {
              other.scrollLeft = pane.scrollLeft;
            }
          }),
      ),
    );
  }

  show(number) {
    this.at = number;
    this.root
      .querySelectorAll("[data-box]")
      .forEach(box => box.classList.toggle("on", Number(box.dataset.box) === number));
    this.root
      .querySelectorAll("[data-part]")
      .forEach(part => part.classList.toggle("on", Number(part.dataset.part) === number));
    this.root.querySelector(`[data-box="${number}"]`)?.scrollIntoView({ block: "nearest" });
    this.root.querySelector(`[data-show="${number}"]`)?.focus({ preventScroll: false });
  }

  key(event) {
    if (
      event.target.closest("input:not([type=range]), textarea, select") ||
      event.ctrlKey ||
      event.metaKey ||
      event.altKey
    ) {
      return;
    }
    const parts = this.root.querySelectorAll("[data-part]").length;
    const as = document.querySelector(`[data-as="${event.key}"]`);
    const turn = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    const step = { ".": 1, ",": -1 }[event.key];
    if (as) {
      as.click();
    } else if (step && parts) {
      this.show((((this.at || (step > 0 ? 0 : 1)) - 1 + step + parts) % parts) + 1);
    } else if (turn && !event.target.closest("input")) {
      const current = document.querySelector(".pages [aria-current]");
      (turn > 0 ? current?.nextElementSibling : current?.previousElementSibling)?.click();
    } else {
      return;
    }
    event.preventDefault();
  }
}

let compare = null;

function begin() {
  compare?.controls.abort();
  const root = document.querySelector("[data-compare]");
  compare = root ? new Compare(root) : null;
  beginPlayed(root);
}

whenShown(begin);
document.addEventListener("htmx:historyRestore", begin);
