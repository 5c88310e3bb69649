package app.clearpane.web.shell.rendering;

import app.clearpane.usecases.shell.TemplateHelper;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page the words that templates use. */
@ControllerAdvice
class HelpersInPages {
    private final TemplateHelper.Everywhere speech;

    HelpersInPages(TemplateHelper.Everywhere speech) {
        this.speech = speech;
    }

    @ModelAttribute
    void speech(Model model) {
        model.addAllAttributes(speech.byName());
    }
}
