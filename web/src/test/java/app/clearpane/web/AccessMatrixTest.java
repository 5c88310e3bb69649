package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.exposure.MakeLink;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Every page for every kind of person: in, sent to sign in, not there, or not theirs. A page without a line fails; what
 * is done from them is tried apart.
 */
class AccessMatrixTest extends DemoHouse {
    /** Words that somebody might put into an address for others to read. */
    private static final String NOT_OURS = "Paytoanotheraccount";

    @Autowired
    private Requests requests;

    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;

    @Autowired
    private Seats seats;

    @Autowired
    private Deliverables deliverables;

    @Autowired
    private app.clearpane.store.papers.Papers papers;

    @Autowired
    private MakeLink makeLink;

    @Autowired
    private Markups markups;

    @Autowired
    private ProjectFiles files;

    @Autowired
    private Tasks tasks;

    private static List<String> lines() throws Exception {
        try (BufferedReader in = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(AccessMatrixTest.class.getResourceAsStream("/access-matrix.txt")),
                StandardCharsets.UTF_8))) {
            return in.lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .toList();
        }
    }

    private Set<String> routes() {
        Set<String> routes = new TreeSet<>();
        requestMappingHandlerMapping.getHandlerMethods().forEach((info, method) -> {
            if (method.getBeanType().getPackageName().startsWith("app.clearpane")) {
                RequestMethod verb = info.getMethodsCondition().getMethods().stream()
                        .findFirst()
                        .orElse(RequestMethod.GET);
                if (verb == RequestMethod.GET) {
                    info.getPatternValues().forEach(pattern -> routes.add(verb + " " + pattern));
                }
            }
        });
        return routes;
    }

    @Test
    void everyRouteAnswersEverybodyAsExpected() throws Exception {
        Map<String, String> expected = new LinkedHashMap<>();
        lines().forEach(line -> expected.put(
                line.split("\\s+")[0] + " " + line.split("\\s+")[1],
                line.replaceAll("^\\S+\\s+\\S+\\s+", "").replaceAll("\\s+", " ")));
        assertThat(expected.keySet()).as("routes with a line").containsExactlyInAnyOrderElementsOf(routes());
        Map<String, Visitor> people = people();
        Map<String, String> ids = ids();
        Map<String, String> film = film(ids);
        List<String> routes = List.copyOf(expected.keySet());
        List<List<String>> columns = Together.all(people.values().stream()
                .map(visitor -> (Callable<List<String>>)
                        () -> answers(visitor, routes, route -> route.endsWith("/played") ? film : ids))
                .toList());
        List<String> wrong = new ArrayList<>();
        for (int row = 0; row < routes.size(); row++) {
            int at = row;
            String route = routes.get(row);
            String answered = columns.stream().map(column -> column.get(at)).collect(Collectors.joining(" "));
            if (!answered.equals(expected.get(route))) {
                wrong.add(route + "\n  expected " + expected.get(route) + "\n  answered " + answered);
            }
        }
        assertThat(wrong).as("columns: " + people.keySet()).isEmpty();
        assertThat(SecretsInModels.found()).as("secrets that reach templates").isEmpty();
    }

    @Test
    void aSecretInAModelWouldBeFound() {
        SecretsInModels.walk(
                List.of(Map.of("links", List.of(java.util.Optional.of(new WithSecret("Paint shop", "x"))))),
                "/nowhere");
        assertThat(SecretsInModels.found()).contains("WithSecret.passcodeHash on /nowhere");
        SecretsInModels.forget("/nowhere");
    }

    private record WithSecret(String name, String passcodeHash) {}

    private static List<String> answers(Visitor visitor, List<String> routes, Function<String, Map<String, String>> ids)
            throws Exception {
        List<String> answers = new ArrayList<>();
        for (String route : routes) {
            answers.add(answer(visitor, route, ids.apply(route)));
        }
        return answers;
    }

    private Map<String, Visitor> people() throws Exception {
        Map<String, Visitor> people = new LinkedHashMap<>();
        people.put("nobody", new Visitor(address()));
        for (String contact : List.of(
                "per@penwether", "mirela@penwether", "jasper@penwether", "ottoline@penwether", "imre@hobandbarley")) {
            people.put(contact, Visitor.by(address(), linkOf(contact + ".example")));
        }
        for (String member : List.of("teo", "ines", "bastian")) {
            people.put(member, Visitor.by(address(), linkOfTeam(member + "@marram-finch.example")));
        }
        PaneId board = panes.ofProject(projects.active().stream()
                        .filter(one -> one.name().equals("Visitor centre"))
                        .findFirst()
                        .orElseThrow()
                        .id())
                .get(0)
                .id();
        people.put(
                "whoever has a link",
                Visitor.by(
                        address(),
                        makeLink.make(board, new MakeLink.Form("Matrix", false, "", ""), Acting.team("Ines"))
                                .address()));
        return people;
    }

    private Map<String, String> film(Map<String, String> ids) {
        Map<String, String> film = new LinkedHashMap<>(ids);
        ProjectId project = ProjectId.of(java.util.Objects.requireNonNull(ids.get("project")));
        film.put(
                "version",
                deliverables.versionsOf(project).stream()
                        .filter(v -> v.fileName().equals("opening-trailer.mp4"))
                        .findFirst()
                        .orElseThrow()
                        .id()
                        .toString());
        return film;
    }

    /** Things of the demo that these pages may be about. */
    private Map<String, String> ids() {
        Project project = projects.active().stream()
                .filter(p -> p.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow();
        ProjectId id = project.id();
        Panes.Row board = panes.ofProject(id).get(0);
        SeatRow ottoline = seats.ofPane(board.id()).get(0);
        Version version = deliverables.versionsOf(id).stream()
                .filter(v -> v.fileName().equals("visitor-map-2.pdf"))
                .findFirst()
                .orElseThrow();
        Map<String, String> ids = new LinkedHashMap<>();
        ids.put("project", id.toString());
        ids.put("pane", board.id().toString());
        ids.put("seat", ottoline.id().toString());
        ids.put("sight", "now");
        ids.put("version", version.id().toString());
        ids.put("deliverable", version.deliverable().toString());
        ids.put("mark", markups.marksOf(version.deliverable()).get(0).id().toString());
        ids.put(
                "file",
                files.ofProject(id).stream()
                        .filter(f -> f.name().equals("Survey of the grounds.pdf"))
                        .findFirst()
                        .orElseThrow()
                        .id()
                        .toString());
        ids.put("item", ids.get("file"));
        ids.put(
                "task",
                tasks.ofProject(id).stream()
                        .filter(t -> t.name().equals("Opening hours for the leaflet"))
                        .findFirst()
                        .orElseThrow()
                        .id()
                        .toString());
        ids.put("phase", projects.phases(id).get(0).id().toString());
        ids.put("milestone", projects.milestones(id).get(0).id().toString());
        ids.put("client", projects.find(id).orElseThrow().client().toString());
        ids.put("logo", UUID.randomUUID().toString());
        ids.put("role", "FACE");
        ids.put("subject", UUID.randomUUID().toString());
        ids.put("of", "cover");
        ids.put("page", "1");
        ids.put("ending", "css");
        ids.put("level", "1");
        ids.put("column", "0");
        ids.put("row", "0");
        ids.put("size", "small");
        ids.put("number", "99");
        ids.put("key", "no-such-key");
        ids.put("feed", UUID.randomUUID().toString());
        ids.put("table", UUID.randomUUID().toString());
        ids.put("note", UUID.randomUUID().toString());
        ids.put(
                "paper",
                papers.ofProject(id).stream()
                        .filter(paper -> paper.name().equals("Invoice 2 of 4"))
                        .findFirst()
                        .orElseThrow()
                        .id()
                        .toString());
        Request pictures = requests.ofProject(id).stream()
                .filter(one -> one.title().startsWith("Pictures and words"))
                .findFirst()
                .orElseThrow();
        ids.put(
                "questions",
                requests.ofProject(id).stream()
                        .filter(one -> one.asksQuestionsOnly())
                        .flatMap(one -> one.parts().stream())
                        .findFirst()
                        .orElseThrow()
                        .id()
                        .toString());
        ids.put("request", pictures.id().toString());
        ids.put("given", pictures.supplied().get(0).id().toString());
        ids.put("wanted", pictures.parts().get(0).id().toString());
        ids.put("which", "GOOD");
        ids.put("standIn", UUID.randomUUID().toString());
        ids.put("line", UUID.randomUUID().toString());
        ids.put("link", UUID.randomUUID().toString());
        ids.put("release", UUID.randomUUID().toString());
        ids.put("entry", UUID.randomUUID().toString());
        ids.put("beside", UUID.randomUUID().toString());
        ids.put("attachment", UUID.randomUUID().toString());
        ids.put("concern", UUID.randomUUID().toString());
        ids.put("member", UUID.randomUUID().toString());
        ids.put("mail", "no-such-mail");
        ids.put("place", UUID.randomUUID().toString());
        ids.put("stuck", UUID.randomUUID().toString());
        assertThat(ContentKind.values()).hasSize(6);
        return ids;
    }

    private static String answer(Visitor visitor, String route, Map<String, String> ids) throws Exception {
        String path = route.substring(route.indexOf(' ') + 1);
        path = filled(path, ids);
        HttpResponse<String> response = visitor.get(path);
        String location = response.headers().firstValue("Location").orElse("");
        return switch (response.statusCode()) {
            case 302 -> location.endsWith("/sign-in") || location.contains("/come-in") ? "door" : "in";
            case 404 -> "404";
            case 403 -> "403";
            case 200 -> "in";
            default -> String.valueOf(response.statusCode());
        };
    }

    /**
     * Whatever a page takes from its address, it prints nothing of it but in the fields that people type into: an
     * address cannot put words into the house's mouth.
     */
    @Test
    void noPagePrintsTextsFromItsAddress() throws Exception {
        Visitor owner = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        Visitor reader = Visitor.by(address(), linkOf("jasper@penwether.example"));
        Map<String, String> ids = ids();
        List<String> printed = new ArrayList<>();
        for (Map.Entry<String, Set<String>> page : parameters().entrySet()) {
            for (String query : page.getValue()) {
                String path = filled(page.getKey(), ids) + "?" + query;
                HttpResponse<String> response = (page.getKey().startsWith("/c") ? reader : owner).get(path);
                org.jsoup.nodes.Document shown = org.jsoup.Jsoup.parse(response.body());
                shown.select("input, textarea").remove();
                if (shown.text().contains(NOT_OURS)) {
                    printed.add(path);
                }
            }
        }
        assertThat(printed)
                .as("of what was searched for, the page says that it was not found")
                .isSubsetOf("/t/search?q=" + NOT_OURS);
    }

    /** The queries to try on each page, by its route: what any page might take at once, and what it says it takes. */
    private Map<String, Set<String>> parameters() {
        Map<String, Set<String>> parameters = new java.util.TreeMap<>();
        requestMappingHandlerMapping.getHandlerMethods().forEach((info, method) -> {
            if (method.getBeanType().getPackageName().startsWith("app.clearpane")
                    && info.getMethodsCondition().getMethods().contains(RequestMethod.GET)) {
                Set<String> queries = new TreeSet<>();
                queries.add(Stream.of("left", "said", "wrong", "added", "deleted", "moved", "undo")
                        .map(name -> name + "=" + NOT_OURS)
                        .collect(Collectors.joining("&")));
                for (java.lang.reflect.Parameter parameter : method.getMethod().getParameters()) {
                    if (parameter.isAnnotationPresent(org.springframework.web.bind.annotation.RequestParam.class)) {
                        queries.add(parameter.getName() + "=" + NOT_OURS);
                    }
                }
                info.getPatternValues().stream()
                        .filter(route -> !route.endsWith("/live"))
                        .forEach(route -> parameters.put(route, queries));
            }
        });
        return parameters;
    }

    private static String filled(String route, Map<String, String> ids) {
        String path = route;
        for (Map.Entry<String, String> id : ids.entrySet()) {
            path = path.replace("{" + id.getKey() + "}", id.getValue());
        }
        return path;
    }
}
