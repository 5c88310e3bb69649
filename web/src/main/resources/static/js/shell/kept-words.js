/* Words that were typed and not sent stay in this browser until they are, and are offered again. */
import { keys, read, who, write } from "./browser-store.js";
import { whenShown } from "./when-shown.js";

const DAYS = 30 * 24 * 60 * 60 * 1000;
const sent = form => form?.method === "post" && form.action;

/** What begins the names under which the words of a form are kept. */
export const wordsOf = form => `words:${who()}:${new URL(form.action, location.href).pathname}#`;

/** The place and the intent of a new note, and all else in it that is not words. */
function besides(form) {
  const words = ["note", "instead", "_csrf", "once"];
  const rest = [...new FormData(form)].filter(([name, value]) => typeof value === "string" && !words.includes(name));
  return form.matches("[data-new-note]") ? Object.fromEntries(rest) : null;
}

function keep(area) {
  const form = area.form;
  if (sent(form) && area.name) {
    const begun = area.value.trim() && area.value !== area.defaultValue;
    write(wordsOf(form) + area.name, begun ? { text: area.value, at: Date.now(), besides: besides(form) } : null);
  }
}

export function forget(form) {
  keys(wordsOf(form)).forEach(key => write(key, null));
}

export function line(text, ...buttons) {
  const box = document.createElement("p");
  box.className = "kept-words";
  box.append(
    text,
    ...buttons.map(([label, press]) => {
      const button = document.createElement("button");
      button.type = "button";
      button.className = "as-link";
      button.textContent = label;
      button.addEventListener("click", press);
      return button;
    }),
  );
  return box;
}

export function brief(text) {
  return text.length > 60 ? `${text.slice(0, 60)}…` : text;
}

function offer() {
  document.querySelectorAll("form[method='post'] textarea").forEach(area => {
    const form = area.form;
    if (!area.name || form.matches("[data-new-note]") || area.value !== area.defaultValue) {
      return;
    }
    const key = wordsOf(form) + area.name;
    const kept = read(key);
    if (kept && kept.text !== area.defaultValue) {
      area.value = kept.text;
      const leave = () => {
        area.value = area.defaultValue;
        write(key, null);
        box.remove();
        area.focus();
      };
      const box = line("These words were kept from before. ", ["Leave them out", leave]);
      area.after(box);
    }
  });
}

document.addEventListener("input", event => {
  if (event.target.matches?.("textarea")) {
    keep(event.target);
  }
});

/* The form of each request: once its page came, the form is gone from it, and the event no longer names it. */
const forms = new WeakMap();
document.addEventListener("htmx:beforeRequest", event => {
  const form = event.detail.elt?.closest?.("form");
  if (form) {
    forms.set(event.detail.xhr, form);
  }
});

document.addEventListener("htmx:afterRequest", event => {
  const form = forms.get(event.detail.xhr) || event.detail.elt?.closest?.("form");
  if (form && event.detail.xhr?.status > 0 && event.detail.xhr.status < 400 && sent(form)) {
    forget(form);
  }
});

document.addEventListener(
  "submit",
  event => {
    if (event.target.action.endsWith("/sign-out")) {
      [...keys("words:"), ...keys("waiting:")].forEach(key => write(key, null));
    } else if (event.target.getAttribute("hx-boost") === "false" && sent(event.target)) {
      forget(event.target);
    }
  },
  true,
);

whenShown(() => {
  keys("words:")
    .filter(key => Date.now() - (read(key)?.at || 0) > DAYS)
    .forEach(key => write(key, null));
  offer();
});
