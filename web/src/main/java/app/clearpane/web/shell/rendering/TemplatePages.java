package app.clearpane.web.shell.rendering;

import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.TemplateHelper;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** Renders templates where no request is answered: mails, certificates, events. Links in them are written out. */
@Component
class TemplatePages implements Pages {
    private final ITemplateEngine templates;
    private final TemplateHelper.Everywhere speech;

    TemplatePages(ITemplateEngine templates, TemplateHelper.Everywhere speech) {
        this.templates = templates;
        this.speech = speech;
    }

    @Override
    public String render(String template, Map<String, Object> model) {
        Context context = new Context(Locale.UK, speech.byName());
        context.setVariables(model);
        return templates.process(template, context);
    }
}
