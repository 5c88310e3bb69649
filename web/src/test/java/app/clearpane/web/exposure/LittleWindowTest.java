package app.clearpane.web.exposure;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.web.DemoHouse;
import app.clearpane.web.Visitor;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
  @Autowired Windows windows;

  private ProjectId project() {
    return projects.active().stream().filter(one -> one.name().equals("Visitor centre")).findFirst().orElseThrow().id();
  }

  private Document page(String path) throws Exception {
    Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
    return Jsoup.parse(ines.get(path.replace("{project}", "/t/projects/" + project())).body());
  }

  @ParameterizedTest
  @CsvSource({
      "/t, .move, .move .looks-in",
      "/t, .due-list li, .due-list .looks-in",
      "/t/people, .loads td:nth-child(2) p:not(.muted), .loads .looks-in",
      "/t/search?q=map, .found div, .found div .looks-in",
      "{project}/plan?as=lines, .task-line, .task-line .looks-in",
      "{project}/plan?as=time, .time-drawing .row > a, .time-windows .looks-in",
      "{project}/plan?as=columns, .task-card, .task-card .looks-in",
      "{project}/plan?as=month, .falls, .falls .looks-in",
      "{project}/deliverables, .work-text, .work-text .looks-in",
      "{project}/clearance, .clearance-board tbody tr, .clearance-board .looks-in",
      "{project}/files, .list tbody tr, .list tbody .looks-in",
      "{project}/concerns, .concern, .concern .looks-in"})
  void everyRowHasOne(String path, String rows, String ofThem) throws Exception {
    Document page = page(path);
    List<Element> found = page.select(ofThem);
    assertThat(page.select(rows)).as("rows of " + path).isNotEmpty();
    assertThat(found.size()).as("windows of " + path).isGreaterThanOrEqualTo(page.select(rows).size());
    assertThat(found).allSatisfy(window -> {
      assertThat(window.attr("data-reason")).as("the reason on " + path).isNotBlank();
      assertThat(window.attr("aria-label")).contains(window.attr("data-reason"));
    });
  }

  /** The windows of lists that reach over projects are those of the project's own lists. */
  @Test
  void windowsReadByThemselvesAreThoseOfTheProject() {
    Map<ItemId, Windows.Window> whole = windows.of(project());
    assertThat(windows.across(whole.keySet())).isEqualTo(whole);
    whole.forEach((item, window) -> assertThat(windows.across(List.of(item)).get(item)).isEqualTo(window));
    assertThat(windows.across(List.of())).isEmpty();
    assertThat(windows.across(List.of(new ItemId(UUID.randomUUID())))).isEmpty();
  }

  /** A window is turned where it stands, on a list that reaches over projects too. */
  @Test
  void itIsTurnedOnTheDeskAndTurnedBack() throws Exception {
    Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
    Element window = Jsoup.parse(ines.get("/t").body()).select(".move .looks-in:has(.shown)").first();
    String item = Objects.requireNonNull(window).attr("data-window");
    try {
      assertThat(Jsoup.parse(ines.post("/t/items/" + item + "/window", ines.token(), Map.of()).body()).select(".window").attr("class")).isEqualTo("window held");
      assertThat(Jsoup.parse(ines.get("/t").body()).select("[data-window=" + item + "] .window").attr("class")).as("on the Desk").isEqualTo("window held");
    } finally {
      ines.post("/t/items/" + item + "/window", ines.token(), Map.of());
    }
    assertThat(Jsoup.parse(ines.get("/t").body()).select("[data-window=" + item + "] .window").attr("class")).isEqualTo("window shown");
  }
}
