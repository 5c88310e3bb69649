package app.clearpane.web.concern;

import app.clearpane.core.project.Gravity;
import app.clearpane.usecases.shell.TemplateHelper;
import org.springframework.stereotype.Component;

/** Concerns in words. Templates call it {@code concernWords}. */
@Component
public final class ConcernWords implements TemplateHelper {
    @Override
    public String name() {
        return "concernWords";
    }

    /** "grave". */
    public String gravity(Gravity gravity) {
        return switch (gravity) {
            case SLIGHT -> "slight";
            case FELT -> "felt";
            case GRAVE -> "grave";
        };
    }

    /** The tone of a chip that says it. */
    public String tone(Gravity gravity) {
        return switch (gravity) {
            case SLIGHT -> "quiet";
            case FELT -> "client";
            case GRAVE -> "late";
        };
    }

    /** "hardly likely". @param level from 1 to 3 */
    public String likelihood(int level) {
        return level == Gravity.LEAST ? "hardly likely" : level == Gravity.MOST ? "likely" : "possible";
    }

    /** "would be felt". @param level from 1 to 3 */
    public String effect(int level) {
        return level == Gravity.LEAST
                ? "a small matter"
                : level == Gravity.MOST ? "would change the project" : "would be felt";
    }
}
