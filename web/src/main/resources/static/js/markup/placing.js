/* Placing marks by mouse, finger and keyboard. */

const SVG = "http://www.w3.org/2000/svg";
export const BOXES = ["RECTANGLE", "ELLIPSE"];
const MOST_SPOTS = 10000;

export class Placing {
  constructor(table) {
    this.table = table;
    this.tool = null;
    this.start = null;
    this.cursor = null;
    this.drawing = table.root.querySelector("[data-drawing]");
    table.page
      .querySelectorAll("[data-tool]")
      .forEach(button =>
        table.on(button, "click", () => table.choose(this.tool === button.dataset.tool ? null : button.dataset.tool)),
      );
    table.on(table.sheet, "pointerdown", event => this.down(event));
    table.on(table.sheet, "pointermove", event => this.move(event));
    table.on(table.sheet, "pointerup", event => this.up(event));
  }

  choose(tool) {
    this.tool = tool;
    this.start = null;
    this.cursor = null;
    this.drawing.replaceChildren();
    this.table.page.classList.toggle("placing", tool !== null);
    this.table.page
      .querySelectorAll("[data-tool]")
      .forEach(button => button.setAttribute("aria-pressed", String(button.dataset.tool === tool)));
    if (tool) {
      this.table.sheet.tabIndex = 0;
      this.table.sheet.setAttribute("aria-label", "The sheet: move with the arrow keys, place with Enter");
      this.table.sheet.focus({ preventScroll: true });
    } else {
      this.table.sheet.removeAttribute("tabindex");
    }
  }

  spot(event) {
    const box = this.table.sheet.getBoundingClientRect();
    const within = value => Math.min(1, Math.max(0, value));
    return { x: within((event.clientX - box.left) / box.width), y: within((event.clientY - box.top) / box.height) };
  }

  down(event) {
    if (this.tool && event.button === 0) {
      event.preventDefault();
      this.start = this.spot(event);
      this.trace = [this.start];
      this.table.sheet.setPointerCapture(event.pointerId);
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
      this.table.place(this.start, to);
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
    const set = (name, value) => (this.table.form.elements[name].value = value);
    set("shape", shape);
    set("x1", box ? Math.min(from.x, to.x) : from.x);
    set("y1", box ? Math.min(from.y, to.y) : from.y);
    set("x2", box ? Math.max(0.001, Math.abs(to.x - from.x)) : line ? to.x : 0);
    set("y2", box ? Math.max(0.001, Math.abs(to.y - from.y)) : line ? to.y : 0);
    set(
      "spots",
      shape === "FREEHAND" ? this.trace.map(spot => `${spot.x.toFixed(5)},${spot.y.toFixed(5)}`).join(" ") : "",
    );
    this.table.choose(null);
    this.tool = shape;
    this.draw(from, to);
    this.tool = null;
    this.table.ask();
  }

  draw(from, to) {
    const x = value => value * 1000;
    const y = value => value * this.table.height;
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
      this.table.place(this.start || at, at);
    } else {
      this.start = at;
      this.trace = [at];
      this.draw(at, at);
    }
  }
}
