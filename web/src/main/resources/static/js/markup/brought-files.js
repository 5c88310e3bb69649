/* Files that go with a note: chosen, pasted or dropped. Everything works without. */


function within(element) {
  const form = element?.closest?.("form");
  return form?.querySelector("[data-brings]") ? form : null;
}

function bring(form, files) {
  const input = form.querySelector("[data-brings] input[type='file']");
  const all = new DataTransfer();
  [...input.files, ...files].forEach(file => all.items.add(file));
  input.files = all.files;
  show(form);
}

function leave(form, index) {
  const input = form.querySelector("[data-brings] input[type='file']");
  const all = new DataTransfer();
  [...input.files].forEach((file, i) => {
    if (i !== index) {
      all.items.add(file);
    }
  });
  input.files = all.files;
  show(form);
}

/** Lists what goes along, pictures as pictures. */
function show(form) {
  const input = form.querySelector("[data-brings] input[type='file']");
  form.querySelector("[data-chosen]").replaceChildren(
    ...[...input.files].map((file, index) => {
      const line = document.createElement("li");
      const away = document.createElement("button");
      away.type = "button";
      away.textContent = "leave out";
      away.setAttribute("aria-label", `Leave out ${file.name}`);
      away.addEventListener("click", () => leave(form, index));
      if (/^image\/(png|jpeg|gif|webp)$/.test(file.type)) {
        const picture = new Image();
        picture.alt = file.name;
        const reader = new FileReader();
        reader.addEventListener("load", () => {
          picture.src = reader.result;
        });
        reader.readAsDataURL(file);
        line.append(picture);
      }
      line.append(file.name, " ", away);
      return line;
    }),
  );
}

/** A picture from the clipboard has no name of its own. */
function named(file, count) {
  return file.name && file.name !== "image.png"
    ? file
    : new File([file], `picture-${count + 1}.${(file.type.split("/")[1] || "png").replace("jpeg", "jpg")}`, {
        type: file.type,
      });
}

document.addEventListener("change", event => {
  if (event.target.matches?.("[data-brings] input[type='file']")) {
    show(event.target.form);
  }
});

document.addEventListener("paste", event => {
  const form = within(event.target);
  const files = [...(event.clipboardData?.files || [])];
  if (form && files.length) {
    event.preventDefault();
    const before = form.querySelector("[data-brings] input[type='file']").files.length;
    bring(
      form,
      files.map((file, i) => named(file, before + i)),
    );
  }
});

["dragover", "dragleave", "drop"].forEach(kind =>
  document.addEventListener(kind, event => {
    const form = within(event.target);
    if (!form || ![...(event.dataTransfer?.types || [])].includes("Files")) {
      return;
    }
    event.preventDefault();
    form.closest(".note")?.classList.toggle("dropping", kind === "dragover");
    if (kind === "drop") {
      bring(form, [...event.dataTransfer.files]);
    }
  }),
);

document.addEventListener("reset", event => {
  const form = within(event.target);
  if (form) {
    setTimeout(() => show(form));
  }
});
