/* Answers are kept as one types: what changed goes off, and what comes back is taken over where nobody is typing. Without a
   network it waits, and says so. */
import { Idiomorph } from "../../vendor/idiomorph.min.js";
import { whenShown } from "../shell/when-shown.js";

const PAUSE = 900;
const AGAIN = 5000;

class Sheet {
  constructor(form) {
    this.form = form;
    this.timer = 0;
    this.busy = false;
    this.touched = false;
    form.addEventListener("input", () => this.soon(PAUSE));
    form.addEventListener("change", () => this.soon(0));
    form.addEventListener("submit", event => this.pressed(event));
    this.leaving = event => this.touched && event.preventDefault();
    window.addEventListener("beforeunload", this.leaving);
  }

  say(words) {
    const place = this.form.querySelector("[data-kept]");
    if (place && place.textContent !== words) {
      place.textContent = words;
    }
  }

  soon(pause) {
    this.touched = true;
    this.say("Not kept yet…");
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.keep(), pause);
  }

  /* A button of the form itself goes the same way; those that lead elsewhere wait for what was typed. */
  pressed(event) {
    const button = event.submitter;
    if (!button || button.hasAttribute("formaction")) {
      this.touched = false;
      return;
    }
    event.preventDefault();
    event.stopPropagation();
    this.keep(button);
  }

  async keep(button) {
    if (this.busy || !this.form.isConnected) {
      this.timer = setTimeout(() => this.keep(button), 200);
      return;
    }
    this.busy = true;
    this.touched = false;
    const sent = new URLSearchParams(new FormData(this.form, button));
    const answer = await fetch(this.form.getAttribute("action"), { method: "POST", body: sent }).catch(() => null);
    const text = await answer?.text().catch(() => null);
    this.busy = false;
    if (typeof text !== "string") {
      this.touched = true;
      this.say("No network. It waits here and is kept as soon as there is one.");
      this.timer = setTimeout(() => this.keep(button), AGAIN);
      return;
    }
    const fresh = new DOMParser().parseFromString(text, "text/html").querySelector("#answers");
    if (fresh && !this.touched) {
      this.take(fresh);
    }
    this.say(fresh ? (answer.ok ? "Kept." : "One thing could not be kept.") : "This cannot be kept any more. Load the page anew.");
  }

  take(fresh) {
    Idiomorph.morph(this.form, fresh, { ignoreActiveValue: true });
  }
}

function begin() {
  const form = document.querySelector("[data-answers]");
  if (form?.querySelector("fieldset") && !form.dataset.begun) {
    form.dataset.begun = "yes";
    new Sheet(form);
  }
}

whenShown(begin);
