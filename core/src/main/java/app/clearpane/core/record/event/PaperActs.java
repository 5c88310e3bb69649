package app.clearpane.core.record.event;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.Happening;
import java.util.List;
import java.util.Optional;

/** What a Record tells of papers. */
public final class PaperActs {
    private PaperActs() {}

    /** In words: somebody added the paper … */
    public record PaperAdded(
            Actor actor, String subject, String number, PaperKind kind, Sha256 sha256, List<String> recipients)
            implements Happening {}

    /** In words: somebody sent the paper … */
    public record PaperSent(Actor actor, String subject, String number, List<String> to, Sha256 sha256, String amount)
            implements Happening {}

    /** In words: somebody noted as paid the paper … */
    public record PaperPaid(Actor actor, String subject, String number, String on) implements Happening {}

    /** In words: somebody withdrew the paper … */
    public record PaperWithdrawn(Actor actor, String subject, String number, String reason) implements Happening {}

    /** In words: somebody looked at the paper … */
    public record PaperViewed(Actor actor, String subject, String number) implements Happening {}

    /** In words: somebody declined the paper … */
    public record PaperDeclined(Actor actor, String subject, String number, Sha256 sha256, String words)
            implements Happening {}

    /** In words: somebody put their name to the paper … */
    public record PaperNamed(
            Act act,
            Actor actor,
            String subject,
            String number,
            Sha256 sha256,
            String typedName,
            PaperState state,
            Optional<Sha256> drawnSignature)
            implements Happening {}
}
