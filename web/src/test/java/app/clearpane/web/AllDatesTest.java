package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.store.agency.People;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * Everything that has a day, over all projects: on a page, in a calendar program, and what a client sees of tasks by
 * their day.
 */
class AllDatesTest extends AtTheMill {
    @Autowired
    private Tasks tasks;

    @Autowired
    private People people;

    @Autowired
    private TheAgency agency;

    private ItemId task(Visitor ines, String line) throws Exception {
        ines.post("/t/projects/" + mill() + "/tasks", ines.token(), Map.of("line", line));
        return tasks.ofProject(mill()).stream()
                .filter(task -> line.startsWith(task.name()))
                .max(Comparator.comparing(task -> task.name().length()))
                .map(PlannedTask::id)
                .orElseThrow();
    }

    private static Document page(Visitor who, String query) throws Exception {
        return Jsoup.parse(who.get("/t/dates" + query).body());
    }

    /** The date of the cell that a thing stands in. */
    private static String cellOf(Document month, String name) {
        return month.select("td:not(.beyond) .falls a").stream()
                .filter(link -> link.text().equals(name))
                .map(Element::parent)
                .map(Element::parent)
                .map(cell -> cell.select(".date").text())
                .reduce("", String::concat);
    }

    @Test
    void byMonthAndByWeeksOfWhomAndWhat() throws Exception {
        Visitor ines = ines();
        LocalDate day = agency.today().plusMonths(1).withDayOfMonth(15);
        ItemId sieve = task(ines, "Sift the sieves " + day + " @Teo");
        assertThat(tasks.find(sieve).orElseThrow().details().due()).contains(day);
        String month = "?from=" + day.withDayOfMonth(1);
        assertThat(cellOf(page(ines, month), "Sift the sieves")).isEqualTo("15");
        isSiftedByWhomAndWhat(ines, month);
        Document weeks = page(ines, "?as=weeks&from=" + day);
        assertThat(weeks.select("li:contains(Sift the sieves)").text()).contains("Flour bags", "Teo");
        assertThat(page(ines, "?from=nonsense&as=sideways&who=nobody").select("table.month"))
                .as("what cannot be read is today")
                .hasSize(1);
        ines.post(
                "/t/tasks/" + sieve + "/delete",
                ines.token(),
                Map.of("before", "revision " + tasks.find(sieve).orElseThrow().revision()));
        assertThat(cellOf(page(ines, month), "Sift the sieves")).isEmpty();
        assertThat(imre().get("/t/dates").statusCode()).isEqualTo(404);
    }

    private void isSiftedByWhomAndWhat(Visitor ines, String month) throws Exception {
        TeamMember teo = people.credentials(new EmailAddress("teo@marram-finch.example"))
                .orElseThrow()
                .member();
        assertThat(cellOf(page(ines, month + "&who=" + teo.id()), "Sift the sieves"))
                .isEqualTo("15");
        assertThat(cellOf(page(ines, month + "&who=me"), "Sift the sieves")).isEmpty();
        assertThat(cellOf(page(ines, month + "&who=clients"), "Sift the sieves"))
                .isEmpty();
        assertThat(cellOf(page(ines, month + "&what=MILESTONE"), "Sift the sieves"))
                .isEmpty();
        assertThat(cellOf(
                        page(
                                ines,
                                month + "&client="
                                        + projects.find(mill()).orElseThrow().client()),
                        "Sift the sieves"))
                .isEqualTo("15");
    }

    @Test
    void aDayWithTooMuchSaysHowMuchMore() throws Exception {
        Visitor ines = ines();
        LocalDate day = agency.today().plusMonths(9).withDayOfMonth(17);
        for (int i = 1; i <= 7; i++) {
            task(ines, "Sack number " + i + " " + day);
        }
        Document month = page(ines, "?from=" + day);
        assertThat(month.select("td:not(.beyond):has(.falls a:contains(Sack number)) .more")
                        .text())
                .isEqualTo("3 more");
        assertThat(page(ines, "?as=weeks&from=" + day).select("li:contains(Sack number)"))
                .hasSize(7);
    }

    @Test
    void anAddressForEverything() throws Exception {
        Visitor teo = Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
        String everything = feed(teo, "EVERYTHING");
        String own = feed(teo, "");
        assertThat(everything).contains("Penwether Observatory Trust: Visitor centre", "Flour bags", "BEGIN:VCALENDAR");
        assertThat(own.split("BEGIN:VEVENT").length).isLessThan(everything.split("BEGIN:VEVENT").length);
        assertThat(Texts.of(teo.get("/t/calendar").body())).contains("everything, over all projects");
    }

    private static String feed(Visitor who, String of) throws Exception {
        String address = Jsoup.parse(who.post("/t/calendar/feeds", who.token(), Map.of("project", of))
                        .body())
                .select("code.feed-address")
                .text();
        return new Visitor(address.replaceFirst("/p/.*", ""))
                .get(address.replaceFirst("https?://[^/]+", ""))
                .body();
    }

    @Test
    void aClientSeesTheirTasksByTheirDay() throws Exception {
        Visitor ottoline = Visitor.by(address(), linkOf("ottoline@penwether.example"));
        String board = theBoard();
        Document all = Jsoup.parse(ottoline.get(board + "/tasks").body());
        List<String> names = all.select(".task-list a").eachText();
        assertThat(names).isNotEmpty();
        int counted = all.select("nav[aria-label='When it is due'] a").stream()
                .skip(1)
                .mapToInt(link -> Integer.parseInt(link.text().replaceAll(".* ", "")))
                .sum();
        assertThat(counted).as("every task is in one week").isEqualTo(names.size());
        for (Element week : all.select("nav[aria-label='When it is due'] a").stream()
                .skip(1)
                .toList()) {
            assertThat(Jsoup.parse(ottoline.get(week.attr("href")).body()).select(".task-list a"))
                    .hasSize(Integer.parseInt(week.text().replaceAll(".* ", "")));
        }
        List<String> planned = Jsoup.parse(
                        ottoline.get(board + "/tasks?by=plan").body())
                .select(".task-list a")
                .eachText();
        assertThat(planned).containsExactlyInAnyOrderElementsOf(names);
        assertThat(imre().get(board + "/tasks").statusCode()).isEqualTo(404);
    }

    private String theBoard() throws Exception {
        String board = "/c/panes/"
                + projects.active().stream()
                        .filter(one -> one.name().equals("Visitor centre"))
                        .flatMap(one -> panes.ofProject(one.id()).stream())
                        .filter(pane -> pane.name().equals("The board"))
                        .findFirst()
                        .orElseThrow()
                        .id();
        return board;
    }
}
