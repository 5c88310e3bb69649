/* What every page shares, one feature a module. Everything works without. */
import "../markup/waiting-notes.js";
import "./at-once.js";
import "./copy.js";
import "./keep-focus.js";
import "./kept-words.js";
import "./key-list.js";
import "./notices.js";
import "./panels.js";
import "./upload-progress.js";
