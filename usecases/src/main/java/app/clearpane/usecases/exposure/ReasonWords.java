package app.clearpane.usecases.exposure;

import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ExposureCheck;
import app.clearpane.core.exposure.Filter;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SecondLook;
import app.clearpane.core.exposure.Verdict;
import app.clearpane.core.exposure.Why;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.usecases.shell.Words;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Reasons as sentences (V8). Templates call it {@code reasons}. */
@Component
public class ReasonWords implements TemplateHelper {
    private final Words words;

    public ReasonWords(Words words) {
        this.words = words;
    }

    @Override
    public String name() {
        return "reasons";
    }

    /** Why an item is visible or not, and what would change it. */
    public String inWords(Verdict verdict) {
        String reason =
                switch (verdict.reason()) {
                    case NO_SEAT -> "No seat at this pane";
                    case SEAT_NOT_ACCEPTED -> "The seat’s link was not opened yet";
                    case SEAT_ENDED -> "The seat was ended";
                    case PANE_NOT_PUBLISHED -> "The pane is not published yet";
                    case PANE_NOT_OPEN_YET -> "The pane’s first day is still to come";
                    case PANE_EXPIRED -> "The pane’s last day is past";
                    case DELETED -> "Deleted";
                    case NOT_SENT -> "Not sent yet";
                    case TEAM_ONLY -> "For the team only";
                    case HELD_BACK -> "Held back by " + who(verdict);
                    case HELD_BACK_ABOVE ->
                        "Held back with “" + verdict.source().orElseThrow() + "”, in which it stands, by "
                                + who(verdict);
                    case BY_NAME -> "Sent to them by name";
                    case PARENT_NOT_SHOWN -> "What it stands in is not shown";
                    case CEILING_CLOSED -> "The agency’s ceiling is closed for this kind";
                    case CEILING_PICKED -> "The agency’s ceiling lets only what is shown pass";
                    case APERTURE_CLOSED -> "The aperture is closed";
                    case SHOWN -> "Shown by " + who(verdict);
                    case SHOWN_ABOVE ->
                        "Shown with “" + verdict.source().orElseThrow() + "”, in which it stands, by " + who(verdict);
                    case APERTURE_OPEN -> "The aperture is open";
                    case PASSES_FILTER -> passing(verdict.filter().orElseThrow());
                    case NO_FILTER_PASSES -> "No filter lets it pass";
                    case CEILING_FILTERED -> "No filter of the agency’s ceiling lets it pass";
                    case NOT_PICKED -> "Not picked";
                };
        return verdict.waits() ? reason + "; seen once published" : reason;
    }

    private String passing(Filter filter) {
        if (filter instanceof Filter.Folder folder) {
            return "It lies in the folder “" + folder.name() + "”, which passes";
        }
        if (filter instanceof Filter.DueWithin within) {
            return within.days() == 0
                    ? "It is due today, which passes"
                    : "It is due within " + words.count(within.days(), "working day", "working days")
                            + ", which passes";
        }
        return switch ((Filter.Trait) filter) {
            case MILESTONES -> "It is a milestone, which passes";
            case PHASE_HEADS -> "It gathers the tasks of a phase, which passes";
            case FINISHED -> "It is finished, which passes";
            case LATE -> "It is late, which passes";
            case WAITS_FOR_VIEWER -> "It waits for whoever looks, which passes";
        };
    }

    /** "milestones", "heads of phases", "what is finished". */
    public String trait(Filter.Trait trait) {
        return switch (trait) {
            case MILESTONES -> "milestones";
            case PHASE_HEADS -> "heads of phases";
            case FINISHED -> "what is finished";
            case LATE -> "what is late";
            case WAITS_FOR_VIEWER -> "what waits for whoever looks";
        };
    }

    /** In how many working days something has to be due to pass; empty if that is no filter of these. */
    public String within(Set<Filter> filters) {
        return filters.stream()
                .filter(filter -> filter instanceof Filter.DueWithin)
                .map(filter -> String.valueOf(((Filter.DueWithin) filter).days()))
                .findFirst()
                .orElse("");
    }

    private String who(Verdict verdict) {
        return verdict.setting()
                .map(setting -> words.first(setting.by().name()) + ", " + words.dayOf(setting.at()))
                .orElse("");
    }

