/* Files that are chosen go off at once, in parts: after a broken line they go on by themselves, after the browser was closed
   once they are chosen again. When all are there they are given together. */
import tus from "/vendor/tus.min.js";

const AT_A_TIME = 3;
const PART = 8 * 1024 * 1024;
const PAUSES = [0, 1000, 3000, 5000, 10_000, 20_000, 30_000, 60_000];
const SHOWN_ALONE = 12;
const DAMAGED = 460;

function token() {
  return JSON.parse(document.body.getAttribute("hx-headers") || "{}");
}

function inWords(bytes) {
  return bytes >= 1e9 ? `${(bytes / 1e9).toFixed(1)} GB` : bytes >= 1e6 ? `${Math.round(bytes / 1e6)} MB` : `${Math.ceil(bytes / 1e3)} KB`;
}

function left(sent, total, since) {
  const seconds = ((total - sent) * (Date.now() - since)) / 1000 / Math.max(1, sent);
  return seconds < 60 ? "less than a minute left" : `about ${Math.ceil(seconds / 60)} min left`;
}

/* A row that says how far one file is. */
function row(form, name) {
  const made = document.createElement("div");
  made.className = "on-its-way-one";
  const called = document.createElement("b");
  called.textContent = name;
  const said = document.createElement("span");
  const bar = document.createElement("progress");
  bar.max = 1;
  bar.value = 0;
  bar.setAttribute("aria-label", `How far ${name} is`);
  const pause = document.createElement("button");
  pause.type = "button";
  pause.className = "button is-small is-plain";
  pause.textContent = "Pause";
  made.append(called, said, bar, pause);
  form.querySelector(".on-its-way").append(made);
  return { made, said, bar, pause };
}

/* Each part says what its bytes come to, so that one that was damaged on its way is sent again. Browsers reckon it only where
   nobody can listen in. */
class Checked extends tus.DefaultHttpStack {
  createRequest(method, url) {
    const request = super.createRequest(method, url);
    if (method !== "PATCH" || !crypto.subtle) {
      return request;
    }
    const send = request.send.bind(request);
    const abort = request.abort.bind(request);
    let gone = false;
    request.abort = () => {
      gone = true;
      return abort();
    };
    request.send = async part => {
      const sum = new Uint8Array(await crypto.subtle.digest("SHA-1", await part.arrayBuffer()));
      if (gone) {
        return new Promise(() => {});
      }
      request.setHeader("Upload-Checksum", `sha1 ${btoa(String.fromCharCode(...sum))}`);
      return send(part);
    };
    return request;
  }
}

/* Sends one file. Resolves to its address once it is whole. */
function send(form, file, shown) {
  return new Promise((whole, fail) => {
    let began = Date.now();
    let first = null;
    let paused = false;
    const upload = new tus.Upload(file, {
      endpoint: form.dataset.uploads,
      httpStack: new Checked({}),
      chunkSize: PART,
      retryDelays: PAUSES,
      removeFingerprintOnSuccess: true,
      headers: token(),
      metadata: { filename: file.name, filetype: file.type },
      fingerprint: async one => [form.action, one.name, one.size, one.lastModified].join(" "),
      onProgress: (sent, total) => {
        first ??= sent;
        shown.bar.value = sent / total;
        shown.said.textContent = paused
          ? `Paused at ${inWords(sent)} of ${inWords(total)}.`
          : `${inWords(sent)} of ${inWords(total)}, ${left(sent - first, total - first, began)}.`;
      },
      onShouldRetry: error => {
        const status = error.originalResponse ? error.originalResponse.getStatus() : 0;
        shown.said.textContent = "Waits for the network; goes on by itself.";
        return status === 0 || status >= 500 || [409, 423, DAMAGED].includes(status);
      },
      onSuccess: () => whole(new URL(upload.url, location.href).pathname),
      onError: error => {
        const status = error.originalResponse ? error.originalResponse.getStatus() : 0;
        if (status === 0 || status >= 500) {
          shown.said.textContent = "Waits for the network; goes on by itself.";
          addEventListener("online", () => upload.start(), { once: true });
        } else {
          fail(error);
        }
      },
    });
    shown.pause.addEventListener("click", () => {
      paused = !paused;
      shown.pause.textContent = paused ? "Go on" : "Pause";
      if (paused) {
        upload.abort();
        shown.said.textContent = "Paused.";
      } else {
        began = Date.now();
        first = null;
        upload.start();
      }
    });
    upload.findPreviousUploads().then(before => {
      if (before.length > 0) {
        upload.resumeFromPreviousUpload(before[0]);
      }
      upload.start();
    });
  });
}

/* What was refused is said where it was chosen. */
async function sentence(error) {
  const body = error.originalResponse?.getBody() || "";
  const said = new DOMParser().parseFromString(body, "text/html").querySelector("[role=alert], .notice, main");
  return said?.textContent.trim().replace(/\s+/g, " ").slice(0, 300) || "It could not be sent. Choose it again.";
}

async function give(form, files) {
  const waiting = files.map((file, at) => ({ file, at }));
  const addresses = new Array(files.length);
  const shared = files.length > SHOWN_ALONE ? row(form, `${files.length} files`) : null;
  let done = 0;
  let failed = 0;
  const one = async ({ file, at }) => {
    const quiet = { said: {}, bar: {}, pause: document.createElement("button") };
    const shown = shared ? quiet : row(form, file.name);
    try {
      addresses[at] = await send(form, file, shown);
      shown.made?.remove();
    } catch (error) {
      failed++;
      const place = shared || shown;
      place.said.textContent = `${file.name}: ${await sentence(error)}`;
      place.pause.remove();
    }
    done++;
    if (shared) {
      shared.bar.value = done / files.length;
      shared.said.textContent = `${done} of ${files.length} are here.`;
    }
  };
  const sender = async () => {
    while (waiting.length > 0) {
      await one(waiting.shift());
    }
  };
  await Promise.all(Array.from({ length: AT_A_TIME }, sender));
  const here = addresses.filter(Boolean);
  if (here.length > 0 && form.isConnected) {
    const field = document.createElement("input");
    field.type = "hidden";
    field.name = "uploaded";
    field.value = here.join(" ");
    form.append(field);
    form.querySelector("input[type=file]").disabled = true;
    form.requestSubmit();
  }
  return failed;
}

document.addEventListener("change", event => {
  const form = event.target.form;
  if (event.target.type === "file" && form?.matches("[data-give]") && event.target.files.length > 0) {
    const files = [...event.target.files];
    event.target.value = "";
    give(form, files);
  }
});
