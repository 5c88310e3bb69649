package app.clearpane.usecases.supply;

import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Phase;
import app.clearpane.core.supply.Check;
import app.clearpane.core.supply.FileKind;
import app.clearpane.core.supply.Leaving;
import app.clearpane.core.supply.PartLine;
import app.clearpane.core.supply.PartState;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.RequestState;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.Takes;
import app.clearpane.core.supply.Term;
import app.clearpane.core.supply.Verdict;
import app.clearpane.core.turns.Turn;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** How requests are spoken of on screens and in mails. Templates call it {@code requests}. */
@Component
public final class RequestWords implements TemplateHelper {
    private static final int MOST_GAPS = 12;
    private final Words words;
    private final TheAgency agency;
    private final Clock clock;

    RequestWords(Words words, TheAgency agency, Clock clock) {
        this.words = words;
        this.agency = agency;
        this.clock = clock;
    }

    @Override
    public String name() {
        return "requests";
    }

    /** What is wanted, as one line: “Photographs of the dome: 3, a photograph, at least 200 dpi at A2”. */
    public static String line(RequestPart part) {
        String asked = asked(part);
        return part.name() + (asked.isEmpty() ? "" : ": " + asked);
    }

    /** What is asked of a part, without its name; empty if nothing is. */
    public static String asked(RequestPart part) {
        String each = String.join(", ", part.asked());
        return part.wanted() == 1
                ? each
                : each.isEmpty() ? part.wanted() + " of them" : part.wanted() + ", each " + each;
    }

    /** How a part stands, in a word or two. */
    public String state(PartState state) {
        if (state instanceof PartState.NothingYet nothing) {
            return nothing.wanted() == 1 ? "nothing yet" : "nothing yet of " + nothing.wanted();
        }
        if (state instanceof PartState.Some some) {
            return some.given() + " of " + some.wanted();
        }
        if (state instanceof PartState.AskedAgain again) {
            return again.wanted() == 1 ? "asked again" : "asked again, " + again.given() + " of " + again.wanted();
        }
        if (state instanceof PartState.ToLookAt there) {
            return there.failing() > 0 ? there.failing() + (there.failing() == 1 ? " fails" : " fail") : "to look at";
        }
        return "accepted";
    }

    /** The colour of how a part stands. */
    public static String tone(PartState state) {
        if (state instanceof PartState.Accepted) {
            return "done";
        }
        if (state instanceof PartState.ToLookAt there && there.failing() == 0) {
            return "ours";
        }
        return state instanceof PartState.ToLookAt || state instanceof PartState.AskedAgain ? "late" : "client";
    }

    /** How a whole request stands. */
    public RequestState state(Request request) {
        return request.state(clock.instant());
    }

    /** Whether it is the client's, and its time is over. */
    public boolean isLate(Request request) {
        return state(request) == RequestState.LATE;
    }

    /** How it stands, for those who are asked. */
    public static String forClients(RequestState state) {
        return switch (state) {
            case WITH_CLIENT -> "with you";
            case TO_LOOK_AT, DRAFT -> "we look at it";
            case ALL_ACCEPTED -> "all here, thank you";
            case LATE, WITHDRAWN -> state.words();
        };
    }

    /** What is left to be done by those who are asked, in a sentence. */
    public String left(Request request) {
        int missing = request.parts().stream().mapToInt(request::missing).sum();
        int failing =
                (int) request.supplied().stream().filter(Supplied::holdsUp).count();
        if (missing == 0 && failing == 0) {
            return "Everything is here.";
        }
        String left = missing == 0 ? "" : words.count(missing, "thing is", "things are") + " still wanted";
        String bad = failing == 0 ? "" : words.count(failing, "thing", "things") + " will not do";
        return left + (left.isEmpty() || bad.isEmpty() ? "" : ", and ") + bad + ".";
    }

