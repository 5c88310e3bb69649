package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.post.WriteToTeam;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Tells who manages a project of a mark that came once its round was over: it is nobody’s turn, so nobody would look.
 */
@Component
class TellOfLateMark {
    private final Deliverables deliverables;
    private final WriteToTeam toTeam;

    TellOfLateMark(Deliverables deliverables, WriteToTeam toTeam) {
        this.deliverables = deliverables;
        this.toTeam = toTeam;
    }

    /** Tells of it, if the round of its version is over. */
    void tell(Deliverable deliverable, Version version, Mark mark) {
        deliverables
                .round(version.id())
                .filter(round -> !round.open())
                .ifPresent(round -> tell(deliverable, version, mark, round));
    }

    private void tell(Deliverable deliverable, Version version, Mark mark, Round round) {
        String what = deliverable.name() + ", " + version.called();
        toTeam.tell(
                deliverable.project(),
                "Noted afterwards: " + what,
                List.of(
                        mark.author().name() + " left " + mark.label() + " on " + what + ", once its round was closed"
                                + (round.soFar().agreed() ? " and it was agreed" : "") + ":",
                        "“" + mark.note() + "”",
                        "It changes nothing of what was decided, and waits for the next version."),
                new WriteToTeam.Leads(
                        "See it in its place",
                        "/t/versions/" + version.id() + "/light-table?page="
                                + mark.place().page() + "#mark-" + mark.id()));
    }
}
