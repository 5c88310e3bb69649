package app.clearpane.web.shell.forms;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.MakeLink;
import app.clearpane.web.Acting;
import app.clearpane.web.DemoHouse;
import app.clearpane.web.Visitor;
import app.clearpane.web.WouldSucceed;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.server.PathContainer;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.context.WebApplicationContext;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;

/** No form saves over what somebody else changed since its page was made. */
class StaleFormsTest extends DemoHouse {
    @Autowired
    private List<FormStates> rooms;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Deliverables deliverables;

    @Autowired
    private MakeLink makeLink;

    @Autowired
    private LinkSeats links;

    @Autowired
    private WebApplicationContext context;

    @Autowired
    private TransactionTemplate transaction;

    /** A form as it stands on a page, with the state that guards it. */
    private record Guarded(
            String page,
            String action,
            Map<String, List<String>> fields,
            FormStates.FormState state,
            PathPattern.PathMatchInfo match,
            FormElement form) {}

    /** What came of one sending. @param now how it stood after it */
    private record Came(String answer, Optional<String> now) {}

    @Test
    void everyFormSaysWhatItsPageShowedAndIsStoppedWhereThatIsNoLongerSo() throws Exception {
        Visitor owner = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        Map<PathPattern, FormStates.FormState> states = states();
        List<Guarded> forms = forms(owner, states);
        allStandOnAPage(states, forms);
        List<String> wrong = new ArrayList<>();
        for (Guarded form : forms.stream()
                .collect(Collectors.toMap(
                        form -> form.state().route()
                                + form.action()
                                + form.fields().get(FormStates.BEFORE)
                                + form.fields().get("kind")
                                + form.fields().get("item"),
                        form -> form,
                        (one, other) -> one))
                .values()) {
            saysWhatIsSo(wrong, form);
        }
        assertThat(wrong).isEmpty();
        for (Guarded form : forms.stream()
                .collect(Collectors.toMap(form -> form.state().route(), form -> form, (one, other) -> one))
                .values()) {
            isStopped(owner, form);
        }
    }

    private void allStandOnAPage(Map<PathPattern, FormStates.FormState> states, List<Guarded> forms) throws Exception {
        Set<String> found =
                forms.stream().map(form -> form.state().route()).collect(Collectors.toCollection(TreeSet::new));
        assertThat(found)
                .as("guarded forms that stand on a page")
                .containsExactlyInAnyOrderElementsOf(states.values().stream()
                        .map(FormStates.FormState::route)
                        .collect(Collectors.toCollection(TreeSet::new)));
    }

    private void saysWhatIsSo(List<String> wrong, Guarded form) throws Exception {
        String before = form.fields().get(FormStates.BEFORE).get(0);
        if (!form.state().now().apply(asked(form)).equals(Optional.of(before))) {
            wrong.add(form.page() + ": " + form.action() + " shows " + before + ", and it is "
                    + form.state().now().apply(asked(form)));
        }
    }

    private void isStopped(Visitor owner, Guarded form) throws Exception {
        Map<String, List<String>> stale = new HashMap<>(form.fields());
        stale.put(FormStates.BEFORE, List.of("as it was long ago"));
        stale.remove(form.state().wanted());
        HttpResponse<String> answer = owner.postMany(form.action(), owner.token(), stale);
        assertThat(answer.statusCode()).as(form.action()).isEqualTo(409);
        assertThat(answer.body())
                .as(form.action())
                .contains("It stands now as", "as it was long ago", "Nothing was saved over it");
    }

    @Test
    void ofTwoFromOnePageTheSecondNeverChangesWhatTheFirstLeft() throws Exception {
        Visitor owner = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        Map<PathPattern, FormStates.FormState> states = states();
        WouldSucceed sending = new WouldSucceed(
                MockMvcBuilders.webAppContextSetup(context)
                        .apply(springSecurity())
                        .build(),
                transaction,
                clock.instant());
        Set<String> walked = new TreeSet<>();
        List<String> wrong = new ArrayList<>();
        for (Guarded form : forms(owner, states)) {
            if (!walked.contains(form.state().route())) {
                walk(form, sending, walked, wrong);
            }
        }
        assertThat(wrong).isEmpty();
        Set<String> never = states.values().stream()
                .map(FormStates.FormState::route)
                .collect(Collectors.toCollection(TreeSet::new));
        never.removeAll(walked);
        assertThat(never).as("forms whose first saving changed nothing").isEmpty();
    }

