/* A file is checked by its digest, without being sent. */
import { whenShown } from "../shell/when-shown.js";

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

whenShown(beginCheck);
