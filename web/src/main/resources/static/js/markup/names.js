/* Names of people and things, offered after @ and #. Everything works without. */


const BEGUN = /(?:^|[^\p{L}\p{N}])([@#][^@#\n]{0,40})$/u;
let offering = null;

function begun(area) {
  return area.value.slice(0, area.selectionStart).match(BEGUN)?.[1] || "";
}

function close() {
  offering?.list.remove();
  offering?.area.removeAttribute("aria-controls");
  offering?.area.removeAttribute("aria-activedescendant");
  offering = null;
}

async function offer(area) {
  const words = begun(area);
  if (!words) {
    close();
    return;
  }
  const names = await fetch(`${area.dataset.names}?${new URLSearchParams({ q: words })}`)
    .then(answer => (answer.ok ? answer.json() : []))
    .catch(() => []);
  if (begun(area) !== words || document.activeElement !== area) {
    return;
  }
  close();
  if (!names.length || names.some(name => name.toLowerCase() === words.toLowerCase())) {
    return;
  }
  const list = document.createElement("ul");
  list.className = "names";
  list.id = "names-offered";
  list.setAttribute("role", "listbox");
  list.setAttribute("aria-label", "Names");
  list.append(
    ...names.map((name, index) => {
      const line = document.createElement("li");
      line.id = `names-offered-${index}`;
      line.setAttribute("role", "option");
      line.textContent = name;
      line.addEventListener("mousedown", event => {
        event.preventDefault();
        take(index);
      });
      return line;
    }),
  );
  area.after(list);
  over(area, list);
  area.setAttribute("aria-controls", list.id);
  offering = { area, list, names, at: 0, words };
  aim(0);
}

/** Over what stands before the words, or below them where the window ends.
 * Nothing moves for it, so that a button stays where it was aimed at. */
function over(area, list) {
  const above = area.getBoundingClientRect().top > list.offsetHeight;
  list.style.left = `${area.offsetLeft}px`;
  list.style.width = `${area.offsetWidth}px`;
  list.style.top = `${area.offsetTop + (above ? -list.offsetHeight : area.offsetHeight)}px`;
}

function aim(index) {
  offering.at = (index + offering.names.length) % offering.names.length;
  [...offering.list.children].forEach((line, i) => line.setAttribute("aria-selected", String(i === offering.at)));
  offering.area.setAttribute("aria-activedescendant", `names-offered-${offering.at}`);
}

function take(index) {
  const { area, names, words } = offering;
  const end = area.selectionStart;
  area.setRangeText(`${names[index]} `, end - words.length, end, "end");
  area.dispatchEvent(new Event("input", { bubbles: true }));
  close();
  tell(area, names[index]);
}

/** Says beside a note that somebody who is called by name gets a mail, before it is left. */
function tell(area, name) {
  if (!name.startsWith("@")) {
    return;
  }
  const told = area.parentElement.querySelector(".gets-mail") || document.createElement("p");
  const before = (told.dataset.called || "").split("\n").filter(Boolean);
  const called = [...new Set([...before, name.slice(1)])].filter(one => area.value.includes(`@${one}`));
  told.className = "gets-mail";
  told.setAttribute("role", "status");
  told.dataset.called = called.join("\n");
  told.textContent = `${called.join(", ")} ${called.length === 1 ? "gets" : "get"} a mail when you leave this.`;
  area.after(told);
}

let soon = null;
document.addEventListener("input", event => {
  if (event.target.dataset?.names) {
    clearTimeout(soon);
    soon = setTimeout(() => offer(event.target), 120);
  }
});

document.addEventListener(
  "keydown",
  event => {
    if (!offering || event.target !== offering.area) {
      return;
    }
    const action = {
      ArrowDown: () => aim(offering.at + 1),
      ArrowUp: () => aim(offering.at - 1),
      Enter: () => take(offering.at),
      Tab: () => take(offering.at),
      Escape: close,
    }[event.key];
    if (action) {
      event.preventDefault();
      event.stopPropagation();
      action();
    }
  },
  true,
);

document.addEventListener("focusout", event => {
  if (offering && event.target === offering.area) {
    close();
  }
});
