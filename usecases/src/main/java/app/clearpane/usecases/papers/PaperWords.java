package app.clearpane.usecases.papers;

import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.signoff.DrawnSignature;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.usecases.shell.Words;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What papers are called on screens and in mails. Templates call it {@code papers}. */
@Component
public final class PaperWords implements TemplateHelper {
    private final Words words;

    PaperWords(Words words) {
        this.words = words;
    }

    @Override
    public String name() {
        return "papers";
    }

    /** Whether work can wait for it: it asks for something that is not done. */
    public boolean mayHold(Paper paper) {
        PaperState state = paper.state(words.today());
        return paper.kind().asks() && (state.waits() || state == PaperState.DRAFT || state == PaperState.DECLINED);
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

    /** What a recipient did with it, and when; empty while it is a draft. */
    public String answer(Paper paper, Paper.Recipient recipient) {
        if (recipient.answer() instanceof Paper.Named named) {
            return (paper.kind() == PaperKind.CONTRACT ? "signed " : "agreed ") + words.when(named.at()) + ", as "
                    + named.typedName();
        }
        if (recipient.answer() instanceof Paper.Declined declined) {
            return "declined " + words.when(declined.at()) + ": “" + declined.why() + "”";
        }
        return recipient
                .seenAt()
                .map(seen -> "opened " + words.when(seen))
                .orElse(paper.sentAt().isPresent() ? "not opened yet" : "");
    }

    /** The signature that somebody drew beside their name. */
    public Optional<DrawnSignature> signature(Paper.Recipient recipient) {
        return recipient.named().flatMap(Paper.Named::drawn);
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
