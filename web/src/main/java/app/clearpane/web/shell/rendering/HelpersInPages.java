package app.clearpane.web.shell.rendering;

import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.usecases.shell.Words;
import app.clearpane.usecases.you.ReadersWords;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page the words that templates use; a contact reads dates and times as they wish. */
@ControllerAdvice
class HelpersInPages {
    private final TemplateHelper.Everywhere speech;
    private final Words usual;
    private final ReadersWords readers;

    HelpersInPages(TemplateHelper.Everywhere speech, Words usual, ReadersWords readers) {
        this.speech = speech;
        this.usual = usual;
        this.readers = readers;
    }

    @ModelAttribute
    void speech(Model model, @AuthenticationPrincipal @Nullable Person person) {
        model.addAllAttributes(speech.byName());
        if (person instanceof Person.OfClient contact) {
            model.addAttribute(usual.name(), readers.wordsFor(contact.contactId()));
        }
    }
}
