package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.project.Project;
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
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
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
            "contact",
            "member",
            "feed",
            "template",
            "role",
            "entry",
            "beside",
            "phase",
            "page",
            "size",
            "level",
            "column",
            "row",
            "ending",
            "sight",
            "of",
            "part",
            "kind",
            "line",
            "mail",
            "job",
            "about",
            "place",
            "stuck");

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

    @Test
    void aMakerFromOutsideSeesTheProjectsTheyAreNamedForAndNoPricesPapersOrOthers() throws Exception {
        TeamMember runa = outsider();
        String desk = "/t";
        Visitor visitor = Visitor.by(address(), linkOfTeam(runa.email()));
        assertThat(visitor.get("/t/projects/" + mill() + "/plan").statusCode())
                .as("named for none")
                .isEqualTo(404);
        assertThat(visitor.get(desk).body()).doesNotContain("Flour bags", "Visitor centre");
        onProject.put(mill(), runa.id(), "cuts the letters", false);
        Visitor ines = ines();
        ines.post("/t/projects/" + mill() + "/tasks", ines.token(), Map.of("line", "Cut the letters @Runa"));
        ines.post(
                "/t/projects/" + mill() + "/signing",
                ines.token(),
                Map.of(
                        "rule",
                        "ALL",
                        "reviewDays",
                        "3",
                        "rounds",
                        "2",
                        "fee",
                        "187.50",
                        "revision",
                        String.valueOf(revisionOfSigning())));
        assertThat(ines.get("/t/projects/" + mill() + "/deliverables").body())
                .as("a price that managers read")
                .contains("187.50");
        Set<String> walked = new LinkedHashSet<>();
        Deque<String> ahead = new ArrayDeque<>(List.of(desk));
        Map<String, Integer> kinds = new HashMap<>();
        while (!ahead.isEmpty() && walked.size() < 80) {
            String path = ahead.remove().replace("&amp;", "&");
            if (walked.add(path)
                    && !path.matches(
                            ".*[.](png|svg|pdf|csv|xlsx|jsonld|css)(\\?.*)?|.*/(content|played|live|file)(\\?.*)?")) {
                HttpResponse<String> page = visitor.get(path);
                assertThat(page.statusCode())
                        .as("a link that leads nowhere: " + path)
                        .isIn(200, 302);
                assertThat(page.body())
                        .as(path)
                        .doesNotContain(
                                "Penwether",
                                "Saltgrass",
                                "Ellerby",
                                "Corran",
                                "187.50",
                                "Invoice",
                                "Papers",
                                "/papers",
                                "/clients\"");
                Matcher links = LINK.matcher(page.body());
                while (links.find()) {
                    if (kinds.merge(links.group(1).replaceAll("[0-9a-f]{8}-[0-9a-f-]{27}", "*"), 1, Integer::sum)
                            <= 2) {
                        ahead.add(links.group(1));
                    }
                }
            }
        }
        assertThat(walked).hasSizeGreaterThan(15);
        assertThat(tasks.ofProject(mill()))
                .filteredOn(one -> one.name().equals("Cut the letters"))
                .singleElement()
                .satisfies(one -> assertThat(one.hands().name()).isEqualTo("Runa Holt"));
        assertThat(visitor.get("/t/projects/" + mill() + "/plan?as=lines&who=all&open=true")
                        .body())
                .contains("Cut the letters");
        for (String shut : List.of(
                "/papers", "/people", "/panes", "/record", "/concerns", "/clearance", "/slip", "/deleted", "/sash")) {
            assertThat(visitor.get("/t/projects/" + mill() + shut).statusCode())
                    .as(shut)
                    .isEqualTo(404);
        }
        for (String shut : List.of(
                "/t/clients", "/t/team", "/t/house", "/t/people", "/t/ceilings", "/t/clients/people.csv", "/t/stuck")) {
            assertThat(visitor.get(shut).statusCode()).as(shut).isEqualTo(404);
        }
        String task = "/t/tasks/"
                + tasks.ofProject(mill()).stream()
                        .filter(one -> one.name().equals("Cut the letters"))
                        .findFirst()
                        .orElseThrow()
                        .id();
        assertThat(visitor.post(task + "/time", visitor.token(), Map.of("time", "2h", "day", "2020-03-02"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(visitor.post(
                                task + "/comments",
                                visitor.token(),
                                Map.of("body", "Cut by Friday", "said", "Cut by Friday"))
                        .statusCode())
                .isIn(302, 200);
        String elsewhere = "/t/tasks/"
                + tasks.ofProject(project("Visitor centre").id()).get(0).id();
        assertThat(visitor.get(elsewhere).statusCode()).isEqualTo(404);
        assertThat(visitor.post(elsewhere + "/time", visitor.token(), Map.of("time", "2h", "day", "2020-03-02"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(visitor.post(
                                "/t/hours",
                                visitor.token(),
                                Map.of("day", "2020-03-02", "task-" + elsewhere.substring("/t/tasks/".length()), "1h"))
                        .body())
                .contains("not there any more");
        ines.post(
                "/t/projects/" + mill() + "/signing",
                ines.token(),
                Map.of(
                        "rule",
                        "ALL",
                        "reviewDays",
                        "3",
                        "rounds",
                        "2",
                        "fee",
                        "0",
                        "revision",
                        String.valueOf(revisionOfSigning())));
        onProject.remove(mill(), runa.id());
        assertThat(visitor.get("/t/projects/" + mill() + "/plan").statusCode()).isEqualTo(404);
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

    @Test
    void aClosedProjectIsNotThereForTheRestOfTheTeam() throws Exception {
        Project centre = project("Ticket-hall signs");
        String at = "/t/projects/" + centre.id();
        Visitor ines = ines();
        Visitor teo = Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
        Visitor bastian = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        assertThat(teo.get("/t").body()).contains("Ticket-hall signs");
        HttpResponse<String> asked =
                ines.post(at + "/closed", ines.token(), Map.of("before", "false", "closed", "true"));
        assertThat(asked.statusCode()).isEqualTo(409);
        assertThat(Texts.of(asked.body())).contains("Teo Brandt", "nothing of it any more");
        ines.post(at + "/closed", ines.token(), Map.of("before", "false", "closed", "true", "sure", "true"));
        try {
            String pane = panes.ofProject(centre.id()).get(0).id().toString();
            for (String path : List.of(
                    at + "/plan",
                    at + "/deliverables",
                    at + "/people",
                    at + "/record",
                    "/t/panes/" + pane + "/link",
                    "/t/deliverables/"
                            + deliverables.ofProject(centre.id()).get(0).id())) {
                assertThat(teo.get(path).statusCode()).as(path).isIn(404, 405);
            }
            for (String path : List.of(
                    "/t",
                    "/t/projects",
                    "/t/dates?as=weeks",
                    "/t/search?q=Ticket",
                    "/t/people",
                    "/t/hours",
                    "/t/clients",
                    "/t/calendar")) {
                assertThat(teo.get(path).body()).as(path).doesNotContain("Ticket-hall");
            }
            assertThat(ines.get(at + "/plan").statusCode()).as("she manages it").isEqualTo(200);
            assertThat(ines.post(at + "/tasks", ines.token(), Map.of("line", "Not for him @Teo"))
                            .statusCode())
                    .as("nobody is given what they do not see")
                    .isEqualTo(422);
            assertThat(Jsoup.parse(ines.get(at + "/concerns").body())
                            .select("select[name=owner] option")
                            .eachText())
                    .contains("Ines Okafor-Lindqvist", "Bastian Corrie")
                    .doesNotContain("Teo Brandt");
            assertThat(bastian.get(at + "/plan").statusCode())
                    .as("owners see all")
                    .isEqualTo(200);
            ines.post("/t/projects/" + mill() + "/tasks", ines.token(), Map.of("line", "Anybody’s task"));
            assertThat(Jsoup.parse(ines.get("/t/tasks/"
                                            + tasks.ofProject(mill()).get(0).id())
                                    .body())
                            .select("select[name=doer] option")
                            .eachText())
                    .contains("Teo Brandt");
            TeamMember member = people.credentials(new EmailAddress("teo@marram-finch.example"))
                    .orElseThrow()
                    .member();
            onProject.put(centre.id(), member.id(), "", false);
            assertThat(teo.get(at + "/plan").statusCode()).as("named for it").isEqualTo(200);
            onProject.remove(centre.id(), member.id());
        } finally {
            ines.post(at + "/closed", ines.token(), Map.of("before", "true", "closed", "false"));
        }
        assertThat(teo.get(at + "/plan").statusCode()).isEqualTo(200);
    }
}
