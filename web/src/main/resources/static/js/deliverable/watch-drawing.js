/* Watches sheets while they are being drawn. */
import { whenSwapped } from "../shell/when-shown.js";

function watchDrawing() {
  document.querySelectorAll("[data-watch]").forEach(place => {
    if (place.watching) {
      return;
    }
    place.watching = new EventSource(place.dataset.watch);
    place.watching.addEventListener("sheets", event => {
      place.innerHTML = event.data;
    });
    place.watching.addEventListener("done", () => place.watching.close());
    place.watching.addEventListener("error", () => {
      if (!place.isConnected) {
        place.watching.close();
      }
    });
  });
}

whenSwapped(watchDrawing);
