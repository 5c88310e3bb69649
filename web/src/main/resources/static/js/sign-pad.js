/* A field to draw a signature in, beside the typed name, which is enough by itself. */
const MOST = 3900;
const drawn = new WeakMap();

function show() {
  document.querySelectorAll("[data-sign-pad][hidden]").forEach(pad => {
    pad.hidden = false;
  });
}

function strokes(pad) {
  if (!drawn.has(pad)) {
    drawn.set(pad, []);
  }
  return drawn.get(pad);
}

function redraw(pad) {
  const all = strokes(pad);
  pad
    .querySelector("path")
    .setAttribute(
      "d",
      all
        .map(
          stroke =>
            stroke
              .map((spot, i) => `${i ? "L" : "M"}${(300 * spot.x).toFixed(1)} ${(100 * spot.y).toFixed(1)}`)
              .join("") + (stroke.length === 1 ? "h0.1" : ""),
        )
        .join(""),
    );
  pad.querySelector("input").value = all
    .map(stroke => stroke.map(spot => `${spot.x.toFixed(4)},${spot.y.toFixed(4)}`).join(" "))
    .join(";");
  pad.querySelector("[data-pad-again]").hidden = all.length === 0;
}

function spot(field, event) {
  const box = field.getBoundingClientRect();
  const within = value => Math.min(1, Math.max(0, value));
  return { x: within((event.clientX - box.left) / box.width), y: within((event.clientY - box.top) / box.height) };
}

function add(pad, field, event, begins) {
  const all = strokes(pad);
  if (all.reduce((sum, stroke) => sum + stroke.length, 0) >= MOST) {
    return;
  }
  if (begins) {
    all.push([]);
  }
  all[all.length - 1].push(spot(field, event));
  redraw(pad);
}

document.addEventListener("pointerdown", event => {
  const field = event.target.closest?.("[data-pad]");
  if (field && event.button === 0) {
    event.preventDefault();
    field.setPointerCapture(event.pointerId);
    add(field.closest("[data-sign-pad]"), field, event, true);
  }
});

document.addEventListener("pointermove", event => {
  const field = event.target.closest?.("[data-pad]");
  if (field?.hasPointerCapture(event.pointerId)) {
    add(field.closest("[data-sign-pad]"), field, event, false);
  }
});

document.addEventListener("click", event => {
  const again = event.target.closest?.("[data-pad-again]");
  if (again) {
    const pad = again.closest("[data-sign-pad]");
    drawn.set(pad, []);
    redraw(pad);
  }
});

document.addEventListener("htmx:afterSettle", show);
document.addEventListener("DOMContentLoaded", show);
if (document.readyState !== "loading") {
  show();
}
