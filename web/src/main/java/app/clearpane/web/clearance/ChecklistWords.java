package app.clearpane.web.clearance;

import app.clearpane.store.clearance.Checklists;
import app.clearpane.usecases.shell.TemplateHelper;
import java.util.Collection;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Checklists in words. Templates call it {@code checked}. */
@Component
public class ChecklistWords implements TemplateHelper {
    @Override
    public String name() {
        return "checked";
    }

    /** The lines of a checklist. */
    public String lines(Collection<Checklists.Line> lines) {
        return inOneLine(lines);
    }

    public static String inOneLine(Collection<Checklists.Line> lines) {
        return lines.stream().map(Checklists.Line::words).collect(Collectors.joining("; "));
    }
}
