package app.clearpane.core.record.event;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.Happening;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a Record tells of the plan. */
public final class PlanActs {
    private PlanActs() {}

    /** In words: somebody brought back … */
    public record DeletedBroughtBack(Actor actor, String subject) implements Happening {}

    /** Somebody wrote what the project is for, or how it stands. @param shown whether clients read it */
    public record ProjectSays(Act act, Actor actor, String subject, String words, boolean shown) implements Happening {}

    /** Somebody settled a concern, or let it stand again. */
    public record ConcernTurned(Act act, Actor actor, String subject) implements Happening {}

    /** In words: somebody deleted the concern … */
    public record ConcernDeleted(Actor actor, String subject) implements Happening {}

    /** In words: somebody added the task … */
    public record TaskAdded(Actor actor, String subject, int days, Side side) implements Happening {}

    /** In words: the house moved with what it is due before the day of … @param before what it is due before */
    public record TaskDueMoved(Actor actor, String subject, Optional<LocalDate> was, LocalDate day, String before)
            implements Happening {}

    /** In words: somebody had wait for a paper the task … */
    public record TaskWaitsForPaper(Actor actor, String subject, String paper) implements Happening {}

    /** In words: somebody deleted the task … */
    public record TaskDeleted(Actor actor, String subject) implements Happening {}

    /** In words: somebody brought back the task … */
    public record TaskRestored(Actor actor, String subject) implements Happening {}

    /** In words: somebody brought back to us the task … */
    public record TaskBroughtBack(Actor actor, String subject, String from, String because) implements Happening {}

    /** Somebody moved a task to another stage. */
    public record TaskMoved(Act act, Actor actor, String subject, Stage was) implements Happening {}

    /** In words: somebody moved to another step the task … */
    public record TaskStepped(Actor actor, String subject, String was, String is) implements Happening {}

    /** In words: somebody put a file beside the task … */
    public record TaskFileAdded(Actor actor, String subject, String file, Sha256 sha256, long size)
            implements Happening {}

    /** In words: somebody brought tasks along in … */
    public record TasksBrought(Actor actor, String subject, int added, int leftOut) implements Happening {}

    /** In words: somebody named the steps of work in … */
    public record StepsNamed(Actor actor, String subject, List<String> steps) implements Happening {}

    /** In words: somebody said something of the task … */
    public record TaskSaid(Actor actor, String subject, String said) implements Happening {}

    /** In words: somebody agreed on the dates of … */
    public record DatesAgreed(
            Actor actor, String subject, LocalDate agreedOn, LocalDate forecast, boolean withTheClient)
            implements Happening {}

    /** In words: somebody paused the project … */
    public record ProjectPaused(Actor actor, String subject, String reason) implements Happening {}

    /** In words: somebody let go on the project … */
    public record ProjectGoesOn(Actor actor, String subject) implements Happening {}

    /** In words: somebody opened the project … */
    public record ProjectOpened(
            Actor actor,
            String subject,
            LocalDate startsOn,
            LocalDate agreedOn,
            String currency,
            BigDecimal taxPercent,
            String like)
            implements Happening {}

    /** In words: somebody changed the phase … */
    public record PhaseChanged(
            Actor actor, String subject, LocalDate startsOn, LocalDate endsOn, String stage, String words)
            implements Happening {}

    /** In words: somebody added the milestone … */
    public record MilestoneAdded(Actor actor, String subject, LocalDate fallsOn) implements Happening {}

    /** In words: somebody deleted the milestone … */
    public record MilestoneDeleted(Actor actor, String subject) implements Happening {}

    /** In words: somebody added the phase … */
    public record PhaseAdded(Actor actor, String subject, LocalDate startsOn, LocalDate endsOn) implements Happening {}

    /** In words: somebody put earlier the phase … @param before the phase that follows it now */
    public record PhasePutEarlier(Actor actor, String subject, String before) implements Happening {}

    /** In words: somebody deleted the phase … */
    public record PhaseDeleted(Actor actor, String subject) implements Happening {}

    /**
     * In words: somebody changed the project … @param name what it is called now @param before what it was called,
     * where that changed @param client whom it is for now, where that changed
     */
    public record ProjectChanged(
            Actor actor,
            String subject,
            String name,
            Optional<String> before,
            String currency,
            BigDecimal taxPercent,
            String cover,
            String manager,
            Optional<String> client)
            implements Happening {}

    /** In words: somebody changed the milestone … */
    public record MilestoneChanged(Actor actor, String subject, LocalDate fallsOn, boolean reached)
            implements Happening {}

    /**
     * In words: somebody archived the project … @param ended how it ended @param because what was said of that @param
     * open what was not done
     */
    public record ProjectArchived(Actor actor, String subject, String ended, String because, List<String> open)
            implements Happening {}

    /** In words: somebody took up again the project … */
    public record ProjectRestored(Actor actor, String subject) implements Happening {}

    /** In words: somebody noted a concern, or changed it … */
    public record ConcernSaid(
            Act act,
            Actor actor,
            String subject,
            boolean issue,
            int likelihood,
            int effect,
            String about,
            String measure,
            String owner)
            implements Happening {}

    /** In words: somebody made days free at … */
    public record FreeDaysSet(Actor actor, String subject, int days, LocalDate from, LocalDate until)
            implements Happening {}

    /** In words: somebody lets work again on a free day … */
    public record FreeDayDropped(Actor actor, String subject, LocalDate day) implements Happening {}

    /** In words: somebody changed the task … */
    public record TaskChanged(Actor actor, String subject, Map<String, Object> changes) implements Happening {
        @Override
        public Map<String, Object> payload() {
            return changes;
        }
    }
}
