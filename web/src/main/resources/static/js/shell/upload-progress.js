/* How far an upload is. */

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
