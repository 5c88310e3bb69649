/* Files that are chosen or dropped go off at once, one after another, and the page is read anew when all are there. */
import { whenShown } from "../shell/when-shown.js";

/* @param ways the folders each lay in, and its name; "hill.pdf" alone lies in none */
async function send(form, files, ways, say) {
  for (const [at, file] of files.entries()) {
    say(`Sending “${file.name}”${files.length === 1 ? "" : `, ${at + 1} of ${files.length}`}…`);
    const data = new FormData(form);
    data.set("file", file);
    data.set("way", ways[at]?.includes("/") ? ways[at] : "");
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
  const words = form?.querySelector("[data-added]");
  form?.querySelectorAll("input[type=file]").forEach(field =>
    field.addEventListener("change", async event => {
      const files = [...field.files];
      const ways = event.detail?.ways?.length ? event.detail.ways : files.map(file => file.webkitRelativePath);
      if (files.length > 0 && (await send(form, files, ways, said => (words.textContent = said)))) {
        location.reload();
      }
    })
  );
}

whenShown(begin);
