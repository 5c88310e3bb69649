package app.clearpane.usecases.papers;

import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.papers.PaperState;
import app.clearpane.usecases.shell.TemplateHelper;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** What papers are called on screens and in mails. Templates call it {@code papers}. */
@Component
public final class PaperWords implements TemplateHelper {
    @Override
    public String name() {
        return "papers";
    }

    /** "proposal", "contract", "dates", "invoice" or "paper". */
    public static String kind(PaperKind kind) {
        return kind == PaperKind.OTHER ? "paper" : kind.name().toLowerCase(Locale.ROOT);
    }

    /** The same of a paper; a further document by its own kind, if it has one. */
    public static String kind(Paper paper) {
        return paper.further().called().isEmpty()
                ? kind(paper.kind())
                : paper.further().called();
    }

    /** How it stands. */
    public static String state(PaperState state) {
        return state.name().toLowerCase(Locale.ROOT);
    }

    /** The colour of how it stands. */
    public static String tone(PaperState state) {
        return switch (state) {
            case DRAFT, WITHDRAWN -> "quiet";
            case OPEN, VIEWED -> "client";
            case OVERDUE, DECLINED -> "late";
            case AGREED, SIGNED -> "sign";
            case PAID -> "done";
        };
    }
}
