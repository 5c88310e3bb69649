package app.clearpane.web.layout;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.plan.Tasks;
import app.clearpane.web.Acting;
import app.clearpane.web.DemoHouse;
import app.clearpane.web.Visitor;
import app.clearpane.web.exposure.MakeLink;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;
import org.springframework.http.server.PathContainer;

/** No form saves over what somebody else changed since its page was made. */
class ChangedMeanwhileTest extends DemoHouse {
  @Autowired private List<FormStates> rooms;
  @Autowired private Tasks tasks;
  @Autowired private Deliverables deliverables;
  @Autowired private MakeLink makeLink;
  @Autowired private LinkSeats links;

  /** A form as it stands on a page, with the state that guards it. */
  private record Guarded(String page, String action, Map<String, List<String>> fields, FormStates.FormState state, PathPattern.PathMatchInfo match) {}

  @Test
  void everyFormSaysWhatItsPageShowedAndIsStoppedWhereThatIsNoLongerSo() throws Exception {
    Visitor owner = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
    Map<PathPattern, FormStates.FormState> states = rooms.stream().flatMap(room -> room.states().stream()).collect(Collectors.toMap(state -> PathPatternParser.defaultInstance.parse(state.route()), state -> state));
    List<Guarded> forms = new ArrayList<>();
    for (String page : pages()) {
      forms.addAll(forms(page, owner, states));
    }
    Set<String> found = forms.stream().map(form -> form.state().route()).collect(Collectors.toCollection(TreeSet::new));
    assertThat(found).as("guarded forms that stand on a page").containsExactlyInAnyOrderElementsOf(states.values().stream().map(FormStates.FormState::route).collect(Collectors.toCollection(TreeSet::new)));
    List<String> wrong = new ArrayList<>();
    for (Guarded form : forms.stream().collect(Collectors.toMap(form -> form.state().route() + form.action() + form.fields().get(FormStates.BEFORE) + form.fields().get("kind") + form.fields().get("item"), form -> form, (one, other) -> one)).values()) {
      String before = form.fields().get(FormStates.BEFORE).get(0);
      if (!form.state().now().apply(asked(form)).equals(java.util.Optional.of(before))) {
        wrong.add(form.page() + ": " + form.action() + " shows " + before + ", and it is " + form.state().now().apply(asked(form)));
      }
    }
    assertThat(wrong).isEmpty();
    for (Guarded form : forms.stream().collect(Collectors.toMap(form -> form.state().route(), form -> form, (one, other) -> one)).values()) {
      Map<String, List<String>> stale = new java.util.HashMap<>(form.fields());
      stale.put(FormStates.BEFORE, List.of("as it was long ago"));
      stale.remove(form.state().wanted());
      HttpResponse<String> answer = owner.postMany(form.action(), owner.token(), stale);
      assertThat(answer.statusCode()).as(form.action()).isEqualTo(409);
      assertThat(answer.body()).as(form.action()).contains("It stands now as", "as it was long ago", "Nothing was saved over it");
    }
  }

  @Test
  void whatWasTypedIsGivenBackAndTheSameTwiceIsNoConflict() throws Exception {
    Visitor owner = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
    String rules = Jsoup.parse(text(owner.get("/t/ceilings").body())).select("form[action=/t/house-rules] input[name=before]").attr("value");
    HttpResponse<String> stale = owner.post("/t/house-rules", owner.token(), Map.of("rules", "Some words of mine.", "before", "other rules"));
    assertThat(stale.statusCode()).isEqualTo(409);
    assertThat(stale.body()).contains("Some words of mine.");
    assertThat(owner.post("/t/ceilings/tasks-for-clients", owner.token(), Map.of("asked", "true", "may", "true", "before", "false")).statusCode()).as("it is so already").isEqualTo(302);
    assertThat(owner.post("/t/house-rules", owner.token(), Map.of("rules", rules, "before", rules)).statusCode()).isEqualTo(302);
  }

