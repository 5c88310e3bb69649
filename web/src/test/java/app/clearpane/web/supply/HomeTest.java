package app.clearpane.web.supply;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Project;
import app.clearpane.core.supply.Request;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.exposure.EndSeat;
import app.clearpane.usecases.exposure.GiveSeat;
import app.clearpane.usecases.exposure.SetUpPane;
import app.clearpane.web.Acting;
import org.jsoup.Jsoup;
import org.jsoup.select.Elements;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The first page of somebody with several panes: all that waits for them, what is due first before the others. */
class HomeTest extends AtARequest {
    @Autowired
    private SetUpPane setUpPane;

    @Autowired
    private GiveSeat giveSeat;

    @Autowired
    private EndSeat endSeat;

    @Autowired
    private People people;

    @Autowired
    private Seats seats;

    private Elements home(String what) throws Exception {
        return Jsoup.parse(imre().get("/c").body()).select(what);
    }

    private SeatId seatElsewhere() {
        Project hall = projects.active().stream()
                .filter(project -> project.name().equals("Ticket-hall signs"))
                .findFirst()
                .orElseThrow();
        PaneId other = setUpPane.add(hall.id(), "Home: the mill looks on", "", Acting.team("Ines"));
        panes.publish(panes.find(other).orElseThrow(), clock.instant());
        SeatId seat = giveSeat.give(
                other,
                people.contactAt(new EmailAddress("imre@hobandbarley.example"))
                        .orElseThrow()
                        .id(),
                SeatRole.READER,
                Acting.team("Ines"));
        seats.invited(seat, clock.instant());
        return seat;
    }

    @Test
    void allThatWaitsStandsBeforeTheProjects() throws Exception {
        Request later = asks("a photograph of the weir");
        SeatId seat = seatElsewhere();
        try {
            assertThat(home(".tile h2").eachText()).hasSizeGreaterThanOrEqualTo(2);
            assertThat(home(".awaits h3").eachText()).contains("Send us: " + later.title());
            assertThat(home(".awaits a").eachAttr("href")).contains(at(later));
            ines().sends("/t/requests/" + later.id() + "/withdraw", "reason=We have it");
            assertThat(home(".awaits h3").eachText()).doesNotContain("Send us: " + later.title());
        } finally {
            PaneId other = seats.find(seat).orElseThrow().pane();
            endSeat.end(seat, true, Acting.team("Ines"));
            panes.unpublish(panes.find(other).orElseThrow());
        }
        assertThat(imre().get("/c").statusCode()).as("one pane is that pane").isEqualTo(302);
    }
}
