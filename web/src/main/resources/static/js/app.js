/* What every page shares: coming in by a link, uploading with progress, watching sheets being drawn, the sash. Everything works without. */

function comeIn() {
  document.querySelector("form[data-come-in]")?.requestSubmit();
}

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

document.addEventListener("htmx:xhr:progress", event => {
  const bar = event.target.closest?.("[data-upload]")?.querySelector("progress");
  if (bar && event.detail.lengthComputable) {
    bar.hidden = false;
    bar.value = (100 * event.detail.loaded) / event.detail.total;
  }
});

document.addEventListener("htmx:afterRequest", event => {
  const bar = event.target.closest?.("[data-upload]")?.querySelector("progress");
  if (bar && !(event.detail.xhr?.status < 400)) {
    bar.hidden = true;
  }
});

document.addEventListener("htmx:beforeRequest", () => {
  const notice = document.getElementById("notice");
  if (notice) {
    notice.replaceChildren();
  }
});

document.addEventListener("htmx:afterSwap", event => {
  if (event.detail.target.id === "notice") {
    event.detail.target.scrollIntoView({ block: "nearest" });
  }
});

document.addEventListener("htmx:sendError", () =>
  say("The house could not be reached. Nothing you typed is lost; try again in a moment."),
);
document.addEventListener("htmx:responseError", event => {
  if (event.detail.xhr.status === 404) {
    say("This is no longer shown to you, so nothing was saved. What you typed is still here for you to copy.");
  } else if (event.detail.xhr.status >= 500) {
    say(
      "Something went wrong here. It is our fault and was noted; what you typed is still here. Try again in a moment.",
    );
  }
});

function say(sentence) {
  const box = document.createElement("div");
  const text = document.createElement("p");
  box.className = "notice";
  text.textContent = sentence;
  box.append(text);
  document.getElementById("notice")?.replaceChildren(box);
}

/* Choosing in a form marked so sends it at once; its button is for those without scripts. */
/* With the arrow keys one passes by what lies between, so what is chosen with them is sent by Enter, or when one leaves. */
let steered = null;

function sendAtOnce(field) {
  steered = null;
  const form = field.form;
  if (!form) {
    return;
  }
  form.classList.remove("waits-for-enter");
  if (underWay) {
    inLine.push({ form: called(form), name: field.name, value: field.value, checked: field.checked });
  } else {
    underWay = true;
    form.requestSubmit();
  }
}

/* Who chooses faster than the house answers: each is sent once the page that came of the one before stands there. */
let underWay = false;
const inLine = [];

function called(form) {
  const fixed = [...form.elements].filter(
    one => one.type === "hidden" && !["before", "revision", "_csrf"].includes(one.name),
  );
  return [form.getAttribute("action"), ...fixed.map(one => `${one.name}=${one.value}`)].join(" ");
}

function sendNext() {
  underWay = false;
  const next = inLine.shift();
  const form = next && [...document.querySelectorAll("form[data-at-once]")].find(one => called(one) === next.form);
  const field = form && [...form.elements].find(one => one.name === next.name && one.type !== "hidden");
  if (field) {
    if (field.type === "checkbox") {
      field.checked = next.checked;
    } else {
      field.value = next.value;
    }
    sendAtOnce(field);
  } else if (next) {
    sendNext();
  }
}

document.addEventListener("keydown", event => {
  if (!event.target.matches?.("form[data-at-once] select")) {
    return;
  }
  const chosen = steered === event.target && event.target.form.classList.contains("waits-for-enter");
  if (event.key === "Enter") {
    steered = null;
    if (chosen) {
      event.preventDefault();
      sendAtOnce(event.target);
    }
  } else if (event.key !== "Tab") {
    steered = event.target;
  }
});
document.addEventListener("pointerdown", () => {
  steered = null;
});
document.addEventListener("change", event => {
  if (!event.target.form?.matches("[data-at-once]")) {
    return;
  }
  if (steered === event.target) {
    event.target.form.classList.add("waits-for-enter");
  } else {
    sendAtOnce(event.target);
  }
});
document.addEventListener("focusout", event => {
  if (steered === event.target && event.target.form?.classList.contains("waits-for-enter")) {
    sendAtOnce(event.target);
  }
});

/* What was chosen and not done stands as it was. */
document.addEventListener("htmx:afterRequest", event => {
  const form = event.detail.elt?.closest?.("form[data-at-once]");
  const status = event.detail.xhr?.status || 0;
  if (form && (status === 0 || status >= 400)) {
    form.reset();
  }
  if (form && underWay) {
    sendNext();
  }
});
document.addEventListener("htmx:afterSettle", event => {
  if (event.detail.target === document.body && underWay) {
    sendNext();
  }
});

