/* Who signs first is put in order by hand. */
import { whenShown } from "../shell/when-shown.js";

function beginSigners() {
  document.querySelectorAll("[data-signers]").forEach(list => {
    const order = list.closest("form").elements.order;
    const settle = () => {
      order.value = [...list.children].map(line => line.dataset.contact).join(",");
      [...list.children].forEach((line, i) => (line.querySelector("[data-earlier]").hidden = i === 0));
    };
    list.addEventListener("click", event => {
      const button = event.target.closest("[data-earlier]");
      if (button) {
        const line = button.closest("li");
        line.previousElementSibling?.before(line);
        settle();
        button.hidden ? line.querySelector("input").focus() : button.focus();
      }
    });
    settle();
  });
}

whenShown(beginSigners);
