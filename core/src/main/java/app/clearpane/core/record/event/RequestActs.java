package app.clearpane.core.record.event;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Happening;
import java.util.List;

/** What a Record tells of requests. */
public final class RequestActs {
    private RequestActs() {}

    /** In words: somebody drafted the request … */
    public record RequestDrafted(Actor actor, String subject, List<String> parts, List<String> asked)
            implements Happening {}

    /** In words: somebody said when to send the request … @param when in words; empty for whenever somebody sends it */
    public record RequestTimed(Actor actor, String subject, String when) implements Happening {}

    /** In words: somebody said of whom to ask the request … */
    public record RequestAddressed(Actor actor, String subject, List<String> asked) implements Happening {}

    /** In words: somebody sent the request … */
    public record RequestSent(Actor actor, String subject, List<String> to, String due) implements Happening {}

    /** In words: somebody withdrew the request … */
    public record RequestWithdrawn(Actor actor, String subject, String reason) implements Happening {}

    /**
     * In words: somebody supplied for the request … @param names what was given at one time for one part @param failed
     * what checks failed, with their figures
     */
    public record RequestSupplied(
            Actor actor,
            String subject,
            String part,
            List<String> names,
            List<Sha256> sha256,
            String door,
            List<String> failed)
            implements Happening {}

    /** In words: somebody took back what was supplied for the request … */
    public record RequestTakenBack(Actor actor, String subject, String part, String name) implements Happening {}

    /** In words: somebody sent all the same, for the request … */
    public record RequestAllTheSame(Actor actor, String subject, String part, String name, String reason)
            implements Happening {}

    /** In words: somebody accepted what was supplied for the request … */
    public record RequestAccepted(Actor actor, String subject, String part, String name, Sha256 sha256, String reason)
            implements Happening {}

    /** In words: somebody asked again for the request … */
    public record RequestAskedAgain(Actor actor, String subject, String part, String name, String why)
            implements Happening {}

    /** In words: somebody passed on the request … */
    public record RequestPassedOn(Actor actor, String subject, String to) implements Happening {}

    /** In words: somebody sent what is still owed, for … @param subject the project */
    public record RequestOwedSent(Actor actor, String subject, List<String> to, List<String> requests)
            implements Happening {}

    /** In words: somebody looked at the access details of the request … */
    public record RequestUnsealed(Actor actor, String subject, String part) implements Happening {}

    /** In words: somebody changed the questionnaire of … @param change what came and went */
    public record QuestionnaireChanged(Actor actor, String subject, String part, String change) implements Happening {}

    /** In words: somebody chose between answers to … @param of whose answer counts */
    public record AnswerChosen(Actor actor, String subject, String question, String of) implements Happening {}
}
