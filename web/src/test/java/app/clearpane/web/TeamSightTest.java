package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.ProjectPeople;
import app.clearpane.store.project.WhoseProject;
import app.clearpane.web.shell.access.ForOutsideMakers;
import java.net.http.HttpResponse;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Projects that are not there for some of the team, and what is there for a maker from outside. */
class TeamSightTest extends AtTheMill {
    private static final Pattern IN_BRACES = Pattern.compile("\\{(\\w+)}");
    private static final Pattern LINK = Pattern.compile("(?:href|hx-get|src)=\"(/t[^\"#]*)");
    /** What stands in an address and belongs to no project, or only stands beside what does. */
    private static final Set<String> OF_NO_PROJECT = Set.of(
            "client",
            "logo",
            "contact",
            "member",
            "feed",
            "template",
            "role",
            "entry",
            "beside",
            "phase",
            "page",
            "number",
            "size",
            "level",
            "column",
            "row",
            "ending",
            "sight",
            "of",
            "part",
            "wanted",
            "which",
            "kind",
            "line",
            "mail",
            "job",
            "about",
            "place",
            "stuck");

    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}-[0-9a-f-]{27}");
    private static final Pattern NO_PAGE =
            Pattern.compile(".*[.](png|svg|pdf|csv|xlsx|jsonld|css)(\\?.*)?|.*/(content|played|live|file)(\\?.*)?");

    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;

    @Autowired
    private ProjectPeople onProject;

    @Autowired
    private People people;

    @Autowired
    private Tasks tasks;

    private TeamMember outsider() {
        EmailAddress address = new EmailAddress("runa@holt-signs.example");
        return people.credentials(address)
                .map(People.Credentials::member)
                .orElseGet(() -> people.addMember(
                        new Name("Runa Holt"), address, TeamRole.OUTSIDE, "no-password-opens-this", clock.instant()));
    }

    private Project project(String name) {
        return projects.active().stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whateverStandsInAnAddressIsKnownToBelongToAProjectOrToNone() {
        Set<String> unknown = new TreeSet<>();
        requestMappingHandlerMapping.getHandlerMethods().forEach((info, method) -> info.getPatternValues().stream()
                .filter(pattern -> pattern.startsWith("/t/"))
                .forEach(pattern -> {
                    Matcher words = IN_BRACES.matcher(pattern);
                    while (words.find()) {
                        if (!WhoseProject.known().contains(words.group(1)) && !OF_NO_PROJECT.contains(words.group(1))) {
                            unknown.add(words.group(1) + " of " + pattern);
                        }
                    }
                }));
        assertThat(unknown).isEmpty();
    }

    /** What Runa of the sign makers does. */
    private interface OfRuna {
        void with(Visitor runa) throws Exception;
    }

    /** Runa is named for the mill's bags while she does something. */
    private void whileNamed(OfRuna does) throws Exception {
        TeamMember runa = outsider();
        onProject.put(mill(), runa.id(), "cuts the letters", false);
        try {
            does.with(Visitor.by(address(), linkOfTeam(runa.email())));
        } finally {
            onProject.remove(mill(), runa.id());
        }
    }

    private void setFee(String fee) throws Exception {
        Visitor ines = ines();
        String revision = String.valueOf(revisionOfSigning());
        ines.post(
                "/t/projects/" + mill() + "/signing",
                ines.token(),
                Map.of("rule", "ALL", "reviewDays", "3", "rounds", "2", "fee", fee, "revision", revision));
    }

    /** The addresses that somebody gets to by links, a few of each kind, with what is there. */
    private static Map<String, String> walked(Visitor visitor) throws Exception {
        Map<String, String> walked = new LinkedHashMap<>();
        Deque<String> ahead = new ArrayDeque<>(List.of("/t"));
        Map<String, Integer> kinds = new HashMap<>();
        while (!ahead.isEmpty() && walked.size() < 80) {
            String path = ahead.remove().replace("&amp;", "&");
            if (!walked.containsKey(path) && !NO_PAGE.matcher(path).matches()) {
                HttpResponse<String> page = visitor.get(path);
                assertThat(page.statusCode())
                        .as("a link that leads nowhere: " + path)
                        .isIn(200, 302);
                walked.put(path, page.body());
                LINK.matcher(page.body())
                        .results()
                        .map(link -> link.group(1))
                        .filter(link -> kinds.merge(ID.matcher(link).replaceAll("*"), 1, Integer::sum) <= 2)
                        .forEach(ahead::add);
            }
        }
        return walked;
    }

    private String task(String name) {
        return "/t/tasks/"
                + tasks.ofProject(mill()).stream()
                        .filter(one -> one.name().equals(name))
                        .findFirst()
                        .orElseThrow()
                        .id();
    }

    @Test
    void whoeverIsFromOutsideSeesWhatTheyAreNamedForAsLongAsTheyAre() throws Exception {
        Visitor runa = Visitor.by(address(), linkOfTeam(outsider().email()));
        String plan = "/t/projects/" + mill() + "/plan";
        assertThat(runa.get(plan).statusCode()).as("named for none").isEqualTo(404);
        assertThat(runa.get("/t").body()).doesNotContain("Flour bags", "Visitor centre");
        whileNamed(named -> assertThat(named.get(plan).statusCode()).isEqualTo(200));
        assertThat(runa.get(plan).statusCode()).as("not any more").isEqualTo(404);
    }

    @Test
    void nothingTheyGetToTellsOfPricesPapersOrOthers() throws Exception {
        setFee("187.50");
        assertThat(ines().get("/t/projects/" + mill() + "/deliverables").body())
                .as("a price that managers read")
                .contains("187.50");
        whileNamed(runa -> assertThat(walked(runa)).hasSizeGreaterThan(15).allSatisfy((path, body) -> assertThat(body)
                .as(path)
                .doesNotContain("Penwether", "Saltgrass", "Ellerby", "Corran")
                .doesNotContain("187.50", "Invoice", "Papers", "/papers", "/clients\"")));
        setFee("0");
    }

    @ParameterizedTest
    @ValueSource(strings = {"papers", "people", "panes", "record", "concerns", "clearance", "slip", "deleted", "sash"})
    void theRoomsOfManagersAreNotThereInTheirProjects(String room) throws Exception {
        whileNamed(runa -> assertThat(
                        runa.get("/t/projects/" + mill() + "/" + room).statusCode())
                .isEqualTo(404));
    }

    @ParameterizedTest
    @ValueSource(strings = {"clients", "team", "house", "people", "ceilings", "clients/people.csv", "stuck"})
    void theRoomsOfTheHouseAreNotThere(String room) throws Exception {
        whileNamed(runa -> assertThat(runa.get("/t/" + room).statusCode()).isEqualTo(404));
    }

    @Test
    void theyWorkOnTheTasksOfTheirProjects() throws Exception {
        whileNamed(runa -> {
            Visitor ines = ines();
            ines.post("/t/projects/" + mill() + "/tasks", ines.token(), Map.of("line", "Cut the letters @Runa"));
            assertThat(tasks.ofProject(mill()))
                    .filteredOn(one -> one.name().equals("Cut the letters"))
                    .allSatisfy(one -> assertThat(one.hands().name()).isEqualTo("Runa Holt"));
            assertThat(runa.get("/t/projects/" + mill() + "/plan?as=lines&who=all&open=true")
                            .body())
                    .contains("Cut the letters");
            Map<String, String> time = Map.of("time", "2h", "day", "2020-03-02");
            assertThat(runa.post(task("Cut the letters") + "/time", runa.token(), time)
                            .statusCode())
                    .isEqualTo(302);
            Map<String, String> words = Map.of("said", "Cut by Friday");
            assertThat(runa.post(task("Cut the letters") + "/comments", runa.token(), words)
                            .statusCode())
                    .isIn(302, 200);
        });
    }

    @Test
    void theTasksOfOthersAreNotThere() throws Exception {
        String other =
                tasks.ofProject(project("Visitor centre").id()).get(0).id().toString();
        whileNamed(runa -> {
            assertThat(runa.get("/t/tasks/" + other).statusCode()).isEqualTo(404);
            Map<String, String> time = Map.of("time", "2h", "day", "2020-03-02");
            assertThat(runa.post("/t/tasks/" + other + "/time", runa.token(), time)
                            .statusCode())
                    .isEqualTo(404);
            Map<String, String> hours = Map.of("day", "2020-03-02", "task-" + other, "1h");
            assertThat(runa.post("/t/hours", runa.token(), hours).body()).contains("not there any more");
        });
    }

    private int revisionOfSigning() throws Exception {
        return Integer.parseInt(Jsoup.parse(
                        ines().get("/t/projects/" + mill() + "/deliverables").body())
                .select("form[action$=/signing] input[name=revision]")
                .val());
    }

    @Test
    void whatIsForOutsideIsNeverWhatOnlyManagersOrOwnersLookAt() {
        List<String> both = new ArrayList<>();
        requestMappingHandlerMapping.getHandlerMethods().forEach((info, method) -> {
            boolean outside = method.hasMethodAnnotation(ForOutsideMakers.class)
                    || AnnotatedElementUtils.hasAnnotation(method.getBeanType(), ForOutsideMakers.class);
            if (outside
                    && info.getMethodsCondition().getMethods().contains(RequestMethod.GET)
                    && info.getPatternValues().stream()
                            .anyMatch(pattern -> pattern.matches(
                                    ".*(paper|client|pane|seat|link|clearance|record|ceiling|house).*"))) {
                both.add(info.getPatternValues().toString());
            }
        });
        assertThat(both).isEmpty();
    }

    /** Ticket-hall signs is closed to the rest of the team while something is done. */
    private void whileClosed(OfClosed does) throws Exception {
        Project hall = project("Ticket-hall signs");
        String closed = "/t/projects/" + hall.id() + "/closed";
        Visitor ines = ines();
        ines.post(closed, ines.token(), Map.of("before", "false", "closed", "true", "sure", "true"));
        try {
            does.in(hall.id());
        } finally {
            ines.post(closed, ines.token(), Map.of("before", "true", "closed", "false"));
        }
    }

    /** What is done in a project that is closed. */
    private interface OfClosed {
        void in(ProjectId project) throws Exception;
    }

    private Visitor of(String member) throws Exception {
        return Visitor.by(address(), linkOfTeam(member + "@marram-finch.example"));
    }

    @Test
    void closingAProjectSaysFirstWhoSeesNothingOfItAnyMore() throws Exception {
        Visitor ines = ines();
        HttpResponse<String> asked = ines.post(
                "/t/projects/" + project("Ticket-hall signs").id() + "/closed",
                ines.token(),
                Map.of("before", "false", "closed", "true"));
        assertThat(asked.statusCode()).isEqualTo(409);
        assertThat(Texts.of(asked.body())).contains("Teo Brandt", "nothing of it any more");
        assertThat(of("teo").get("/t").body()).as("nothing was done").contains("Ticket-hall signs");
    }

    @Test
    void nothingOfAClosedProjectIsThereForTheRestOfTheTeam() throws Exception {
        whileClosed(project -> {
            String at = "/t/projects/" + project;
            String pane = panes.ofProject(project).get(0).id().toString();
            String work = deliverables.ofProject(project).get(0).id().toString();
            Visitor teo = of("teo");
            for (String path : List.of(
                    at + "/plan",
                    at + "/deliverables",
                    at + "/people",
                    at + "/record",
                    "/t/panes/" + pane + "/link",
                    "/t/deliverables/" + work)) {
                assertThat(teo.get(path).statusCode()).as(path).isIn(404, 405);
            }
        });
        assertThat(of("teo")
                        .get("/t/projects/" + project("Ticket-hall signs").id() + "/plan")
                        .statusCode())
                .as("open again")
                .isEqualTo(200);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/t",
                "/t/projects",
                "/t/dates?as=weeks",
                "/t/search?q=Ticket",
                "/t/people",
                "/t/hours",
                "/t/clients",
                "/t/calendar"
            })
    void noRoomOfTheHouseTellsOfAClosedProject(String room) throws Exception {
        whileClosed(project -> assertThat(of("teo").get(room).body()).doesNotContain("Ticket-hall"));
    }

    @Test
    void whoManagesOrOwnsOrIsNamedSeesAClosedProject() throws Exception {
        whileClosed(project -> {
            String plan = "/t/projects/" + project + "/plan";
            assertThat(ines().get(plan).statusCode()).as("she manages it").isEqualTo(200);
            assertThat(of("bastian").get(plan).statusCode())
                    .as("owners see all")
                    .isEqualTo(200);
            TeamMember teo = people.memberAt(new EmailAddress("teo@marram-finch.example"))
                    .orElseThrow();
            onProject.put(project, teo.id(), "", false);
            assertThat(of("teo").get(plan).statusCode()).as("named for it").isEqualTo(200);
            onProject.remove(project, teo.id());
        });
    }

    @Test
    void nobodyIsGivenWhatTheyDoNotSee() throws Exception {
        whileClosed(project -> {
            String at = "/t/projects/" + project;
            Visitor ines = ines();
            assertThat(ines.post(at + "/tasks", ines.token(), Map.of("line", "Not for him @Teo"))
                            .statusCode())
                    .isEqualTo(422);
            assertThat(options(ines, at + "/concerns", "owner"))
                    .contains("Ines Okafor-Lindqvist", "Bastian Corrie")
                    .doesNotContain("Teo Brandt");
            ines.post("/t/projects/" + mill() + "/tasks", ines.token(), Map.of("line", "Anybody’s task"));
            assertThat(options(ines, task("Anybody’s task"), "doer"))
                    .as("where it is open")
                    .contains("Teo Brandt");
        });
    }

    private static List<String> options(Visitor visitor, String page, String field) throws Exception {
        return Jsoup.parse(visitor.get(page).body())
                .select("select[name=" + field + "] option")
                .eachText();
    }
}
