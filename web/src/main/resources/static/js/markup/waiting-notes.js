/*
 * A note that was begun is offered again, at its place.
 * One that finds no network waits here, and goes out once when there is one.
 */
import { read, who, write } from "../shell/browser-store.js";
import { brief, forget, line, wordsOf } from "../shell/kept-words.js";
import { whenShown } from "../shell/when-shown.js";

const AGAIN = 20000;
const queue = () => `waiting:${who()}`;

function offerNote(form) {
  const root = form.closest("[data-light-table]");
  root.querySelector(".kept-note")?.remove();
  const kept = read(`${wordsOf(form)}note`) || read(`${wordsOf(form)}instead`);
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
          const [note, instead] = ["note", "instead"].map(name => read(wordsOf(form) + name)?.text || "");
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

function offerNotes() {
  document.querySelectorAll("[data-light-table] [data-new-note]").forEach(offerNote);
}

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
    offerNotes();
  }
}

document.addEventListener("htmx:sendError", event => {
  const form = event.detail.elt?.closest?.("form[data-new-note]");
  if (form && ![...form.querySelectorAll("input[type='file']")].some(input => input.files.length)) {
    putAside(form);
  }
});

document.addEventListener("note:closed", event => offerNote(event.target.querySelector("[data-new-note]")));
window.addEventListener("online", send);
setInterval(send, AGAIN);
whenShown(() => {
  offerNotes();
  showWaiting();
  send();
});
