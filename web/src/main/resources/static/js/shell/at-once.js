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