    private void walk(Guarded form, WouldSucceed sending, Set<String> walked, List<String> wrong) {
        Optional<String> before =
                Optional.of(form.fields().get(FormStates.BEFORE).get(0));
        List<Map<String, List<String>>> ways = otherwise(form);
        for (int i = 0; i < ways.size(); i++) {
            List<WouldSucceed.Sent> both =
                    List.of(sent(form, ways.get(i)), sent(form, ways.get((i + 1) % ways.size())));
            List<Came> came = sending.inTurn(
                    both,
                    member("bastian@marram-finch.example"),
                    answer -> new Came(answer, form.state().now().apply(asked(form))));
            if (came.get(0).answer().equals("done") && !came.get(0).now().equals(before)) {
                walked.add(form.state().route());
                if (!came.get(0).now().equals(came.get(1).now())) {
                    wrong.add(form.action() + " from " + form.page() + ": " + before + ", then " + came);
                }
                return;
            }
        }
    }

    private static WouldSucceed.Sent sent(Guarded form, Map<String, List<String>> fields) {
        return new WouldSucceed.Sent(form.action(), fields, Map.of());
    }

    /** The form as it stands, with each of its fields otherwise, and with all of them. */
    private static List<Map<String, List<String>>> otherwise(Guarded form) {
        List<Map<String, List<String>>> ways = new ArrayList<>(List.of(form.fields()));
        Map<String, List<String>> allOnce = new HashMap<>(form.fields());
        Map<String, List<String>> allAgain = new HashMap<>(form.fields());
        form.form().elements().stream()
                .filter(field -> !field.attr("name").isEmpty())
                .forEach(field -> {
                    List<String> values = values(field);
                    values.forEach(value -> ways.add(with(form.fields(), field.attr("name"), value)));
                    if (!values.isEmpty()) {
                        allOnce.putAll(with(allOnce, field.attr("name"), values.get(0)));
                        allAgain.putAll(with(allAgain, field.attr("name"), values.get(values.size() - 1)));
                    }
                });
        ways.addAll(List.of(allOnce, allAgain));
        return ways;
    }

    /** What could stand in a field instead; an empty one for nothing. */
    private static List<String> values(Element field) {
        return switch (field.tagName() + " " + field.attr("type")) {
            case "textarea ", "input text", "input " ->
                field.attr("inputmode").equals("numeric")
                        ? List.of("2", "3")
                        : field.attr("inputmode").equals("url")
                                ? List.of("maps.example", "drawings.example")
                                : List.of(field.val() + " anew", field.val() + " another time");
            case "input number" -> List.of("2", "3");
            case "input color" -> List.of("#123456", "#654321");
            case "input date" -> List.of("2029-06-04", "2029-06-05");
            case "input radio", "button ", "button submit" -> List.of(field.val());
            case "input checkbox" -> field.hasAttr("checked") ? List.of("") : List.of(field.val());
            case "select " -> field.select("option").eachAttr("value");
            default -> List.of();
        };
    }

    private static Map<String, List<String>> with(Map<String, List<String>> fields, String name, String value) {
        Map<String, List<String>> way = new HashMap<>(fields);
        if (value.isEmpty()) {
            way.remove(name);
        } else {
            way.put(name, List.of(value));
        }
        return way;
    }

    private Map<PathPattern, FormStates.FormState> states() {
        return rooms.stream()
                .flatMap(room -> room.states().stream())
                .collect(Collectors.toMap(
                        state -> PathPatternParser.defaultInstance.parse(state.route()), state -> state));
    }

    private List<Guarded> forms(Visitor owner, Map<PathPattern, FormStates.FormState> states) throws Exception {
        List<Guarded> forms = new ArrayList<>();
        for (String page : pages()) {
            forms.addAll(forms(page, owner, states));
        }
        return forms;
    }

    @Test
    void whatWasTypedIsGivenBackAndTheSameTwiceIsNoConflict() throws Exception {
        Visitor owner = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        String rules = Jsoup.parse(text(owner.get("/t/ceilings").body()))
                .select("form[action=/t/house-rules] input[name=before]")
                .attr("value");
        HttpResponse<String> stale = owner.post(
                "/t/house-rules", owner.token(), Map.of("rules", "Some words of mine.", "before", "other rules"));
        assertThat(stale.statusCode()).isEqualTo(409);
        assertThat(stale.body()).contains("Some words of mine.");
        assertThat(owner.post(
                                "/t/ceilings/tasks-for-clients",
                                owner.token(),
                                Map.of("asked", "true", "may", "true", "before", "false"))
                        .statusCode())
                .as("it is so already")
                .isEqualTo(302);
        assertThat(owner.post("/t/house-rules", owner.token(), Map.of("rules", rules, "before", rules))
                        .statusCode())
                .isEqualTo(302);
    }

