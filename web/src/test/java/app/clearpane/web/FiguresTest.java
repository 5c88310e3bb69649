package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.markup.AskedFor;
import app.clearpane.core.project.Project;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * Every figure that several screens tell is the same on all of them: walked over all projects of the demo, on both
 * sides of the glass.
 */
class FiguresTest extends DemoHouse {
    private static final Pattern COUNT = Pattern.compile("(\\d+)");

    @Autowired
    States states;

    @Autowired
    Seats seats;

    private final List<String> wrong = new ArrayList<>();
    private int compared;

    private static Document page(Visitor who, String path) throws Exception {
        return Jsoup.parse(
                new String(who.get(path).body().getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.UTF_8));
    }

    private void same(String what, Object expected, Object found) {
        compared++;
        if (!expected.equals(found)) {
            wrong.add(what + ": " + expected + ", but says " + found);
        }
    }

    /** The number before some words; 0 where they are not said. */
    private static int before(String text, String words) {
        Matcher said = Pattern.compile("(\\d+) " + words).matcher(text);
        return said.find() ? Integer.parseInt(said.group(1)) : 0;
    }

    private static int number(String text) {
        Matcher said = COUNT.matcher(text);
        return said.find() ? Integer.parseInt(said.group(1)) : 0;
    }

    @Test
    void ofTheTeam() throws Exception {
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        Document desk = page(ines, "/t?whole=true");
        Map<String, String> moves = movesOn(desk);
        same(
                "our turn, in the band",
                desk.select(".move.turn-ours").size(),
                number(desk.select(".chip.ours[href$=#ours]").text()));
        same(
                "with clients, in the band",
                desk.select(".move.turn-client").size(),
                number(desk.select(".chip.client[href$=#clients]").text()));
        for (Project project : projects.active()) {
            String at = "/t/projects/" + project.id();
            Document list = page(ines, at + "/deliverables");
            Document board = page(ines, at + "/clearance");
            for (DeliverableState state : states.statesOf(project.id())) {
                marks(ines, state, list, board, moves);
            }
            rooms(ines, at, moves);
        }
        assertThat(wrong).isEmpty();
        assertThat(compared).isGreaterThan(60);
    }

    private Map<String, String> movesOn(Document desk) throws Exception {
        Map<String, String> moves = new LinkedHashMap<>();
        desk.select(".move")
                .forEach(move -> moves.put(
                        move.select("h3 > a").attr("href"),
                        move.select(".to-do").text()));
        return moves;
    }

    /**
     * What is asked for: in the list, on the light table, in the letter, on the board and the sheet of clearance, and
     * on the Desk.
     */
    private void marks(Visitor ines, DeliverableState state, Document list, Document board, Map<String, String> moves)
            throws Exception {
        String name = state.deliverable().name();
        AskedFor asked = state.asked();
        String at = "/t/deliverables/" + state.deliverable().id();
        String row = list.select("article, li, .work, .work-text").stream()
                .filter(one -> one.select("a[href=" + at + "]").size() == 1)
                .map(Element::text)
                .reduce((outer, inner) -> inner)
                .orElse("");
        same(name + ", in the list", asked.open(), before(row, "marks? open"));
        same(name + ", asked afterwards, in the list", asked.later(), before(row, "asked for afterwards"));
        same(
                name + ", on the Desk",
                moves.getOrDefault(at, "").contains("to make") ? asked.toMake() : 0,
                before(moves.getOrDefault(at, ""), "changes? to make"));
        same(
                name + ", the sheet to its end",
                true,
                ines.get(at + "/clearance").body().stripTrailing().endsWith("</html>"));
        if (state.current().isPresent()) {
            String version = "/t/versions/" + state.current().get().id();
            String bar =
                    page(ines, version + "/light-table").select(".decision-bar").text();
            same(name + ", on the light table", asked.open(), before(bar, "marks? open"));
            same(name + ", fixed, on the light table", asked.toConfirm(), before(bar, "fixed, not yet confirmed"));
            Document letter = page(ines, version + "/letter");
            same(
                    name + ", in the letter",
                    asked.toMake() + asked.later(),
                    before(letter.select("h2").text(), "changes? to make"));
            String sheet = page(ines, at + "/clearance").text();
            same(name + ", on the sheet", asked.inTheWay(), before(sheet, "changes? (is|are) open, taken on or fixed"));
            Optional<Element> line = board.select("tr").stream()
                    .filter(one -> one.select("a[href*=" + state.deliverable().id() + "]")
                                    .size()
                            > 0)
                    .findFirst();
            same(
                    name + ", on the board",
                    asked.inTheWay(),
                    line.map(one -> before(
                                    one.select("td").size() > 2
                                            ? one.select("td").get(2).text()
                                            : "",
                                    "left"))
                            .orElse(0));
        }
    }

