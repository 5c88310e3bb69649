/*
 * Words that were typed and not sent stay in this browser until they are, and are offered again.
 * A note that finds no network waits here, and goes out once when there is one.
 */

const DAYS = 30 * 24 * 60 * 60 * 1000;
const AGAIN = 20000;
const who = () => document.body.dataset.who || "";
const store = () => {
  try {
    return window.localStorage;
  } catch {
    return null;
  }
};
const words = form => `words:${who()}:${new URL(form.action, location.href).pathname}#`;
const queue = () => `waiting:${who()}`;
const sent = form => form?.method === "post" && form.action;

function read(key) {
  try {
    return JSON.parse(store()?.getItem(key) || "null");
  } catch {
    return null;
  }
}

function write(key, value) {
  try {
    if (value === null) {
      store()?.removeItem(key);
    } else {
      store()?.setItem(key, JSON.stringify(value));
    }
  } catch {
    // a full or closed store keeps nothing; the page works all the same
  }
}

function keys(prefix) {
  return Object.keys(store() || {}).filter(key => key.startsWith(prefix));
}

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
    write(words(form) + area.name, begun ? { text: area.value, at: Date.now(), besides: besides(form) } : null);
  }
}

function forget(form) {
  keys(words(form)).forEach(key => write(key, null));
}

/* ---- offering them again ---- */

function line(text, ...buttons) {
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

function brief(text) {
  return text.length > 60 ? `${text.slice(0, 60)}…` : text;
}

function offerNote(form) {
  const root = form.closest("[data-light-table]");
  root.querySelector(".kept-note")?.remove();
  const kept = read(`${words(form)}note`) || read(`${words(form)}instead`);
  if (!kept || !form.hidden) {
    return;
  }
  const page = kept.besides?.page;
  const elsewhere = page && page !== root.dataset.page;
  const box = line(
    `A note you began is kept${elsewhere ? `, on sheet ${page}` : ""}: “${brief(kept.text)}” `,
    [
      elsewhere ? "Go there" : "Go on with it",
      () => {
        if (elsewhere) {
          location.assign(`${location.pathname}?page=${page}`);
        } else {
          box.remove();
          const [note, instead] = ["note", "instead"].map(name => read(words(form) + name)?.text || "");
          root.dispatchEvent(new CustomEvent("note:resume", { detail: { ...kept.besides, note, instead } }));
        }
      },
    ],
    [
      "Throw it away",
      () => {
        forget(form);
        box.remove();
      },
    ],
  );
  box.classList.add("kept-note");
  root.prepend(box);
}

function offer() {
  document.querySelectorAll("form[method='post'] textarea").forEach(area => {
    const form = area.form;
    if (!area.name || form.matches("[data-new-note]") || area.value !== area.defaultValue) {
      return;
    }
    const key = words(form) + area.name;
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
  document.querySelectorAll("[data-light-table] [data-new-note]").forEach(offerNote);
}

/* ---- a note that waits for a network ---- */

function showWaiting() {
  const root = document.querySelector("[data-light-table]");
  root?.querySelector(".waiting-notes")?.remove();
  const waiting = read(queue()) || [];
  if (root && waiting.length) {
    const many = waiting.length === 1 ? "A note waits" : `${waiting.length} notes wait`;
    const box = line(`${many} for a network and will be sent without your doing: “${brief(waiting[0].fields.note)}” `, [
      "Try now",
      send,
    ]);
    box.classList.add("waiting-notes");
    box.setAttribute("role", "status");
    root.prepend(box);
  }
}

function putAside(form) {
  const fields = Object.fromEntries(
    [...new FormData(form)].filter(([name, value]) => typeof value === "string" && name !== "_csrf"),
  );
  const waiting = (read(queue()) || []).filter(one => one.fields.once !== fields.once);
  write(queue(), [...waiting, { action: new URL(form.action, location.href).pathname, fields }]);
  forget(form);
  form.closest("[data-light-table]").dispatchEvent(new CustomEvent("note:aside"));
  showWaiting();
}

let sending = false;
async function send() {
  const waiting = read(queue()) || [];
  if (sending || !waiting.length) {
    return;
  }
  sending = true;
  let arrived = 0;
  for (const one of waiting) {
    const headers = JSON.parse(document.body.getAttribute("hx-headers") || "{}");
    const answer = await fetch(one.action, {
      method: "POST",
      headers,
      body: new URLSearchParams(one.fields),
      redirect: "manual",
    }).catch(() => null);
    if (!answer || answer.status >= 500) {
      break;
    }
    if (answer.type !== "opaqueredirect" && !answer.ok) {
      write(`words:${who()}:${one.action}#note`, { text: one.fields.note, at: Date.now(), besides: one.fields });
    }
    write(
      queue(),
      (read(queue()) || []).filter(other => other.fields.once !== one.fields.once),
    );
    arrived += 1;
  }
  sending = false;
  showWaiting();
  if (arrived) {
    document.querySelector("[data-light-table]")?.dispatchEvent(new CustomEvent("note:arrived"));
    offer();
  }
}

/* ---- when ---- */

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

document.addEventListener("htmx:sendError", event => {
  const form = event.detail.elt?.closest?.("form[data-new-note]");
  if (form && ![...form.querySelectorAll("input[type='file']")].some(input => input.files.length)) {
    putAside(form);
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

document.addEventListener("note:closed", event => offerNote(event.target.querySelector("[data-new-note]")));
window.addEventListener("online", send);
setInterval(send, AGAIN);

function begin() {
  keys("words:")
    .filter(key => Date.now() - (read(key)?.at || 0) > DAYS)
    .forEach(key => write(key, null));
  offer();
  showWaiting();
  send();
}

document.addEventListener("DOMContentLoaded", begin);
document.addEventListener("htmx:afterSettle", event => {
  if (event.detail.target === document.body) {
    begin();
  }
});
if (document.readyState !== "loading") {
  begin();
}