  @Test
  void ofTwoAtTheSameInstantOneIsTold() throws Exception {
    Visitor bastian = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
    Visitor ines = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
    String first = Jsoup.parse(text(bastian.get("/t/ceilings").body())).select("form[action=/t/house-rules] input[name=before]").attr("value");
    String before = first;
    for (int round = 0; round < 8; round++) {
      String one = "Words of one, round " + round;
      String other = "Words of the other, round " + round;
      String seen = before;
      String token = bastian.token();
      String otherToken = ines.token();
      List<Integer> answers = app.clearpane.web.Together.all(List.<java.util.concurrent.Callable<Integer>>of(() -> bastian.post("/t/house-rules", token, Map.of("rules", one, "before", seen)).statusCode(),
          () -> ines.post("/t/house-rules", otherToken, Map.of("rules", other, "before", seen)).statusCode()));
      assertThat(answers).as("one saves, the other is told").containsExactlyInAnyOrder(302, 409);
      before = answers.get(0) == 302 ? one : other;
    }
    assertThat(bastian.post("/t/house-rules", bastian.token(), Map.of("rules", first, "before", before)).statusCode()).isEqualTo(302);
  }

  private static FormStates.Asked asked(Guarded form) {
    MockHttpServletRequest request = new MockHttpServletRequest("POST", form.action());
    request.setAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, form.match().getUriVariables());
    form.fields().forEach((name, values) -> request.setParameter(name, values.toArray(String[]::new)));
    return new FormStates.Asked(request);
  }

  private static List<Guarded> forms(String page, Visitor owner, Map<PathPattern, FormStates.FormState> states) throws Exception {
    List<Guarded> found = new ArrayList<>();
    for (Element one : Jsoup.parse(text(owner.get(page).body())).select("form[method=post]")) {
      String action = URI.create(one.attr("action")).getPath();
      states.forEach((pattern, state) -> {
        PathPattern.PathMatchInfo match = pattern.matchAndExtract(PathContainer.parsePath(action));
        if (match != null) {
          Map<String, List<String>> fields = ((FormElement) one).formData().stream().collect(Collectors.groupingBy(org.jsoup.Connection.KeyVal::key, Collectors.mapping(org.jsoup.Connection.KeyVal::value, Collectors.toList())));
          fields.remove("_csrf");
          boolean undo = one.hasClass("notice");
          assertThat(undo || fields.containsKey(FormStates.BEFORE)).as(page + ": " + action + " says what its page showed").isTrue();
          if (!undo) {
            found.add(new Guarded(page, action, fields, state, match));
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
    ProjectId project = projects.active().stream().filter(one -> one.name().equals("Visitor centre")).findFirst().orElseThrow().id();
    String at = "/t/projects/" + project;
    String pane = panes.ofProject(project).get(0).id().toString();
    List<String> pages = new ArrayList<>(List.of("/t/ceilings", "/t/team", "/t/calendar", at + "/plan?as=lines", at + "/plan?as=columns", at + "/plan?as=dates", at + "/concerns", at + "/papers", at + "/stand-ins", at + "/files"));
    for (String kind : List.of("FILES", "TASKS", "DATES", "DELIVERABLES", "CONCERNS")) {
      pages.add(at + "/panes?pane=" + pane + "&kind=" + kind);
    }
    pages.add("/t/tasks/" + tasks.ofProject(project).get(0).id());
    deliverables.of(project).forEach(one -> pages.add("/t/deliverables/" + one.id() + "/clearance"));
    deliverables.of(project).stream().findFirst().ifPresent(one -> pages.add("/t/items/" + one.id()));
    pages.add("/t/links/" + makeLink.at(panes.ofProject(project).get(0).id(), new MakeLink.Form("Seen before", false, "", ""), Acting.team("Ines")).link());
    projects.archived().stream().findFirst().ifPresent(one -> pages.add("/t/projects/" + one.id() + "/plan?as=dates"));
    return pages;
  }
}
