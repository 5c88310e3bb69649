package app.clearpane.web.layout;

import app.clearpane.usecases.shell.Speech;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page the words that templates use. */
@ControllerAdvice
class SpeechInPages {
    private final Speech.Everywhere speech;

    SpeechInPages(Speech.Everywhere speech) {
        this.speech = speech;
    }

    @ModelAttribute
    void speech(Model model) {
        model.addAllAttributes(speech.byName());
    }
}
