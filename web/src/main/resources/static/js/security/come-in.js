/* Whoever came by a link comes in without pressing the button. */
import { whenShown } from "../shell/when-shown.js";

whenShown(() => document.querySelector("form[data-come-in]")?.requestSubmit());