    /** The colour of how a whole request stands. */
    public static String tone(RequestState state) {
        return switch (state) {
            case DRAFT, WITHDRAWN -> "quiet";
            case ALL_ACCEPTED -> "done";
            case LATE -> "late";
            case WITH_CLIENT -> "client";
            case TO_LOOK_AT -> "ours";
        };
    }

    /** How long whoever holds it has had it, in working days; empty while it is a draft. */
    public Optional<String> held(Request request) {
        return request.sent()
                .filter(sent -> !request.isDone())
                .map(sent -> words.held(agency.calendar().workingDaysHeld(sent.heldSince(), clock.instant())));
    }

    /** In what form a line says that it is given; empty for files. */
    public static String form(PartLine line) {
        return line.takes() == Takes.FILES
                ? ""
                : line.takes() == Takes.CHOICE
                        ? Takes.CHOICE.words() + " " + String.join(" / ", line.choices())
                        : line.takes().words();
    }

    /** What a line asks of each; what goes without saying is left out. */
    public static List<Check> checked(PartLine line) {
        return line.checks().stream().filter(check -> !check.isUnsaid()).toList();
    }

    /** Whether any of them is the client's to supply. */
    public static boolean owed(List<Request> all) {
        return all.stream().anyMatch(request -> request.turn() == Turn.CLIENTS);
    }

    /** Whether it was not sent. */
    public static boolean draft(Request request) {
        return request.standing() instanceof Request.Draft;
    }

    /** Why it is not wanted any more. */
    public static Optional<String> withdrawn(Request request) {
        return request.standing() instanceof Request.Withdrawn gone ? Optional.of(gone.reason()) : Optional.empty();
    }

    /** Who is asked together, in a sentence. */
    public String askedTogether(Request request) {
        return words.and(request.asked().stream().map(Request.Asked::name).toList())
                + " are asked together: whoever has a thing gives it.";
    }

    /** Who is asked, and when that was. */
    public String askedOf(Request request) {
        String whom =
                words.and(request.asked().stream().map(Request.Asked::name).toList());
        return request.sent()
                .map(sent -> "Asked of " + whom + ", " + words.when(sent.at()))
                .orElse((draft(request) ? "To be asked of " : "Asked of ")
                        + (whom.isEmpty() ? "nobody yet" : whom)
                        + (draft(request) ? term(request.term()) : ""));
    }

    /** When a draft goes out, in a sentence; empty if that was not said. @param plan of its project */
    public String leaves(Request request, ProjectPlan plan) {
        if (request.leaves().isEmpty()) {
            return "";
        }
        Leaving leaving = request.leaves().get();
        Function<UUID, Optional<Phase>> phase =
                id -> plan.phases().stream().filter(one -> one.id().equals(id)).findFirst();
        Optional<LocalDate> on = leaving.day(id -> phase.apply(id).map(Phase::startsOn), agency.calendar());
        String day = on.map(one -> words.day(one)).orElse("a day that is not known any more");
        String with = leaving.when() instanceof Leaving.WithPhase one
                ? (one.daysBefore() == 0
                                ? "with “"
                                : words.count(one.daysBefore(), "working day", "working days") + " before “")
                        + phase.apply(one.phase()).map(Phase::name).orElse("a phase") + "”, "
                : "";
        String rests = plan.project().pausedAt() == null ? "" : ", once the project goes on";
        String sentence = (leaving.alone() ? "Goes out by itself " : "To be sent ") + with + "on " + day + rests + ".";
        boolean past = on.filter(one -> one.isBefore(agency.today())).isPresent();
        return past ? sentence + " That day is past: " + whyNot(request, leaving, rests) : sentence;
    }

    private static String whyNot(Request request, Leaving leaving, String rests) {
        if (!rests.isEmpty()) {
            return "the project rests.";
        }
        if (request.asked().isEmpty()) {
            return "nobody is asked yet.";
        }
        return leaving.alone()
                ? "somebody has no seat at a published pane, or its time is over. Send it to see which."
                : "nobody has sent it.";
    }

