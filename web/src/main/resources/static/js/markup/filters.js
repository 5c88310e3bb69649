/* Which notes are shown beside the work. */

export class Filters {
  constructor(table) {
    this.table = table;
    this.filters = table.root.querySelector("[data-filters]");
    if (!this.filters) {
      return;
    }
    this.filters.hidden = false;
    this.person = this.filters.querySelector("[data-filter-person]");
    this.intent = this.filters.querySelector("[data-filter-intent]");
    this.filters.querySelectorAll("[data-filter]").forEach(button =>
      table.on(button, "click", () => {
        this.filters
          .querySelectorAll("[data-filter]")
          .forEach(other => other.setAttribute("aria-pressed", String(other === button)));
        this.sift();
      }),
    );
    table.on(this.person, "change", () => this.sift());
    table.on(this.intent, "change", () => this.sift());
    this.sift();
  }

  get filter() {
    return this.filters.querySelector("[aria-pressed='true']")?.dataset.filter || "all";
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

  /** Shows the notes that pass and their marks; says beside each choice how many it would show. */
  sift() {
    if (!this.filters) {
      return;
    }
    const notes = this.table.everyNote();
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
      const shape = this.table.shape(note.dataset.note);
      if (shape) {
        shape.classList.toggle("sifted", note.hidden);
      }
    });
    this.table.layOut();
  }
}
