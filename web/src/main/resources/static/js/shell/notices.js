/* What went wrong is said above the page. */

document.addEventListener("htmx:beforeRequest", () => {
  const notice = document.getElementById("notice");
  if (notice) {
    notice.replaceChildren();
  }
});

document.addEventListener("htmx:afterSwap", event => {
  if (event.detail.target.id === "notice") {
    event.detail.target.scrollIntoView({ block: "nearest" });
  }
});

document.addEventListener("htmx:sendError", () =>
  say("The house could not be reached. Nothing you typed is lost; try again in a moment."),
);
document.addEventListener("htmx:responseError", event => {
  if (event.detail.xhr.status === 404) {
    say("This is no longer shown to you, so nothing was saved. What you typed is still here for you to copy.");
  } else if (event.detail.xhr.status >= 500) {
    say(
      "Something went wrong here. It is our fault and was noted; what you typed is still here. Try again in a moment.",
    );
  }
});

function say(sentence) {
  const box = document.createElement("div");
  const text = document.createElement("p");
  box.className = "notice";
  text.textContent = sentence;
  box.append(text);
  document.getElementById("notice")?.replaceChildren(box);
}
