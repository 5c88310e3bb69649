/* Files that are dropped on what is wanted, or pasted, are taken as if they had been chosen there. What is dragged about
   within the page comes from nowhere else. */
const places = "[data-drop]";

function take(place, files, ways = []) {
  const field = place?.querySelector("input[type=file]");
  if (!field || files.length === 0) {
    return;
  }
  const taken = new DataTransfer();
  [...files].forEach(file => taken.items.add(file));
  field.files = taken.files;
  field.dispatchEvent(new CustomEvent("change", { bubbles: true, detail: { ways } }));
}

function isFromElsewhere(event) {
  const types = [...(event.dataTransfer?.types || [])];
  return types.includes("Files") && !types.includes("application/x-clear-pane");
}

function over(event) {
  const place = event.target.closest?.(places);
  if (place && isFromElsewhere(event)) {
    event.preventDefault();
    place.classList.add("over");
  }
}

/* A folder gives its files, and those in its folders, each with the way to it. */
async function within(entry) {
  if (entry.isFile) {
    return [{ file: await new Promise((done, fail) => entry.file(done, fail)), way: entry.fullPath.replace(/^\//, "") }];
  }
  const reader = entry.createReader();
  const found = [];
  for (;;) {
    const some = await new Promise((done, fail) => reader.readEntries(done, fail));
    if (some.length === 0) {
      return (await Promise.all(found.map(within))).flat();
    }
    found.push(...some);
  }
}

document.addEventListener("dragover", over);
document.addEventListener("dragleave", event => event.target.closest?.(places)?.classList.remove("over"));
document.addEventListener("drop", async event => {
  const place = event.target.closest?.(places);
  if (!place || !isFromElsewhere(event)) {
    return;
  }
  event.preventDefault();
  place.classList.remove("over");
  const entries = [...event.dataTransfer.items].map(item => item.webkitGetAsEntry?.()).filter(Boolean);
  const dropped = [...event.dataTransfer.files];
  const found = (await Promise.all(entries.map(within))).flat();
  take(place, found.length > 0 ? found.map(one => one.file) : dropped, found.map(one => one.way));
});
document.addEventListener("paste", event => {
  const files = event.clipboardData?.files || [];
  if (files.length > 0 && !event.target.closest?.("textarea, input")) {
    event.preventDefault();
    const wanting = [...document.querySelectorAll(places)].find(place => place.querySelector("input[type=file]"));
    take(wanting, files);
  }
});