    /** "gains 2, loses 1, sees 3 for another reason", or "nothing changes". */
    public String changes(List<ExposureCheck.Change> changes) {
        Map<ExposureCheck.Kind, Long> counts =
                changes.stream().collect(Collectors.groupingBy(ExposureCheck.Change::kind, Collectors.counting()));
        List<String> said = Stream.of(
                        Map.entry(ExposureCheck.Kind.GAINED, "gains %d"),
                        Map.entry(ExposureCheck.Kind.LOST, "loses %d"),
                        Map.entry(ExposureCheck.Kind.REASON_CHANGED, "sees %d for another reason"))
                .filter(kind -> counts.containsKey(kind.getKey()))
                .map(kind -> String.format(kind.getValue(), counts.get(kind.getKey())))
                .toList();
        return said.isEmpty() ? "nothing changes" : String.join(", ", said);
    }

    /** Why one thing changes for somebody. */
    public String change(ExposureCheck.Change change) {
        return switch (change.kind()) {
            case GAINED -> inWords(change.after());
            case LOST -> "already hidden. " + inWords(change.after());
            case REASON_CHANGED -> "seen before and after. " + inWords(change.after());
        };
    }

    /** Why something is worth a second look. */
    public String secondLook(SecondLook look) {
        return switch (look.why()) {
            case NAME -> "“" + look.item().name() + "” says “" + look.what() + "” in its name";
            case NAMES_ANOTHER -> "“" + look.item().name() + "” names " + look.what() + ", nobody of whom sits here";
            case HELD_BACK_AT_ANOTHER_PANE -> "“" + look.item().name() + "” is held back at " + look.what();
        };
    }

    /** A question on the way to a decision. */
    public String question(Why.Question question) {
        return switch (question) {
            case HAS_A_SEAT -> "Has a seat here";
            case CAME_IN -> "Opened the link and came in";
            case PANE_IS_PUBLISHED -> "The pane is published";
            case PANE_HAS_OPENED -> "Its first day has come";
            case PANE_IS_STILL_OPEN -> "Its last day is not past";
            case IS_THERE -> "The thing is there, not deleted";
            case IS_NOT_HELD_BACK -> "Nothing holds it back";
            case WAS_SENT_BY_NAME -> "It was sent to them by name";
            case CEILING_LETS_SOMETHING_THROUGH -> "The agency’s ceiling lets this kind through";
            case APERTURE_LETS_SOMETHING_THROUGH -> "The aperture lets this kind through";
            case IS_SHOWN -> "Somebody chose to show it";
            case PASSES_UNSAID -> "It passes without being chosen";
        };
    }

    /** What to do for the other answer: "Show it, then publish the pane". */
    public String remedy(Set<Why.Change> changes, String pane) {
        String all = changes.stream()
                .sorted((a, b) -> Boolean.compare(a == Why.Change.PUBLISH, b == Why.Change.PUBLISH))
                .map(change -> change(change, pane))
                .collect(Collectors.joining(", then "));
        return Character.toUpperCase(all.charAt(0)) + all.substring(1);
    }

    private static String change(Why.Change change, String pane) {
        return switch (change) {
            case PUBLISH -> "publish " + pane;
            case LET_GO -> "no longer hold it back at " + pane;
            case LET_GO_ABOVE -> "no longer hold back what it stands in";
            case LET_GO_EVERYWHERE -> "let it go for everybody";
            case SHOW -> "show it at " + pane;
            case OPEN_THE_APERTURE -> "open the aperture";
            case RAISE_THE_CEILING -> "have an owner raise the ceiling";
            case OPEN_THE_LINK -> "they open their link";
            case GIVE_A_SEAT -> "give them a seat at " + pane;
            case LATER_LAST_DAY -> "give " + pane + " a later last day";
            case EARLIER_FIRST_DAY -> "give " + pane + " an earlier first day";
            case RESTORE -> "bring it back";
            case HOLD_BACK -> "hold it back at " + pane;
            case UNSET -> "leave it to the aperture";
            case CLOSE_THE_APERTURE -> "close the aperture";
            case END_THE_SEAT -> "end their seat";
        };
    }

    /** How far down a blind of this height is drawn. */
    public int blind(Aperture aperture, int height) {
        return switch (aperture) {
            case CLOSED -> height;
            case PICKED -> height * 2 / 3;
            case FILTERED -> height / 3;
            case OPEN -> 0;
        };
    }

    /** "Open", "Filtered", "Picked", "Closed". */
    public String aperture(Aperture aperture) {
        return capital(aperture.name());
    }

    /** "Files". */
    public String kind(ContentKind kind) {
        return capital(kind.name());
    }

    /** "Reviewer". */
    public String role(SeatRole role) {
        return capital(role.name());
    }

    private static String capital(String name) {
        return name.charAt(0) + name.substring(1).toLowerCase(Locale.ROOT);
    }
}