    @Test
    void ofTwoAtTheSameInstantOneIsTold() throws Exception {
        Visitor bastian = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        Visitor ines = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        String first = Jsoup.parse(text(bastian.get("/t/ceilings").body()))
                .select("form[action=/t/house-rules] input[name=before]")
                .attr("value");
        String before = first;
        for (int round = 0; round < 8; round++) {
            String one = "Words of one, round " + round;
            String other = "Words of the other, round " + round;
            String seen = before;
            String token = bastian.token();
            String otherToken = ines.token();
            List<Integer> answers = app.clearpane.web.Together.all(List.<java.util.concurrent.Callable<Integer>>of(
                    () -> bastian.post("/t/house-rules", token, Map.of("rules", one, "before", seen))
                            .statusCode(),
                    () -> ines.post("/t/house-rules", otherToken, Map.of("rules", other, "before", seen))
                            .statusCode()));
            assertThat(answers).as("one saves, the other is told").containsExactlyInAnyOrder(302, 409);
            before = answers.get(0) == 302 ? one : other;
        }
        assertThat(bastian.post("/t/house-rules", bastian.token(), Map.of("rules", first, "before", before))
                        .statusCode())
                .isEqualTo(302);
    }

    private static FormStates.Asked asked(Guarded form) {
        MockHttpServletRequest request = new MockHttpServletRequest("POST", form.action());
        request.setAttribute(
                HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, form.match().getUriVariables());
        form.fields().forEach((name, values) -> request.setParameter(name, values.toArray(String[]::new)));
        return new FormStates.Asked(request);
    }

    private static List<Guarded> forms(String page, Visitor owner, Map<PathPattern, FormStates.FormState> states)
            throws Exception {
        List<Guarded> found = new ArrayList<>();
        for (Element one : Jsoup.parse(text(owner.get(page).body())).select("form[method=post]")) {
            String action = URI.create(one.attr("action")).getPath();
            states.forEach((pattern, state) -> {
                PathPattern.PathMatchInfo match = pattern.matchAndExtract(PathContainer.parsePath(action));
                if (match != null) {
                    Map<String, List<String>> fields = ((FormElement) one)
                            .formData().stream()
                                    .collect(Collectors.groupingBy(
                                            org.jsoup.Connection.KeyVal::key,
                                            Collectors.mapping(
                                                    org.jsoup.Connection.KeyVal::value, Collectors.toList())));
                    fields.remove("_csrf");
                    boolean undo = one.hasClass("notice");
                    assertThat(undo || fields.containsKey(FormStates.BEFORE))
                            .as(page + ": " + action + " says what its page showed")
                            .isTrue();
                    if (!undo) {
                        one.ownerDocument().select("[form]").stream()
                                .filter(field -> field.attr("form").equals(one.id()))
                                .forEach(((FormElement) one)::addElement);
                        found.add(new Guarded(page, action, fields, state, match, (FormElement) one));
                    }
                }
            });
        }
        return found;
    }

    private static String text(String body) {
        return new String(body.getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.UTF_8);
    }

    private List<String> pages() {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        String at = "/t/projects/" + project;
        String pane = panes.ofProject(project).get(0).id().toString();
        List<String> pages = new ArrayList<>(List.of(
                "/t/ceilings",
                "/t/clients",
                "/t/house",
                "/t/brand",
                "/t/people",
                at + "/people",
                at + "/about",
                "/t/team",
                "/t/calendar",
                at + "/plan?as=lines",
                at + "/plan?as=columns",
                at + "/plan?as=dates",
                at + "/concerns",
                at + "/papers",
                at + "/stand-ins",
                at + "/files"));
        for (String kind : List.of("FILES", "TASKS", "DATES", "DELIVERABLES", "CONCERNS")) {
            pages.add(at + "/panes?pane=" + pane + "&kind=" + kind);
        }
        pages.add("/t/tasks/" + tasks.ofProject(project).get(0).id());
        deliverables.ofProject(project).forEach(one -> pages.add("/t/deliverables/" + one.id() + "/clearance"));
        deliverables.ofProject(project).stream().findFirst().ifPresent(one -> pages.add("/t/items/" + one.id()));
        pages.add("/t/links/"
                + makeLink.make(
                                panes.ofProject(project).get(0).id(),
                                new MakeLink.Form("Seen before", false, "", ""),
                                Acting.team("Ines"))
                        .link());
        projects.archived().stream()
                .findFirst()
                .ifPresent(one -> pages.add("/t/projects/" + one.id() + "/plan?as=dates"));
        return pages;
    }
}
