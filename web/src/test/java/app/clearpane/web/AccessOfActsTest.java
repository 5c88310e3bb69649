package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.question.Answers;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.supply.Questionnaires;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.exposure.MakeLink;
import app.clearpane.usecases.security.Person;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.server.PathContainer;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.context.WebApplicationContext;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;

/**
 * Everything that can be done, sent by everybody as it would be done: who does it, who is sent to sign in, for whom it
 * is not there, who may not, and who is told what is missing. Nothing that is done stays.
 */
class AccessOfActsTest extends DemoHouse {
    private static final List<String> WORST_LAST = List.of("done", "409", "422", "429", "400", "403", "404", "door");
    private static final int MOST_TRIED = 4;

    @Autowired
    private Requests requests;

    @Autowired
    private Questionnaires questionnaires;

    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;

    @Autowired
    private WebApplicationContext context;

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private LinkSeats linkSeats;

    @Autowired
    private MakeLink makeLink;

    @Autowired
    private Deliverables deliverables;

    @Autowired
    private Markups markups;

    @Autowired
    private Seats seats;

    @Autowired
    private ProjectFiles files;

    @Autowired
    private Tasks tasks;

    private Map<String, Line> lines = Map.of();
    private Map<String, PathPattern> routes = Map.of();
    private Map<String, Person> everybody = Map.of();
    private Map<String, String> ids = Map.of();
    private Map<String, Set<WouldSucceed.Sent>> found = Map.of();
    private final Map<Line, List<WouldSucceed.First>> before = new HashMap<>();
    private WouldSucceed sending;

    /** A line: who gets what, and how it is sent where no page has a form for it that would be taken as it stands. */
    private record Line(String answers, String path, String with, String after, String see, String like, String why) {
        static Line of(List<String> words) {
            return new Line(
                    String.join(" ", words.subList(1, Math.min(12, words.size()))),
                    told(words, "path:"),
                    told(words, "with:"),
                    told(words, "after:"),
                    told(words, "see:"),
                    told(words, "like:"),
                    told(words, "why:"));
        }

        private static String told(List<String> words, String name) {
            return words.stream()
                    .filter(word -> word.startsWith(name))
                    .map(word -> word.substring(name.length()))
                    .findFirst()
                    .orElse("");
        }
    }

