/* Files and folders are carried onto a folder. Whoever has ticked some carries all of them. */
const KIND = "application/x-clear-pane";
const targets = "[data-folder]";

function token() {
  return JSON.parse(document.body.getAttribute("hx-headers") || "{}")["X-CSRF-TOKEN"];
}

function send(action, fields) {
  const form = document.createElement("form");
  form.method = "post";
  form.action = action;
  for (const [name, value] of [["_csrf", token()], ...fields]) {
    const field = document.createElement("input");
    field.type = "hidden";
    field.name = name;
    field.value = value;
    form.append(field);
  }
  document.body.append(form);
  form.submit();
}

function carried(of) {
  if (of.dataset.folder) {
    return { folder: of.dataset.folder };
  }
  const ticked = [...document.querySelectorAll("input[name=file][form=move-files]:checked")].map(box => box.value);
  return { files: ticked.includes(of.dataset.file) ? ticked : [of.dataset.file] };
}

function target(event) {
  return event.dataTransfer?.types.includes(KIND) ? event.target.closest?.(targets) : null;
}

document.addEventListener("dragstart", event => {
  const of = event.target.closest?.("[data-file], [data-folder]");
  if (of && of.dataset.folder !== "") {
    event.dataTransfer.setData(KIND, JSON.stringify(carried(of)));
    event.dataTransfer.effectAllowed = "move";
  }
});
document.addEventListener("dragover", event => {
  const onto = target(event);
  if (onto) {
    event.preventDefault();
    onto.classList.add("over");
  }
});
document.addEventListener("dragleave", event => event.target.closest?.(targets)?.classList.remove("over"));
document.addEventListener("drop", event => {
  const onto = target(event);
  if (!onto) {
    return;
  }
  event.preventDefault();
  onto.classList.remove("over");
  const { folder, files } = JSON.parse(event.dataTransfer.getData(KIND));
  const into = onto.dataset.folder;
  if (files) {
    const here = document.querySelector("nav.folders [aria-current=page]")?.dataset.folder || "";
    const room = document.getElementById("move-files");
    send(room.getAttribute("action"), [["folder", into], ["in", here], ...files.map(file => ["file", file])]);
  } else if (folder !== into) {
    send(`/t/folders/${folder}/move`, [["into", into]]);
  }
});
