/* A field to draw a signature in, beside the typed name, which is enough by itself. */
import SignaturePad from "../../vendor/signature_pad.min.js";
import { whenSwapped } from "../shell/when-shown.js";

/** So many spots are kept of a signature. */
const MOST = 3900;

/** The strokes as they are sent: spots as parts of the field's width and height. */
function written(strokes, field) {
  const within = (value, length) => Math.min(1, Math.max(0, value / length)).toFixed(4);
  return strokes
    .map(stroke =>
      stroke.points
        .map(spot => `${within(spot.x, field.clientWidth)},${within(spot.y, field.clientHeight)}`)
        .join(" "),
    )
    .join(";");
}

/** The field in the size of its place and the sharpness of the screen, with what was drawn in it. */
function fit(field, pad) {
  const grown = field.clientWidth / (field.drawnAt || field.clientWidth);
  const strokes = pad.toData().map(stroke => ({
    ...stroke,
    points: stroke.points.map(spot => ({ ...spot, x: spot.x * grown, y: spot.y * grown })),
  }));
  field.drawnAt = field.clientWidth;
  const sharpness = Math.max(1, window.devicePixelRatio);
  field.width = field.clientWidth * sharpness;
  field.height = field.clientHeight * sharpness;
  field.getContext("2d").scale(sharpness, sharpness);
  pad.fromData(strokes);
}

function begin(place) {
  const field = place.querySelector("[data-pad]");
  const again = place.querySelector("[data-pad-again]");
  const ink = getComputedStyle(field).color;
  const pad = new SignaturePad(field, { penColor: ink, minWidth: 1.2, maxWidth: 2.4, minDistance: 2 });
  const tell = () => {
    place.querySelector("input").value = written(pad.toData(), field);
    again.hidden = pad.isEmpty();
  };
  pad.addEventListener("beginStroke", event => {
    if (pad.toData().reduce((sum, stroke) => sum + stroke.points.length, 0) >= MOST) {
      event.preventDefault();
    }
  });
  pad.addEventListener("endStroke", tell);
  again.addEventListener("click", () => {
    pad.clear();
    tell();
  });
  new ResizeObserver(() => fit(field, pad)).observe(field);
}

whenSwapped(() =>
  document.querySelectorAll("[data-sign-pad][hidden]").forEach(place => {
    place.hidden = false;
    begin(place);
  }),
);
