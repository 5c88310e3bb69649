/* Files that are chosen or dropped go off at once, one after another, and the page is read anew when all are there. */
import { whenShown } from "../shell/when-shown.js";

async function send(form, files, say) {
  for (const [at, file] of files.entries()) {
    say(`Sending “${file.name}”${files.length === 1 ? "" : `, ${at + 1} of ${files.length}`}…`);
    const data = new FormData(form);
    data.set("file", file);
    const answer = await fetch(form.action, { method: "POST", body: data }).catch(() => null);
    if (!answer?.ok) {
      const page = new DOMParser().parseFromString((await answer?.text()) || "", "text/html");
      const why = page.querySelector("main p, .notice p")?.textContent || "The line broke. What was sent before is there.";
      say(`Stopped at “${file.name}”: ${why.trim()}`);
      return false;
    }
  }
  return true;
}

function begin() {
  const form = document.querySelector("[data-add-files]");
  const field = form?.querySelector("input[type=file]");
  const words = form?.querySelector("[data-added]");
  field?.addEventListener("change", async () => {
    const files = [...field.files];
    if (files.length > 0 && (await send(form, files, said => (words.textContent = said)))) {
      location.reload();
    }
  });
}

whenShown(begin);