    /** How much room each task has: in the lines of the plan, on its page and on the Desk. */
    private void rooms(Visitor ines, String at, Map<String, String> moves) throws Exception {
        for (Element line : page(ines, at + "/plan?as=lines").select(".task-line")) {
            String task = line.select("a[href^=/t/tasks/]").attr("href").replaceAll("[?#].*", "");
            String room = line.select(".task-spare > :not(.soon)").text();
            if (!task.isEmpty() && !room.isEmpty() && !room.startsWith("was due ")) {
                same(
                        room + " of " + task,
                        true,
                        page(ines, task).select(".task-stands").text().contains(room));
                if (moves.containsKey(task) && !moves.get(task).startsWith("each working day")) {
                    same(
                            room + " of " + task + " on the Desk",
                            true,
                            moves.get(task).contains(room));
                }
            }
        }
    }

    @Test
    void ofTheClients() throws Exception {
        for (Project project : Stream.concat(projects.active().stream(), projects.archived().stream())
                .toList()) {
            for (SeatRow seat : seats.ofProject(project.id()).stream()
                    .filter(one -> one.state() == SeatState.ACCEPTED)
                    .toList()) {
                Visitor visitor = Visitor.by(address(), linkOf(seat.email()));
                pane(visitor, seat.name() + " at " + project.name(), seat.pane());
            }
        }
        assertThat(wrong).isEmpty();
        assertThat(compared).isGreaterThan(50);
    }

    private void pane(Visitor visitor, String who, PaneId id) throws Exception {
        String base = "/c/panes/" + id;
        Document pane = page(visitor, base);
        int waiting = pane.select("#waiting .await").size();
        pane.select(".contents a[href=#waiting]")
                .forEach(link -> same(who + ", waiting", waiting, number(link.text())));
        Map<String, String> rows = Map.of(
                "look",
                "a.work-tile",
                "tasks",
                ".task-list > li",
                "dates",
                ".dates > li",
                "files",
                ".file-list > li",
                "concerns",
                ".concern-list > li");
        for (Element link : pane.select(".contents a[href^=#]")) {
            String anchor = link.attr("href").substring(1);
            if (rows.containsKey(anchor)) {
                same(
                        who + ", " + anchor,
                        pane.select("#" + anchor + " " + rows.get(anchor)).size(),
                        number(link.text().replaceAll("^\\D*", "")));
            }
        }
        Document home = page(visitor, "/c");
        same(who + ", the home is there", false, home.text().contains("Something went wrong"));
        home.select("a.tile[href=" + base + "]")
                .forEach(tile -> same(who + ", at home", waiting, before(tile.text(), "things? waits? for you")));
        int toSign = (int) pane.select("#waiting .await h3").stream()
                .filter(one -> one.text().startsWith("Sign off: "))
                .count();
        same(
                who + ", to sign",
                toSign,
                page(visitor, base + "/to-sign").select(".sign-list > li").size());
        pane.select("a[href=#papers]")
                .forEach(link -> same(
                        who + ", papers",
                        number(link.text()),
                        number(pane.select("#papers a").text())));
    }
}
