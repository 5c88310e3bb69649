package app.clearpane.usecases.signoff;

import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.StandIns;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.Words;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * A signatory says that they are away and who of those who sign at their pane decides for them; the manager is told.
 */
@Component
public class SayAway {
    private final SetStandIn setStandIn;
    private final Seats seats;
    private final Viewers viewers;
    private final WriteToTeam tellManager;
    private final Words words;
    private final Lasting lasting;

    SayAway(
            SetStandIn setStandIn,
            Seats seats,
            Viewers viewers,
            WriteToTeam tellManager,
            Words words,
            Lasting lasting) {
        this.setStandIn = setStandIn;
        this.seats = seats;
        this.viewers = viewers;
        this.tellManager = tellManager;
        this.words = words;
        this.lasting = lasting;
    }

    /** The page's model. */
    public Map<String, Object> page(Viewer viewer, String base) {
        return new HashMap<>(Map.of(
                "others",
                others(viewer),
                "away",
                own(viewer),
                "viewer",
                viewer,
                "base",
                base,
                "heading",
                viewers.heading(viewer),
                "signs",
                signs(viewer),
                "today",
                words.today()));
    }

    private static boolean signs(Viewer viewer) {
        return viewer.role() == SeatRole.SIGNATORY && !viewer.byLink();
    }

    /** Those who sign at the same pane: whoever signs there knows of them anyway. */
    private List<SeatRow> others(Viewer viewer) {
        return seats.ofPane(viewer.pane()).stream()
                .filter(seat -> seat.state() != SeatState.ENDED
                        && seat.role() == SeatRole.SIGNATORY
                        && !seat.contact().equals(viewer.contact()))
                .toList();
    }

    private List<StandIns.Row> own(Viewer viewer) {
        return setStandIn.ofProject(viewer.project()).stream()
                .filter(row -> row.standIn().away().equals(viewer.contact())
                        && !row.standIn().until().isBefore(words.today()))
                .toList();
    }

    /** Says it. @throws Refused if whoever is named does not sign there, or that cannot be */
    @Transactional
    public void add(Viewer viewer, SetStandIn.AwayForm form) {
        if (!signs(viewer)) {
            throw Refused.because("Only those who sign need somebody who signs for them. Nothing was changed.");
        }
        if (others(viewer).stream().noneMatch(seat -> seat.contact().toString().equals(form.by()))) {
            throw Refused.because(
                    "Choose who decides for you: somebody who signs here too. If it should be somebody else, "
                            + "write to us.");
        }
        setStandIn.add(
                viewer.project(),
                new SetStandIn.AwayForm(viewer.contact().toString(), form.by(), form.from(), form.until()),
                viewer.actor());
        StandIns.Row added = own(viewer).stream()
                .filter(row -> row.standIn().by().toString().equals(form.by())
                        && row.standIn().from().toString().equals(form.from()))
                .findFirst()
                .orElseThrow();
        tellManager(
                viewer,
                viewer.name() + " is away",
                viewer.name() + " is away from " + lasting.day(added.standIn().from()) + " until "
                        + lasting.day(added.standIn().until()) + "; " + added.by()
                        + " decides for them on those days.");
    }

    /** They are back. @throws NotFound if it is not theirs */
    @Transactional
    public void end(Viewer viewer, UUID id) {
        NotFound.unless(own(viewer).stream()
                .filter(row -> row.id().equals(id) && signs(viewer))
                .findFirst());
        setStandIn.end(id, viewer.actor());
        tellManager(viewer, viewer.name() + " is there after all", viewer.name() + " decides for themselves again.");
    }

    private void tellManager(Viewer viewer, String subject, String sentence) {
        tellManager.tell(
                viewer.project(),
                subject,
                List.of(sentence),
                new WriteToTeam.Leads("See who stands in for whom", "/t/projects/" + viewer.project() + "/stand-ins"));
    }
}
