package app.clearpane.usecases.followup;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.record.Happening;
import app.clearpane.core.record.event.MarkActs;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.markup.Clashes;
import app.clearpane.usecases.markup.NoteMarkChange;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.util.List;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Joins marks of several people that ask for the same, so that they are worked on as one; lets them stand alone again.
 */
@Component
public class JoinMarks {
    private final Markups markups;
    private final Deliverables deliverables;
    private final Clashes clashes;
    private final NoteMarkChange change;

    JoinMarks(Markups markups, Deliverables deliverables, Clashes clashes, NoteMarkChange change) {
        this.change = change;
        this.markups = markups;
        this.deliverables = deliverables;
        this.clashes = clashes;
    }

    /** Lets a mark go along with another. @return it @throws Refused if the two do not ask for a change at one place */
    @Transactional
    public Mark join(MarkupId id, MarkupId with, Person.OfTeam by) {
        Mark mark = NotFound.unless(markups.find(id));
        Mark other = NotFound.unless(markups.find(with));
        Version version = deliverables.version(mark.version()).orElseThrow();
        List<Mark> all = markups.withoutThreads(version.deliverable());
        if (clashes.sameWishes(version, mark.pane(), all).stream()
                .noneMatch(pair -> pair.involves(id) && pair.involves(with) && !id.equals(with))) {
            throw Refused.because("Marks " + other.label() + " and " + mark.label()
                    + " do not both ask for a change at one place any more. Nothing was joined; look again.");
        }
        MarkupId ahead = other.ahead();
        if (ahead.equals(mark.id())
                || mark.beside().joinedTo().filter(ahead::equals).isPresent()) {
            return mark;
        }
        for (Mark one : markups.group(mark)) {
            markups.join(one, ahead);
        }
        tell(
                mark,
                version,
                name -> new MarkActs.MarkJoined(
                        by.actor(),
                        name,
                        mark.id(),
                        mark.label().toString(),
                        other.label().toString()));
        return mark;
    }

    /** Lets a mark stand alone again; if it goes ahead of others, each of them does. @return it */
    @Transactional
    public Mark part(MarkupId id, Person.OfTeam by) {
        Mark mark = NotFound.unless(markups.find(id));
        List<Mark> apart = mark.beside().joinedTo().isEmpty()
                ? markups.group(mark).stream()
                        .filter(one -> one.beside().joinedTo().isPresent())
                        .toList()
                : List.of(mark);
        apart.forEach(one -> markups.join(one, null));
        if (!apart.isEmpty()) {
            tell(
                    mark,
                    deliverables.version(mark.version()).orElseThrow(),
                    name -> new MarkActs.MarkParted(
                            by.actor(), name, mark.id(), mark.label().toString()));
        }
        return mark;
    }

    private void tell(Mark mark, Version version, Function<String, Happening> what) {
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        change.note(deliverable, what.apply(deliverable.name()), mark.teamOnly());
    }
}
