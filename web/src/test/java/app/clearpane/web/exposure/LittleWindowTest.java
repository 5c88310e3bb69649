package app.clearpane.web.exposure;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Visibility;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.web.DemoHouse;
import app.clearpane.web.Visitor;
import app.clearpane.web.exposure.team.Windows;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Every row of every list of the team says who sees it, and why. */
class LittleWindowTest extends DemoHouse {
    private static final List<String> LISTS = List.of(
            "/plan?as=lines",
            "/plan?as=time",
            "/plan?as=columns",
            "/plan?as=month",
            "/plan?as=dates",
            "/deliverables",
            "/clearance",
            "/files",
            "/concerns");

    @Autowired
    Windows windows;

    @Autowired
    Seats seats;

    private ProjectId project() {
        return projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private Document page(String path) throws Exception {
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        return Jsoup.parse(
                ines.get(path.replace("{project}", "/t/projects/" + project())).body());
    }

    @ParameterizedTest
    @CsvSource({
        "/t, .move, .move .looks-in",
        "/t, .due-list:not(.of-prospects) li, .due-list .looks-in",
        "/t/people, .loads .on-desk, .loads .looks-in",
        "/t/search?q=map, .found div, .found div .looks-in",
        "{project}/plan?as=lines, .task-line, .task-line .looks-in",
        "{project}/plan?as=time, .time-drawing .row > a, .time-windows .looks-in",
        "{project}/plan?as=columns, .task-card, .task-card .looks-in",
        "{project}/plan?as=month, .falls, .falls .looks-in",
        "{project}/deliverables, .work-text, .work-text .looks-in",
        "{project}/clearance, .clearance-board tbody tr, .clearance-board .looks-in",
        "{project}/files, .list tbody tr, .list tbody .looks-in",
        "{project}/concerns, .concern, .concern .looks-in"
    })
    void everyRowHasOne(String path, String rows, String ofThem) throws Exception {
        Document page = page(path);
        List<Element> found = page.select(ofThem);
        assertThat(page.select(rows)).as("rows of " + path).isNotEmpty();
        assertThat(found.size())
                .as("windows of " + path)
                .isGreaterThanOrEqualTo(page.select(rows).size());
        assertThat(found).allSatisfy(window -> {
            assertThat(window.attr("data-reason")).as("the reason on " + path).isNotBlank();
            assertThat(window.attr("aria-label")).contains(window.attr("data-reason"));
        });
    }

    /** The windows of lists that reach over projects are those of the project's own lists. */
    @Test
    void windowsReadByThemselvesAreThoseOfTheProject() {
        Map<ItemId, Windows.Window> whole = windows.windowsOf(project());
        assertThat(windows.across(whole.keySet())).isEqualTo(whole);
        whole.forEach((item, window) ->
                assertThat(windows.across(List.of(item)).get(item)).isEqualTo(window));
        assertThat(windows.across(List.of())).isEmpty();
        assertThat(windows.across(List.of(new ItemId(UUID.randomUUID())))).isEmpty();
    }

    /**
     * Every person at every pane of every project, against what the window of each item says; and what each list says
     * is that window.
     */
    @Test
    void itSaysWhatEveryPersonSees() throws Exception {
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        int byName = 0;
        int rows = 0;
        for (Project project : projects.active()) {
            Windows.All all = windows.all(project.id());
            for (Pane pane : panes.withSettings(project.id())) {
                for (SeatRow seat : seats.ofPane(pane.id())) {
                    byName += seat.state() == SeatState.ACCEPTED ? seenByName(all, pane, seat) : 0;
                }
            }
            for (String list : LISTS) {
                rows += windowsOn(ines, "/t/projects/" + project.id() + list, all);
            }
        }
        assertThat(byName).as("somebody sees something by name alone").isPositive();
        assertThat(rows).isGreaterThan(60);
    }

    private int seenByName(Windows.All all, Pane pane, SeatRow seat) {
        int byName = 0;
        for (Item item : all.items()) {
            Windows.Window window = all.windows().get(item.id());
            boolean sees = Visibility.decide(item, pane, Optional.of(seat.seat()), clock.instant())
                    .visible();
            assertThat(window.audiences().contains(pane.name())
                            || window.named().contains(seat.name()))
                    .as(seat.name() + " at " + pane.name() + ", " + item.name() + ": " + window)
                    .isEqualTo(sees || window.named().contains(seat.name()));
            byName += sees && !window.audiences().contains(pane.name()) ? 1 : 0;
        }
        return byName;
    }

    private static int windowsOn(Visitor ines, String list, Windows.All all) throws Exception {
        List<Element> shown = Jsoup.parse(
                        new String(ines.get(list).body().getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.UTF_8))
                .select("[data-window]");
        for (Element one : shown) {
            Windows.Window window = all.windows().get(new ItemId(UUID.fromString(one.attr("data-window"))));
            assertThat(one.attr("aria-label")).as(list).startsWith(window.words() + ". " + window.reason());
        }
        return shown.size();
    }

    /** A window is turned where it stands, on a list that reaches over projects too. */
    @Test
    void itIsTurnedOnTheDeskAndTurnedBack() throws Exception {
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        Element window = Jsoup.parse(ines.get("/t").body())
                .select(".move .looks-in:has(.shown)")
                .first();
        String item = Objects.requireNonNull(window).attr("data-window");
        try {
            assertThat(Jsoup.parse(ines.post("/t/items/" + item + "/window", ines.token(), Map.of())
                                    .body())
                            .select(".window")
                            .attr("class"))
                    .isEqualTo("window held");
            assertThat(Jsoup.parse(ines.get("/t").body())
                            .select("[data-window=" + item + "] .window")
                            .attr("class"))
                    .as("on the Desk")
                    .isEqualTo("window held");
        } finally {
            ines.post("/t/items/" + item + "/window", ines.token(), Map.of());
        }
        assertThat(Jsoup.parse(ines.get("/t").body())
                        .select("[data-window=" + item + "] .window")
                        .attr("class"))
                .isEqualTo("window shown");
    }
}
