/* A sheet that is still being drawn is looked for again, unless somebody is writing meanwhile. */
import { whenSwapped } from "../shell/when-shown.js";

function lookAgain() {
  const link = document.querySelector("[data-look-again]");
  if (link && !link.waiting) {
    link.waiting = setTimeout(() => {
      if (link.isConnected && !document.activeElement?.matches("textarea, input")) {
        link.click();
      }
    }, 1200);
  }
}

whenSwapped(lookAgain);