/* The focus stays where it was when the page comes back after something was sent from it;
   what was searched for is read next, not typed on. */
let stood = null;
document.addEventListener("htmx:beforeRequest", event => {
  const form = event.detail.elt?.closest?.("form");
  const field =
    form?.contains(document.activeElement) && !form.querySelector("[data-search]") ? document.activeElement : null;
  const value = field?.matches("button") ? field.value : null;
  stood = field ? { action: form.getAttribute("action"), name: field.name || "", value } : null;
});
document.addEventListener("htmx:afterSettle", event => {
  if (
    event.detail.target === document.body &&
    stood &&
    (document.activeElement === document.body || !document.activeElement)
  ) {
    const form = [...document.querySelectorAll("form")].find(one => one.getAttribute("action") === stood.action);
    const field = [...(form?.elements || [])].find(
      one => one.type !== "hidden" && one.name === stood.name && (stood.value === null || one.value === stood.value),
    );
    field?.focus({ preventScroll: true });
  }
  stood = event.detail.target === document.body ? null : stood;
});

/* A panel that opened closes with Escape and gives the focus back; only one is open in a bar. */
document.addEventListener("keydown", event => {
  const open = document.querySelector("details.decide[open]");
  if (event.key === "Escape" && open) {
    open.open = false;
    open.querySelector("summary").focus();
  }
});
document.addEventListener(
  "toggle",
  event => {
    if (event.target.matches?.("details.decide") && event.target.open) {
      document.querySelectorAll("details.decide[open]").forEach(other => {
        if (other !== event.target) {
          other.open = false;
        }
      });
    }
  },
  true,
);

/* Keys of every screen. They are off in text fields and while a dialog is open. */
const KEYS = {
  "/": () => document.querySelector("[data-search]")?.focus(),
  "?": showKeys,
  v: turnSash,
  h: turnWindow,
  n: () => throughWhatAwaits(1),
  b: () => throughWhatAwaits(-1),
};

document.addEventListener("keydown", event => {
  const typing = event.target.closest("input, textarea, select, [contenteditable], dialog");
  if (KEYS[event.key] && !typing && !event.ctrlKey && !event.metaKey && !event.altKey) {
    event.preventDefault();
    KEYS[event.key]();
  }
});

/* The sash beside any page of a project. It stays open from page to page and follows the thing in hand. */
const SASH = "sash";

function turnSash() {
  const own = document.querySelector(".with-sash");
  const sash = document.getElementById("sash");
  if (own) {
    own.classList.toggle("no-sash");
  } else if (sash) {
    if (sash.hidden) {
      openSash(sash);
    } else {
      closeSash(sash);
    }
  }
}

function remembered() {
  return JSON.parse(sessionStorage.getItem(SASH) || "{}");
}

async function openSash(sash) {
  const { through = "", sight = "now" } = remembered();
  sash.hidden = false;
  document.body.classList.add("sash-open");
  sessionStorage.setItem(SASH, JSON.stringify({ through, sight, open: true }));
  const query = new URLSearchParams({ sight, hand: document.querySelector("[data-in-hand]")?.dataset.inHand || "" });
  if (through) {
    query.set("through", through);
  }
  await htmx.ajax("GET", `${sash.dataset.sash}?${query}`, { source: sash, target: sash, swap: "innerHTML" });
}

function closeSash(sash) {
  sash.hidden = true;
  sash.replaceChildren();
  document.body.classList.remove("sash-open");
  sessionStorage.setItem(SASH, JSON.stringify({ ...remembered(), open: false }));
  document.querySelector("[data-sash-open]")?.focus();
}

function followSash() {
  const sash = document.getElementById("sash");
  const opener = document.querySelector("[data-sash-open]");
  if (opener) {
    opener.hidden = false;
  }
  document.body.classList.toggle("sash-open", Boolean(sash && !sash.hidden));
  if (sash && sash.hidden && remembered().open && !document.querySelector(".with-sash .sash")) {
    openSash(sash);
  }
}

document.addEventListener("click", event => {
  const sash = document.getElementById("sash");
  if (sash && event.target.closest("[data-sash-open]")) {
    openSash(sash);
  } else if (sash && event.target.closest("[data-sash-close]")) {
    closeSash(sash);
  }
});
document.addEventListener("change", event => {
  const choice = event.target.closest("[data-sash-choice]");
  if (choice) {
    const typed = new FormData(choice);
    sessionStorage.setItem(
      SASH,
      JSON.stringify({ through: typed.get("through"), sight: typed.get("sight"), open: true }),
    );
    openSash(document.getElementById("sash"));
  }
});

