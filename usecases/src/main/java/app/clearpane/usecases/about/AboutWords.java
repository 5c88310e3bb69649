package app.clearpane.usecases.about;

import app.clearpane.core.project.AboutPart;
import app.clearpane.usecases.shell.TemplateHelper;
import org.springframework.stereotype.Component;

/** What the parts of a project's words are called. Templates call it {@code about}. */
@Component
public final class AboutWords implements TemplateHelper {
    @Override
    public String name() {
        return "about";
    }

    /** Above a part. */
    public static String title(AboutPart part) {
        return switch (part) {
            case PURPOSE -> "What it is for";
            case INCLUDED -> "What is in it";
            case EXCLUDED -> "What is not";
            case MEASURE -> "How we will know that it worked";
        };
    }
}
