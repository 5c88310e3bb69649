package app.clearpane.usecases.markup;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Clash;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Writes the letter of a round. */
@Component
public class WriteLetter {
    static final int CUT_OUT_WIDTH = 420;
    private final States states;
    private final StandingMarks standing;
    private final People people;
    private final Clashes clashes;
    private final Annotations annotations;

    WriteLetter(States states, StandingMarks standing, People people, Clashes clashes, Annotations annotations) {
        this.states = states;
        this.standing = standing;
        this.people = people;
        this.clashes = clashes;
        this.annotations = annotations;
    }

    /** The letter of the round of a version. */
    public RoundLetter write(Version version) {
        DeliverableState state = states.withThreads(version.deliverable());
        List<Mark> marks = standing.standingOn(version, state.versions(), state.marks());
        Map<Integer, Double> ratios = new HashMap<>();
        annotations.sizes(version).forEach((page, size) -> ratios.put(page, size.ratio()));
        Map<MarkupId, Mark> byId = marks.stream().collect(Collectors.toMap(Mark::id, Function.identity()));
        List<Clash> same = clashes.sameWishes(version, state.deliverable().pane(), state.marks());
        List<Clashes.Open> open = clashes.openOn(version, state.deliverable().pane(), state.marks());
        List<RoundLetter.Line> lines = new ArrayList<>();
        for (Mark mark : marks) {
            if (mark.progress().carriesOver() && !goesAlong(mark, byId)) {
                List<Mark> joined = marks.stream()
                        .filter(other -> !other.id().equals(mark.id())
                                && other.progress().carriesOver()
                                && other.ahead().equals(mark.ahead()))
                        .toList();
                List<String> also = same.stream()
                        .filter(pair -> pair.involves(mark.id()))
                        .map(pair -> byId.get(pair.other(mark.id())))
                        .filter(other -> !joined.contains(other))
                        .map(other -> other.author().name() + " (" + other.label() + ")")
                        .toList();
                Optional<String> against = open.stream()
                        .filter(clash ->
                                clash.both().stream().anyMatch(one -> one.id().equals(mark.id())))
                        .map(clash -> clash.first().id().equals(mark.id()) ? clash.second() : clash.first())
                        .map(other -> other.label() + " of " + other.author().name())
                        .findFirst();
                lines.add(new RoundLetter.Line(
                        mark,
                        MarkWords.progress(mark.progress()),
                        ratios.getOrDefault(mark.place().page(), 1.0),
                        also,
                        against,
                        joined,
                        mark.beside().doer().flatMap(people::member).map(TeamMember::name)));
            }
        }
        return new RoundLetter(
                state.deliverable().name(),
                version,
                lines.stream()
                        .filter(line -> line.mark().intent() == Intent.CHANGE)
                        .toList(),
                lines.stream()
                        .filter(line -> line.mark().intent() != Intent.CHANGE)
                        .toList(),
                state.asked().toMake() + state.asked().later(),
                (int) state.marks().stream()
                        .filter(mark -> !mark.progress().carriesOver())
                        .count());
    }

    /** Whether it is told with the mark it was joined to. */
    private static boolean goesAlong(Mark mark, Map<MarkupId, Mark> byId) {
        MarkupId ahead = mark.ahead();
        return !ahead.equals(mark.id())
                && byId.containsKey(ahead)
                && byId.get(ahead).progress().carriesOver();
    }
}