/* The little window under the focus or the pointer: held back from everybody, or let go again. */
async function turnWindow() {
  const window = document.activeElement?.closest?.("[data-window]") || document.querySelector("[data-window]:hover");
  if (window) {
    const item = window.dataset.window;
    await htmx.ajax("POST", `/t/items/${item}/window`, { source: window, target: window, swap: "outerHTML" });
    const turned = document.querySelector(`[data-window="${item}"]`);
    turned?.focus();
    const row = turned?.closest("[data-seen-by]")?.querySelector(".seen-by");
    if (row) {
      row.textContent = turned.getAttribute("aria-label").split(".")[0];
    }
  }
}

function throughWhatAwaits(by) {
  if (document.querySelector("[data-search]")) {
    const here = document.querySelector("[data-here]")?.dataset.here;
    location.assign(`/t/next?by=${by}${here ? `&from=${here}` : ""}`);
  }
}

function showKeys() {
  const keys = document.getElementById("keys");
  keys.querySelectorAll("[data-keys-for]").forEach(line => {
    line.hidden = !document.querySelector(line.dataset.keysFor);
  });
  keys.showModal();
}

document.addEventListener("click", event => {
  if (event.target.closest("[data-keys]")) {
    showKeys();
  }
  document.querySelectorAll("details.switcher[open]").forEach(open => {
    if (!open.contains(event.target)) {
      open.open = false;
    }
  });
});

/* A sheet that is still being drawn is looked for again, unless somebody is writing meanwhile. */
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

/* What was typed into the search stays there, but the keys work again. */
document.addEventListener("submit", event => {
  event.target.closest(".find")?.querySelector("input").blur();
});

function revealKeys() {
  document.querySelectorAll("[data-keys]").forEach(button => {
    button.hidden = false;
  });
}

function begin() {
  comeIn();
  watchDrawing();
  revealKeys();
  lookAgain();
  followSash();
}
document.addEventListener("htmx:afterSettle", event => {
  watchDrawing();
  revealKeys();
  lookAgain();
  if (event.detail.target === document.body || event.detail.elt === document.body) {
    followSash();
  }
});
begin();

/* What can be copied with a press says so for a moment. */
document.addEventListener("click", event => {
  const button = event.target.closest("[data-copy]");
  if (button && navigator.clipboard) {
    navigator.clipboard
      .writeText(button.dataset.copy)
      .then(() => {
        button.textContent = "copied";
        setTimeout(() => {
          button.textContent = button.dataset.copy;
        }, 1200);
      })
      .catch(() => {});
  }
});

/* ---- who signs first, and checking files without sending them ---- */

function beginSigners() {
  document.querySelectorAll("[data-signers]").forEach(list => {
    const order = list.closest("form").elements.order;
    const settle = () => {
      order.value = [...list.children].map(line => line.dataset.contact).join(",");
      [...list.children].forEach((line, i) => (line.querySelector("[data-earlier]").hidden = i === 0));
    };
    list.addEventListener("click", event => {
      const button = event.target.closest("[data-earlier]");
      if (button) {
        const line = button.closest("li");
        line.previousElementSibling?.before(line);
        settle();
        button.hidden ? line.querySelector("input").focus() : button.focus();
      }
    });
    settle();
  });
}

function beginCheck() {
  const form = document.querySelector("[data-check-file]");
  if (!form || !window.crypto?.subtle) {
    return;
  }
  const check = async file => {
    const digest = await crypto.subtle.digest("SHA-256", await file.arrayBuffer());
    location.href = `/p/check?sha256=${[...new Uint8Array(digest)].map(byte => byte.toString(16).padStart(2, "0")).join("")}`;
  };
  const most = 1_000_000_000;
  form.addEventListener("submit", event => {
    const file = form.elements.file.files[0];
    if (file && file.size <= most) {
      event.preventDefault();
      check(file);
    }
  });
  const place = form.closest("[data-check]");
  place.addEventListener("dragover", event => {
    event.preventDefault();
    form.querySelector(".drop").classList.add("over");
  });
  place.addEventListener("drop", event => {
    event.preventDefault();
    if (event.dataTransfer.files[0]) {
      check(event.dataTransfer.files[0]);
    }
  });
}

function beginForms() {
  beginSigners();
  beginCheck();
}

document.addEventListener("htmx:afterSettle", event => {
  if (event.detail.target === document.body) {
    beginForms();
  }
});
if (document.readyState !== "loading") {
  beginForms();
} else {
  document.addEventListener("DOMContentLoaded", beginForms);
}
