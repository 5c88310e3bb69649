package app.clearpane.web.markup;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.AgencyApertures;
import app.clearpane.store.exposure.Panes;
import app.clearpane.usecases.exposure.MakeLink;
import app.clearpane.usecases.exposure.SetForAllPanes;
import app.clearpane.usecases.markup.MarksMoved;
import app.clearpane.web.Acting;
import app.clearpane.web.DemoHouse;
import app.clearpane.web.Visitor;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What was opened may be taken back while somebody has it on their light table: their stream of events ends without a
 * further word.
 */
@Timeout(60)
class LiveMarksTest extends DemoHouse {
    @Autowired
    Deliverables deliverables;

    @Autowired
    ApplicationEventPublisher events;

    @Autowired
    TransactionTemplate transaction;

    @Autowired
    SetForAllPanes set;

    @Autowired
    AgencyApertures apertures;

    @Autowired
    MakeLink makeLink;

    private Panes.Row board() {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().startsWith("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        return panes.ofProject(project).stream()
                .filter(pane -> pane.name().equals("The board"))
                .findFirst()
                .orElseThrow();
    }

    private Version map() {
        ItemId id = deliverables.ofProject(board().project()).stream()
                .filter(one -> one.name().equals("Visitor map"))
                .map(Deliverable::id)
                .findFirst()
                .orElseThrow();
        return deliverables.versions(id).stream()
                .filter(version -> !version.draft())
                .reduce((first, second) -> second)
                .orElseThrow();
    }

    private void somethingMoves(ItemId deliverable, boolean forTeam) {
        transaction.executeWithoutResult(status -> events.publishEvent(new MarksMoved(deliverable, forTeam)));
    }

    /** The next event's name; empty once the stream has ended. */
    private static String next(Iterator<String> lines) {
        try {
            while (lines.hasNext()) {
                String line = lines.next();
                if (line.startsWith("event:")) {
                    return line.substring("event:".length());
                }
            }
            return "";
        } catch (UncheckedIOException cutOff) {
            return "";
        }
    }

    private Iterator<String> listens(Visitor who) throws Exception {
        return who.listen("/c/panes/" + board().id() + "/versions/" + map().id() + "/live")
                .iterator();
    }

    @AfterEach
    void theCeilingIsAsItWas() {
        set.ceiling(ContentKind.DELIVERABLES, Aperture.OPEN, true, Acting.team("Bastian Finch"));
    }

    @Test
    void aLoweredCeilingEndsAnOpenStream() throws Exception {
        assertThat(apertures.both().ceilings().of(ContentKind.DELIVERABLES))
                .as("what is put back")
                .isEqualTo(Aperture.OPEN);
        Iterator<String> told = listens(Visitor.by(address(), linkOf("mirela@penwether.example")));
        assertThat(next(told)).isEqualTo("watching");
        somethingMoves(map().deliverable(), true);
        somethingMoves(map().deliverable(), false);
        assertThat(next(told)).as("what is for the team only is not told").isEqualTo("moved");
        set.ceiling(ContentKind.DELIVERABLES, Aperture.CLOSED, true, Acting.team("Bastian Finch"));
        somethingMoves(map().deliverable(), false);
        assertThat(next(told)).isEmpty();
    }

    @Test
    void theOneAskedToSignIsStillTold() throws Exception {
        Iterator<String> told = listens(Visitor.by(address(), linkOf("jasper@penwether.example")));
        assertThat(next(told)).isEqualTo("watching");
        set.ceiling(ContentKind.DELIVERABLES, Aperture.CLOSED, true, Acting.team("Bastian Finch"));
        somethingMoves(map().deliverable(), false);
        assertThat(next(told)).as("sign-offs can always be sent").isEqualTo("moved");
    }

    @Test
    void aLinkTakenBackEndsItToo() throws Exception {
        MakeLink.Made link =
                makeLink.make(board().id(), new MakeLink.Form("To listen", false, "", ""), Acting.team("Ines Marram"));
        Iterator<String> told = listens(Visitor.by(address(), link.address()));
        assertThat(next(told)).isEqualTo("watching");
        makeLink.revoke(link.link(), Acting.team("Ines Marram"));
        somethingMoves(map().deliverable(), false);
        assertThat(next(told)).isEmpty();
    }

    @Test
    void onePersonWatchesSixTimesAndTheOldestMakesRoom() throws Exception {
        Visitor mirela = Visitor.by(address(), linkOf("mirela@penwether.example"));
        List<Iterator<String>> told = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            told.add(listens(mirela));
            assertThat(next(told.get(i))).isEqualTo("watching");
        }
        assertThat(next(told.get(0))).as("the oldest has ended").isEmpty();
        Iterator<String> jasper = listens(Visitor.by(address(), linkOf("jasper@penwether.example")));
        assertThat(next(jasper)).as("nobody else is kept out").isEqualTo("watching");
        somethingMoves(map().deliverable(), false);
        for (int i = 1; i < 7; i++) {
            assertThat(next(told.get(i))).as("line " + i).isEqualTo("moved");
        }
        assertThat(next(jasper)).isEqualTo("moved");
    }
}
