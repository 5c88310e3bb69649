package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.store.deliverable.Deliverable;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Round;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.record.Records;
import app.clearpane.web.record.RecordLines;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Deciding through the application: at the same instant, twice, too late, and on a disk that takes no more. */
class DecidingTest extends DemoHouse {
  @Autowired private Deliverables deliverables;
  @Autowired private Records records;
  @Autowired private RecordLines lines;

  private ProjectId mill() {
    return projects.active().stream().filter(project -> project.name().equals("Flour bags")).findFirst().orElseThrow().id();
  }

  private Panes.Row pane() {
    return panes.ofProject(mill()).get(0);
  }

  private Visitor ines() throws Exception {
    return Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
  }

  private static byte[] bag() throws Exception {
    try (InputStream in = Objects.requireNonNull(DecidingTest.class.getResourceAsStream("/demo-files/flour-spelt-1.pdf"))) {
      return in.readAllBytes();
    }
  }

  private HttpResponse<String> upload(Visitor ines, ItemId deliverable) throws Exception {
    byte[] bag = bag();
    return ines.upload("/t/deliverables/" + deliverable + "/versions", ines.token(), "bag.pdf", () -> new java.io.ByteArrayInputStream(bag), Map.of("whatChanged", "words that were typed"));
  }

  private ItemId deliverable(Visitor ines, String name, String rule) throws Exception {
    ines.post("/t/projects/" + mill() + "/deliverables", ines.token(), Map.of("name", name, "pane", pane().id().toString(), "about", "", "rule", rule, "reviewDays", "3"));
    return deliverables.of(mill()).stream().filter(one -> one.name().equals(name)).map(Deliverable::id).findFirst().orElseThrow();
  }

  private VersionRow sent(Visitor ines, ItemId deliverable) throws Exception {
    upload(ines, deliverable);
    VersionRow draft = deliverables.versions(deliverable).stream().filter(VersionRow::draft).findFirst().orElseThrow();
    ines.post("/t/versions/" + draft.id() + "/send", ines.token(), Map.of());
    return deliverables.version(draft.id()).orElseThrow();
  }

  private Callable<HttpResponse<String>> deciding(Visitor who, VersionRow version, String decision) throws Exception {
    String token = who.token();
    return () -> who.post("/c/panes/" + pane().id() + "/versions/" + version.id() + "/decisions", token,
        Map.of("decision", decision, "sha256", version.sha256().hex(), "sentence", "as it should be", "typedName", "Signed"));
  }

  private Round round(ItemId deliverable) {
    List<Round> rounds = deliverables.rounds(deliverable);
    return rounds.get(rounds.size() - 1);
  }

  @RepeatedTest(5)
  void bothDecisionsOfOneInstantCountAndTheRoundClosesOnce() throws Exception {
    Visitor ines = ines();
    ItemId bag = deliverable(ines, "Bag " + System.nanoTime(), "ALL");
    VersionRow version = sent(ines, bag);
    List<Callable<HttpResponse<String>>> both = List.of(deciding(Visitor.by(address(), linkOf("imre@hobandbarley.example")), version, "SIGN_OFF"),
        deciding(Visitor.by(address(), linkOf("grete@hobandbarley.example")), version, "SIGN_OFF"));
    ExecutorService atOnce = Executors.newFixedThreadPool(2);
    for (Future<HttpResponse<String>> answer : atOnce.invokeAll(both)) {
      assertThat(answer.get().statusCode()).isEqualTo(302);
    }
    atOnce.shutdown();
    assertThat(round(bag).open()).isFalse();
    assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED);
    assertThat(round(bag).said()).hasSize(2);
    assertThat(lines.of(mill(), bag.value()).lines().filter(line -> line.contains("\"round.closed\""))).hasSize(1);
    assertThat(records.end(mill().value()).sequence()).isEqualTo(lines.of(mill(), bag.value()).lines().count());
  }

  @Test
  void decidingAgainChangesOnesMindUntilTheRoundCloses() throws Exception {
    Visitor ines = ines();
    ItemId bag = deliverable(ines, "Oats", "ALL");
    VersionRow version = sent(ines, bag);
    Visitor grete = Visitor.by(address(), linkOf("grete@hobandbarley.example"));
    deciding(grete, version, "SEND_BACK").call();
    assertThat(round(bag).soFar()).isEqualTo(Outcome.BACK);
    assertThat(round(bag).open()).as("the lead voice has not decided").isTrue();
    deciding(grete, version, "SIGN_OFF").call();
    deciding(Visitor.by(address(), linkOf("imre@hobandbarley.example")), version, "SIGN_OFF").call();
    assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED);
    HttpResponse<String> late = deciding(grete, version, "SEND_BACK").call();
    assertThat(late.statusCode()).isEqualTo(409);
    assertThat(late.body()).contains("as it should be");
    assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED);
  }

  @Test
  void oneSignatureIsNotEnoughWithoutTheLeadVoice() throws Exception {
    Visitor ines = ines();
    ItemId bag = deliverable(ines, "Barley", "ANY");
    VersionRow version = sent(ines, bag);
    deciding(Visitor.by(address(), linkOf("grete@hobandbarley.example")), version, "SIGN_OFF").call();
    assertThat(round(bag).open()).isTrue();
    assertThat(round(bag).soFar()).isEqualTo(Outcome.PENDING);
    deciding(Visitor.by(address(), linkOf("imre@hobandbarley.example")), version, "SIGN_OFF").call();
    assertThat(round(bag).open()).isFalse();
    assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED);
  }

  @Test
  void aDiskThatTakesNoMoreIsSaidAndNothingIsLost() throws Exception {
    Visitor ines = ines();
    ItemId bag = deliverable(ines, "Millet", "ALL");
    Path aside = data().resolve("vault").resolve("aside");
    Path moved = aside.resolveSibling("aside-for-a-while");
    Files.move(aside, moved);
    Files.writeString(aside, "no folder, so nothing can be written into it");
    try {
      HttpResponse<String> answer = upload(ines, bag);
      assertThat(answer.statusCode()).isEqualTo(507);
      assertThat(answer.body()).contains("the disk may be full", "words that were typed");
      assertThat(deliverables.versions(bag)).isEmpty();
    } finally {
      Files.delete(aside);
      Files.move(moved, aside);
    }
    upload(ines, bag);
    assertThat(deliverables.versions(bag)).hasSize(1);
  }
}
