/* A question is moved among the others by keys: Alt with an arrow takes the block in which one types past its neighbour. */
import { whenShown } from "../shell/when-shown.js";

function blocks(text) {
  const found = [];
  for (const match of text.matchAll(/(?:[^\n]*\S[^\n]*(?:\n|$))+/g)) {
    found.push({ text: match[0].trimEnd(), from: match.index, to: match.index + match[0].length });
  }
  return found;
}

/* The text with the block at a place moved, and where the caret is then. Null if it cannot move. */
export function moved(text, caret, step) {
  const all = blocks(text);
  const at = all.findIndex(block => caret >= block.from && caret <= block.to);
  const other = at + step;
  if (at < 0 || other < 0 || other >= all.length) {
    return null;
  }
  const within = caret - all[at].from;
  [all[at], all[other]] = [all[other], all[at]];
  const before = all.slice(0, other).map(block => `${block.text}\n\n`).join("");
  return { text: `${all.map(block => block.text).join("\n\n")}\n`, caret: before.length + within };
}

function begin() {
  const area = document.querySelector("[data-question-lines]");
  area?.addEventListener("keydown", event => {
    const step = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    const now = event.altKey && step ? moved(area.value, area.selectionStart, step) : null;
    if (now) {
      event.preventDefault();
      area.value = now.text;
      area.setSelectionRange(now.caret, now.caret);
      area.dispatchEvent(new Event("input", { bubbles: true }));
    }
  });
}

whenShown(begin);