    private static Map<String, Line> lines() throws Exception {
        try (BufferedReader in = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(AccessOfActsTest.class.getResourceAsStream("/access-of-acts.txt")),
                StandardCharsets.UTF_8))) {
            Map<String, Line> lines = new LinkedHashMap<>();
            in.lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .map(line -> List.of(line.strip().split("\\s+")))
                    .forEach(words -> lines.put(words.get(0), Line.of(words)));
            return lines;
        }
    }

    @Test
    void everyActIsDoneByWhoMayAndByNobodyElse() throws Exception {
        lines = lines();
        routes = routes();
        assertThat(lines.keySet()).as("acts with a line").containsExactlyInAnyOrderElementsOf(routes.keySet());
        sending = new WouldSucceed(
                MockMvcBuilders.webAppContextSetup(context)
                        .apply(springSecurity())
                        .build(),
                transaction,
                clock.instant());
        everybody = everybody();
        ids = ids();

        found = found();

        List<String> wrong = new ArrayList<>();
        StringBuilder asAnswered = new StringBuilder();
        for (String route : routes.keySet()) {
            Line line = everybodyTries(wrong, asAnswered, route);
        }
        Files.writeString(Path.of("target", "access-of-acts.txt"), asAnswered);
        noActIsNobodys();
        assertThat(wrong).as("columns: " + everybody.keySet()).isEmpty();
    }

    private Line everybodyTries(List<String> wrong, StringBuilder asAnswered, String route) throws Exception {
        Line line = Objects.requireNonNull(lines.get(route));
        List<String> answers = new ArrayList<>();
        Set<String> said = new TreeSet<>();
        for (Person person : everybody.values()) {
            String answer = best(route, line, person);
            said.add(answer.replaceFirst("^\\S+ ?", ""));
            answers.add(answer.replaceFirst(" .*", ""));
        }
        String answered = String.join(" ", answers);
        asAnswered.append("%-60s %s%s%n".formatted(route, answered, answered.contains("done") ? "" : " " + said));
        if (!answered.equals(line.answers)) {
            wrong.add(route + "\n  expected " + line.answers + "\n  answered " + answered + "\n  said " + said);
        }
        return line;
    }

    private void noActIsNobodys() throws Exception {
        assertThat(lines.entrySet().stream()
                        .filter(line -> !line.getValue().answers.contains("done")
                                && line.getValue().why.isEmpty())
                        .map(Map.Entry::getKey)
                        .toList())
                .as("acts that nobody does, without a reason")
                .isEmpty();
    }

    /** The best that somebody gets, of the ways in which it can be sent. */
    private String best(String route, Line line, Person person) {
        String best = "-";
        List<WouldSucceed.First> first = first(line);
        for (WouldSucceed.Sent sent : tried(route, line)) {
            String answer = sending.answer(
                    first,
                    sent,
                    forms -> forms.stream()
                            .filter(form -> matches(route, form.path()))
                            .map(form -> form.with(filled(line.with)))
                            .toList(),
                    person);
            if (rank(answer) < rank(best)) {
                best = answer;
            }
            if (rank(best) == 0) {
                break;
            }
        }
        return best;
    }

    private static int rank(String answer) {
        int at = WORST_LAST.indexOf(answer.replaceFirst(" .*", ""));
        return at < 0 ? answer.equals("-") ? 99 : 50 : at;
    }

    /** What has to be done before, by the first for whom it is done. */
    private List<WouldSucceed.First> first(Line line) {
        return line.after.isEmpty() ? List.of() : before.computeIfAbsent(line, this::firstOf);
    }

    private List<WouldSucceed.First> firstOf(Line line) {
        Line before = Objects.requireNonNull(lines.get(line.after));
        for (String who : List.of("owner", "signatory", "lead-voice", "manager")) {
            Person by = Objects.requireNonNull(everybody.get(who));
            for (WouldSucceed.Sent sent : tried(line.after, before)) {
                if (sending.answer(List.of(), sent, forms -> forms, by).equals("done")) {
                    return List.of(new WouldSucceed.First(sent, by, filled(line.see)));
                }
            }
        }
        return List.of(new WouldSucceed.First(
                new WouldSucceed.Sent("/nobody-does-this", Map.of(), Map.of()),
                Objects.requireNonNull(everybody.get("owner")),
                ""));
    }

    private List<WouldSucceed.Sent> tried(String route, Line line) {
        Set<WouldSucceed.Sent> known = found.getOrDefault(route, Set.of());
        if (!line.path.isEmpty()) {
            known = Set.of(new WouldSucceed.Sent(filled(line.path), Map.of(), Map.of()));
        } else if (!line.like.isEmpty()) {
            known = new LinkedHashSet<>();
            for (WouldSucceed.Sent other : found.getOrDefault(line.like, Set.of())) {
                known.add(new WouldSucceed.Sent(at(route, line.like, other.path()), other.fields(), other.files()));
            }
        } else if (!line.after.isEmpty()) {
            WouldSucceed.Sent before = first(line).get(0).sent();
            known = Set.of(new WouldSucceed.Sent(at(route, line.after, before.path()), Map.of(), Map.of()));
        } else if (!route.contains("{") && known.isEmpty()) {
            known = Set.of(new WouldSucceed.Sent(route, Map.of(), Map.of()));
        }
        return known.stream()
                .limit(MOST_TRIED)
                .map(sent -> sent.with(filled(line.with)))
                .toList();
    }

    /** The address of an act about the same things as another. */
    private String at(String route, String other, String path) {
        PathPattern.PathMatchInfo match =
                Objects.requireNonNull(routes.get(other)).matchAndExtract(PathContainer.parsePath(path));
        String at = route;
        for (Map.Entry<String, String> id :
                (match == null ? Map.<String, String>of() : match.getUriVariables()).entrySet()) {
            at = at.replace("{" + id.getKey() + "}", id.getValue());
        }
        return at.replaceAll("[{}]", "");
    }

    private String filled(String text) {
        String filled = text;
        for (Map.Entry<String, String> id : ids.entrySet()) {
            filled = filled.replace("{" + id.getKey() + "}", id.getValue());
        }
        return filled;
    }

    private boolean matches(String route, String path) {
        return routes.get(route).matches(PathContainer.parsePath(path));
    }

    private Map<String, PathPattern> routes() {
        Map<String, PathPattern> routes = new TreeMap<>();
        requestMappingHandlerMapping.getHandlerMethods().forEach((info, method) -> {
            if (method.getBeanType().getPackageName().startsWith("app.clearpane")
                    && info.getMethodsCondition().getMethods().contains(RequestMethod.POST)) {
                info.getPatternValues()
                        .forEach(pattern -> routes.put(pattern, PathPatternParser.defaultInstance.parse(pattern)));
            }
        });
        return routes;
    }

    /** The forms that stand on pages, by what they do: those of whoever has least to say first. */
    private Map<String, Set<WouldSucceed.Sent>> found() throws Exception {
        Map<String, Set<WouldSucceed.Sent>> found = new LinkedHashMap<>();
        for (String who : List.of("signatory", "lead-voice", "reviewer", "reader", "marking-link", "owner")) {
            Person person = Objects.requireNonNull(everybody.get(who));
            Set<String> pages = new LinkedHashSet<>(List.of(person instanceof Person.OfTeam ? "/t" : "/c"));
            Set<String> kinds = new TreeSet<>();
            List<String> open = new ArrayList<>(pages);
            while (!open.isEmpty()) {
                String page = open.remove(0);
                WouldSucceed.Page read = sending.page(page, person);
                for (WouldSucceed.Sent form : read.forms()) {
                    routes.keySet().forEach(route -> {
                        if (matches(route, form.path())) {
                            Set<WouldSucceed.Sent> all = found.computeIfAbsent(route, any -> new LinkedHashSet<>());
                            if (all.stream()
                                            .filter(one -> one.fields()
                                                    .keySet()
                                                    .equals(form.fields().keySet()))
                                            .count()
                                    < 2) {
                                all.add(form);
                            }
                        }
                    });
                }
                for (String link : read.links()) {
                    String kind = link.replaceAll("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}", "*")
                            .replaceAll("=[^&]*", "=")
                            .replaceAll("/[0-9]+", "/n");
                    if (pages.add(link)
                            && (kinds.add(kind) || count(pages, kind) <= (person instanceof Person.OfTeam ? 8 : 4))) {
                        open.add(link);
                    }
                }
            }
        }
        return found;
    }

    private static long count(Set<String> pages, String kind) {
        return pages.stream()
                .filter(link -> link.replaceAll("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}", "*")
                        .replaceAll("=[^&]*", "=")
                        .replaceAll("/[0-9]+", "/n")
                        .equals(kind))
                .count();
    }

    private Map<String, Person> everybody() throws Exception {
        Map<String, Person> everybody = new LinkedHashMap<>();
        everybody.put("nobody", null);
        everybody.put("reader", ofClient("per@penwether.example"));
        everybody.put("reviewer", ofClient("mirela@penwether.example"));
        everybody.put("signatory", ofClient("jasper@penwether.example"));
        everybody.put("lead-voice", ofClient("ottoline@penwether.example"));
        everybody.put("other-client", ofClient("imre@hobandbarley.example"));
        everybody.put("maker", member("teo@marram-finch.example"));
        everybody.put("manager", member("ines@marram-finch.example"));
        everybody.put("owner", member("bastian@marram-finch.example"));
        everybody.put("looking-link", link(false));
        everybody.put("marking-link", link(true));
        return everybody;
    }

    private Person link(boolean marks) throws Exception {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        PaneId board = panes.ofProject(project).get(0).id();
        String key = makeLink.make(board, new MakeLink.Form("Acts " + marks, marks, "", ""), Acting.team("Ines"))
                .address()
                .replaceAll("^.*/p/", "");
        LinkSeats.Link link = linkSeats.findByKey(Sha256.ofText(key)).orElseThrow();
        return new Person.ByLink(
                link.id().value(),
                board.value(),
                Sha256.ofText(key).hex(),
                marks ? "Zora Pell" : "",
                link.name(),
                null);
    }

    /** Things of the demo that lines name. */
    private Map<String, String> ids() {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        PaneId board = panes.ofProject(project).get(0).id();
        Version map = deliverables.versionsOf(project).stream()
                .filter(version -> version.fileName().equals("visitor-map-2.pdf"))
                .findFirst()
                .orElseThrow();
        Map<String, String> named = new LinkedHashMap<>();
        named.put("project", project.toString());
        named.put("pane", board.toString());
        named.put("version", map.id().toString());
        named.put("deliverable", map.deliverable().toString());
        named.put("mark", markups.marksOf(map.deliverable()).get(0).id().toString());
        for (String who : List.of("per", "mirela", "jasper", "ottoline")) {
            named.put(who, ofClient(who + "@penwether.example").contactId().toString());
        }
        named.put("seat", seats.ofPane(board).get(0).id().toString());
        for (String who : List.of("wanda", "teo", "bastian")) {
            named.put(who, member(who + "@marram-finch.example").memberId().toString());
        }
        named.put(
                "perSeat",
                seats.ofPane(board).stream()
                        .filter(seat -> seat.name().startsWith("Per "))
                        .findFirst()
                        .orElseThrow()
                        .id()
                        .toString());
        named.put(
                "file",
                files.ofProject(project).stream()
                        .filter(file -> file.name().equals("Survey of the grounds.pdf"))
                        .findFirst()
                        .orElseThrow()
                        .id()
                        .toString());
        named.put(
                "task",
                tasks.ofProject(project).stream()
                        .filter(task -> task.name().equals("Opening hours for the leaflet"))
                        .findFirst()
                        .orElseThrow()
                        .id()
                        .toString());
        Request pictures = requests.ofProject(project).stream()
                .filter(one -> one.title().startsWith("Pictures and words"))
                .findFirst()
                .orElseThrow();
        named.put(
                "questions",
                requests.ofProject(project).stream()
                        .filter(one -> one.asksQuestionsOnly())
                        .flatMap(one -> one.parts().stream())
                        .findFirst()
                        .orElseThrow()
                        .id()
                        .toString());
        named.put("question", questionThatWasAnswered(named.get("questions")));
        named.put("request", pictures.id().toString());
        named.put("given", pictures.supplied().get(1).id().toString());
        named.put("wanted", pictures.parts().get(0).id().toString());
        named.put("part", pictures.parts().get(1).id().toString());
        named.put(
                "sealed",
                requests.ofProject(project).stream()
                        .filter(one -> one.title().startsWith("Access to"))
                        .flatMap(one -> one.supplied().stream())
                        .findFirst()
                        .orElseThrow()
                        .id()
                        .toString());
        named.put("phase", projects.phases(project).get(0).id().toString());
        named.put("today", today().toString());
        named.put("soon", today().plusDays(3).toString());
        named.put("later", today().plusDays(9).toString());
        return named;
    }

    private String questionThatWasAnswered(String part) {
        Answers answers =
                questionnaires.find(UUID.fromString(part)).orElseThrow().answers();
        return answers.toChoose().get(0).id().toString();
    }
}
