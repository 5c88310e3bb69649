package app.clearpane.usecases.followup;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.record.event.MarkActs;
import app.clearpane.store.Stale;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.markup.NoteMarkChange;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TeamSight;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Gives a mark to one of the team to see to. Clients are told nothing of it. */
@Component
public class GiveMark {
    private final Markups markups;
    private final Deliverables deliverables;
    private final TeamSight sight;
    private final WriteToTeam toTeam;
    private final NoteMarkChange change;

    GiveMark(Markups markups, Deliverables deliverables, TeamSight sight, WriteToTeam toTeam, NoteMarkChange change) {
        this.change = change;
        this.toTeam = toTeam;
        this.markups = markups;
        this.deliverables = deliverables;
        this.sight = sight;
    }

    /**
     * Gives it. @param doer empty for nobody in particular @param revision of the mark, as it was seen @return the mark
     * as it was
     */
    @Transactional
    public Mark give(MarkupId id, Optional<TeamMemberId> doer, int revision, Person.OfTeam by) {
        Mark mark = NotFound.unless(markups.find(id));
        if (mark.revision() != revision) {
            throw new Stale("Mark " + mark.label());
        }
        Version version = deliverables.version(mark.version()).orElseThrow();
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        Optional<TeamMember> member = doer.flatMap(one -> sight.seeing(deliverable.project(), one));
        if (doer.isPresent() && member.isEmpty()) {
            throw Refused.because(
                    "Whoever you chose is not one of us any more, or does not see this project. Nothing was changed.");
        }
        if (doer.equals(mark.beside().doer())) {
            return mark;
        }
        markups.give(mark, doer.orElse(null));
        change.note(
                deliverable,
                new MarkActs.MarkGiven(
                        by.actor(),
                        deliverable.name(),
                        mark.id(),
                        mark.label().toString(),
                        member.map(TeamMember::name).orElse("")),
                true);
        member.filter(one -> !one.id().equals(by.memberId()))
                .ifPresent(one -> toTeam.write(
                        one,
                        "For you: " + deliverable.name() + ", " + mark.label(),
                        List.of(
                                by.fullName() + " asks you to see to mark " + mark.label() + " on “"
                                        + deliverable.name() + "”, " + version.called() + ":",
                                "“" + mark.note() + "”"),
                        new WriteToTeam.Leads(
                                "See it in its place",
                                "/t/versions/" + version.id() + "/light-table?page="
                                        + mark.place().page() + "#mark-" + mark.id())));
        return mark;
    }
}