    /** The day on which a draft goes out, as a field takes it; empty if it is none. */
    public static String leavesOn(Request request) {
        return request.leaves()
                .map(Leaving::when)
                .filter(Leaving.OnDay.class::isInstance)
                .map(on -> ((Leaving.OnDay) on).day().toString())
                .orElse("");
    }

    /** How many working days before a phase it goes out, as a field takes it. */
    public static String leavesBefore(Request request) {
        return with(request).map(one -> "" + one.daysBefore()).orElse("");
    }

    /** Whether it goes out with a phase. */
    public static boolean leavesWith(Request request, Phase phase) {
        return with(request).filter(one -> one.phase().equals(phase.id())).isPresent();
    }

    private static Optional<Leaving.WithPhase> with(Request request) {
        return request.leaves()
                .map(Leaving::when)
                .filter(Leaving.WithPhase.class::isInstance)
                .map(Leaving.WithPhase.class::cast);
    }

    /** What waits for an activity, as the end of a sentence; empty if nothing does. */
    public String needed(ProjectPlan plan, PlannedTask activity) {
        List<String> waiting = plan.tasks().stream()
                .filter(task -> task.task().shape().after().stream()
                        .anyMatch(link -> link.predecessor().equals(activity.id())))
                .map(task -> "“" + task.name() + "”")
                .toList();
        return waiting.isEmpty()
                ? ""
                : "; " + words.and(waiting) + (waiting.size() == 1 ? " waits" : " wait") + " for it";
    }

    private String term(Term term) {
        if (term instanceof Term.BeforeStart before) {
            return ", " + words.count(before.days(), "working day", "working days") + " before it is needed";
        }
        return term instanceof Term.ByDay by
                ? ", by " + words.day(by.day())
                : ", with " + words.count(((Term.WithinDays) term).days(), "working day", "working days");
    }

    /** What was given for a part and not taken back, oldest first. */
    public static List<Supplied> shown(Request request, RequestPart part) {
        return request.given(part).stream()
                .filter(one -> one.verdict() != Verdict.TAKEN_BACK)
                .toList();
    }

    /** The places of a part that are still empty, by number. */
    public static List<Integer> gaps(Request request, RequestPart part) {
        int missing = request.missing(part);
        return IntStream.rangeClosed(part.wanted() - missing + 1, part.wanted())
                .limit(MOST_GAPS)
                .boxed()
                .toList();
    }

    /** What was typed last for a part; empty if nothing was, or it is sealed. */
    public static String typedLast(Request request, RequestPart part) {
        return shown(request, part).stream()
                .flatMap(one -> one.typed().stream())
                .reduce((earlier, later) -> later)
                .orElse("");
    }

    /** What is still wanted of a part, as a heading. */
    public String wantsMore(Request request, RequestPart part) {
        int missing = request.missing(part);
        if (missing == 0) {
            boolean fails = request.given(part).stream().anyMatch(Supplied::holdsUp);
            return fails ? "Another instead" : "All is here; one more, if you like";
        }
        return missing == part.wanted()
                ? part.wanted() == 1 ? part.name() : words.count(missing, "is wanted", "are wanted")
                : words.count(missing, "more is wanted", "more are wanted");
    }

    /** The kind of field in which something short is typed. */
    public static String inputType(RequestPart part) {
        return part.takes() == Takes.DAY ? "date" : "url";
    }

    /** What a browser offers first when a file is chosen; empty for anything. */
    public static String accepts(RequestPart part) {
        return part.checks().stream()
                .filter(Check.OfKind.class::isInstance)
                .map(Check.OfKind.class::cast)
                .filter(kind -> kind.kinds().equals(Set.of(FileKind.PHOTOGRAPH)))
                .map(kind -> "image/*")
                .findFirst()
                .orElse("");
    }
}
