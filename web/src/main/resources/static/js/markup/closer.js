/* Looking closely: the sheet larger, and squares of the right sharpness over what can be seen of it. */

const LARGE = 1600;
const SETTLED = 60;
const RESTED = 200;

export class Closer {
  constructor(table) {
    this.table = table;
    this.zoom = 1;
    table.page
      .querySelectorAll("[data-zoom]")
      .forEach(button => table.on(button, "click", () => this.zoomBy(button.dataset.zoom)));
    table.on(table.stage, "scroll", () => this.squaresSoon());
    table.on(window, "scroll", () => this.squaresSoon());
  }

  squaresSoon(wait = 0) {
    if (this.zoom !== 1) {
      clearTimeout(this.soon);
      this.soon = setTimeout(() => this.squares(), wait || SETTLED);
    }
  }

  /** Lays squares of the right sharpness over what can be seen of the sheet. */
  squares() {
    const floor = this.table.root.querySelector("[data-squares]");
    const wanted = this.table.sheet.clientWidth * window.devicePixelRatio;
    const levels = Number(this.table.sheet.dataset.levels);
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
    const side = this.table.sheet.clientWidth / columns;
    const tall = this.table.sheet.clientHeight;
    const sheet = this.table.sheet.getBoundingClientRect();
    const stage = this.table.stage.getBoundingClientRect();
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
    image.style.left = `${(column * side * 100) / this.table.sheet.clientWidth}%`;
    image.style.top = `${(row * side * 100) / tall}%`;
    image.style.width = `${(side * 100) / this.table.sheet.clientWidth}%`;
    image.style.height = `${(Math.min(side, tall - row * side) * 100) / tall}%`;
    image.addEventListener("error", () => image.remove());
    image.src = `${this.table.sheet.dataset.tiles}/${name}`;
    floor.append(image);
  }

  zoomBy(direction) {
    this.zoom = direction === "fit" ? 1 : Math.min(6, Math.max(1, this.zoom * (direction === "in" ? 1.5 : 1 / 1.5)));
    this.zoom = this.zoom < 1.1 ? 1 : this.zoom;
    this.table.page.classList.toggle("zoomed", this.zoom !== 1);
    this.table.sheet.style.width = this.zoom === 1 ? "" : `${this.zoom * 90}vw`;
    this.table.layOut();
    if (this.zoom === 1) {
      this.squares();
    } else {
      this.squaresSoon(RESTED);
    }
  }
}
