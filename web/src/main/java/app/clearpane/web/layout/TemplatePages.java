package app.clearpane.web.layout;

import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.Speech;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** Renders templates where no request is answered: mails, certificates, events. Links in them are written out. */
@Component
class TemplatePages implements Pages {
    private final ITemplateEngine templates;
    private final Speech.Everywhere speech;

    TemplatePages(ITemplateEngine templates, Speech.Everywhere speech) {
        this.templates = templates;
        this.speech = speech;
    }

    @Override
    public String render(String template, Map<String, Object> model) {
        Context context = new Context(Locale.UK, model);
        context.setVariables(speech.byName());
        return templates.process(template, context);
    }
}
