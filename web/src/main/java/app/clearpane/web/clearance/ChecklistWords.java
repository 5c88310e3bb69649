package app.clearpane.web.clearance;

import app.clearpane.core.clearance.Condition;
import app.clearpane.store.clearance.Checklists;
import app.clearpane.usecases.shell.TemplateHelper;
import java.util.Collection;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Conditions and checklists in words. Templates call it {@code checked}. */
@Component
public class ChecklistWords implements TemplateHelper {
    @Override
    public String name() {
        return "checked";
    }

    /** What a condition asks for, on a paper. */
    public String condition(Condition condition) {
        return switch (condition) {
            case SIGNED -> "signed on this version";
            case NO_CHANGE_LEFT -> "no change left open";
            case NO_CLASH_OPEN -> "no clash without a ruling";
            case ROUNDS_AGREED -> "rounds as agreed";
            case CHECKLIST_DONE -> "checklist ticked";
            case SAME_BYTES -> "the stored bytes hash to the SHA-256 above";
        };
    }

    /** The lines of a checklist. */
    public String lines(Collection<Checklists.Line> lines) {
        return inOneLine(lines);
    }

    public static String inOneLine(Collection<Checklists.Line> lines) {
        return lines.stream().map(Checklists.Line::words).collect(Collectors.joining("; "));
    }
}
