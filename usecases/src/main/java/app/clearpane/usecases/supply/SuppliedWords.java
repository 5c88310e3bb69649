package app.clearpane.usecases.supply;

import app.clearpane.core.supply.FileKind;
import app.clearpane.core.supply.Finding;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.Takes;
import app.clearpane.core.supply.Verdict;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.usecases.shell.Words;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Set;
import org.springframework.stereotype.Component;

/** How things are spoken of that were given for requests. Templates call it {@code supplied}. */
@Component
public final class SuppliedWords implements TemplateHelper {
    private static final Set<FileKind> PICTURED =
            Set.of(FileKind.PHOTOGRAPH, FileKind.PDF, FileKind.FILM, FileKind.DRAWING);
    private final Words words;

    SuppliedWords(Words words) {
        this.words = words;
    }

    @Override
    public String name() {
        return "supplied";
    }

    /** What a check said, in one sentence with how to put it right. */
    public static String sentence(Finding finding) {
        return finding.figures() + (finding.remedy().isEmpty() ? "." : ". " + finding.remedy());
    }

    /** Whether there may be a picture of it. */
    public static boolean pictured(Supplied given) {
        return given.isFile() && PICTURED.contains(given.facts().kind());
    }

    /** How its name ends, for what has no picture. */
    public static String ending(Supplied given) {
        int dot = given.name().lastIndexOf('.');
        return dot < 0 || given.name().length() - dot > 6
                ? "file"
                : given.name().substring(dot + 1).toLowerCase(Locale.ROOT);
    }

    /** Who gave it, when, and by which door. */
    public String came(Supplied given) {
        return given.came().by().name() + ", " + words.when(given.came().at())
                + (given.came().door() == Supplied.Door.MAIL ? ", by mail" : "")
                + (given.isFile() ? ", " + words.size(given.facts().bytes()) : "");
    }

    /** What we said of it as we settled it; empty if nothing. */
    public static String whySettled(Supplied given) {
        return given.standing() instanceof Supplied.AskedAgain again
                ? again.why()
                : given.standing() instanceof Supplied.Accepted accepted ? accepted.reason() : "";
    }

    /** Whether it is sealed: only the team may look, and each look is written down. */
    public static boolean sealed(RequestPart part, Supplied given) {
        return part.takes() == Takes.ACCESS && given.verdict() != Verdict.TAKEN_BACK;
    }

    /** Whether it waits for somebody to make something of it. */
    public static boolean waits(Request request, Supplied given) {
        return request.sent().isPresent() && given.standing() instanceof Supplied.Arrived;
    }

    /** The colour of what became of something that was given. */
    public static String tone(Verdict verdict) {
        return switch (verdict) {
            case GOOD -> "sign";
            case ACCEPTED -> "done";
            case WITH_A_WORD, ALL_THE_SAME -> "client";
            case WILL_NOT_DO, ANOTHER_WANTED -> "late";
            case TAKEN_BACK -> "quiet";
        };
    }

    /** What was typed, as it is read: days as days. */
    public String typed(RequestPart part, Supplied given) {
        return given.typed()
                .map(text -> part.takes() == Takes.DAY ? words.day(LocalDate.parse(text)) : text)
                .orElse("");
    }
}
