package app.clearpane.web.record;

import app.clearpane.core.record.RecordEntry;
import app.clearpane.store.record.Records;
import app.clearpane.web.layout.Words;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.MissingNode;

/** Tells entries of the Record as sentences. */
@Component
class Story {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final Map<String, String> ACTS = Map.ofEntries(Map.entry("project.opened", "opened the project"), Map.entry("project.archived", "archived the project"),
      Map.entry("phase.changed", "changed the phase"), Map.entry("milestone.added", "added the milestone"), Map.entry("milestone.changed", "changed the milestone"),
      Map.entry("contact.added", "added the contact"), Map.entry("deliverable.added", "added the deliverable"), Map.entry("version.stored", "stored a version of"),
      Map.entry("version.sent", "sent a version of"), Map.entry("mark.placed", "marked up"), Map.entry("mark.placed.for-team", "marked up, for the team only,"),
      Map.entry("mark.edited", "changed a mark on"), Map.entry("mark.answered", "answered a mark on"), Map.entry("mark.take-on", "took on a mark on"), Map.entry("mark.fix", "fixed a mark on"),
      Map.entry("mark.set-aside", "set aside a mark on"), Map.entry("mark.confirm", "confirmed a mark on"), Map.entry("mark.reopen", "reopened a mark on"),
      Map.entry("mark.withdraw", "withdrew a mark on"), Map.entry("mark.given", "gave to somebody of the team a mark on"), Map.entry("mark.became-task", "made a task of a mark on"), Map.entry("mark.joined", "joined two marks that ask for the same on"), Map.entry("mark.parted", "lets a mark stand alone again on"), Map.entry("clash.ruled", "settled a clash on"), Map.entry("marks.brought", "brought notes along to"), Map.entry("signoff.made", "decided on"), Map.entry("round.closed", "closed the round of"), Map.entry("reminder.sent", "reminded somebody of"), Map.entry("reminders.set", "said when people are reminded at"), Map.entry("silence.set", "said what silence means in"),
      Map.entry("version.released", "released"), Map.entry("paper.added", "added the paper"), Map.entry("paper.sent", "sent the paper"), Map.entry("paper.paid", "noted as paid"), Map.entry("paper.withdrawn", "withdrew the paper"), Map.entry("paper.viewed", "opened the paper"), Map.entry("paper.signed", "signed"), Map.entry("paper.agreed", "agreed to"), Map.entry("signoff.taken-back", "took back a decision on"), Map.entry("signing.changed", "changed who signs"), Map.entry("signing.usual", "said how signing goes:"),
      Map.entry("stand-in.named", "named a stand-in for"), Map.entry("stand-in.ended", "ended the standing in for"), Map.entry("extra.accepted", "accepted a further round of"), Map.entry("checklist.ticked", "looked over, for"), Map.entry("checklist.unticked", "took back a tick for"), Map.entry("checklist.changed", "changed the checklist of"), Map.entry("condition.waived", "waived a condition for"),
      Map.entry("release.recalled", "recalled a release of"), Map.entry("release.handed", "handed on a release of"), Map.entry("release.fetched", "fetched a release of"), Map.entry("pane.added", "made the pane"), Map.entry("pane.published", "published the pane"),
      Map.entry("pane.follows", "let follow the starting point: the pane"), Map.entry("pane.has-its-own", "gave its own apertures to the pane"), Map.entry("pane.discarded", "dropped what was pending at the pane"), Map.entry("pane.changed", "changed the pane"), Map.entry("aperture.set", "set an aperture of the pane"), Map.entry("pane.sections", "gave sections their words and order at the pane"), Map.entry("house-rules.set", "said how everybody works at"), Map.entry("link.made", "made a link to"), Map.entry("link.renewed", "gave another key to a link to"), Map.entry("link.revoked", "took back a link to"), Map.entry("link.opened", "came by a link to"), Map.entry("filter.set", "named the folders that pass at the pane"), Map.entry("arrivals.shown", "let new things arrive shown at the pane"), Map.entry("arrivals.unset", "let new things arrive as the aperture says at the pane"),
      Map.entry("item.arrived-shown", "let arrive shown"), Map.entry("ceiling.folders", "named the folders that pass the ceiling of"), Map.entry("starting-point.folders", "named the folders that pass at the start for"),
      Map.entry("item.shown.many", "chose to show many things at"), Map.entry("item.held-back.many", "held back many things at"), Map.entry("item.unset.many", "left many things to the aperture at"),
      Map.entry("item.shown", "chose to show"),
      Map.entry("item.held-back", "held back"), Map.entry("item.unset", "left to the aperture:"), Map.entry("item.held-back-everywhere", "held back, for everybody,"),
      Map.entry("item.let-go", "no longer holds back, for everybody,"), Map.entry("seat.given", "gave a seat at"), Map.entry("seat.accepted", "took their seat at"),
      Map.entry("seat.changed", "changed a seat at"), Map.entry("seat.ended", "ended a seat at"), Map.entry("seat.invited", "sent a link to"),
      Map.entry("lead-voice.named", "named the lead voice of"), Map.entry("file.added", "added the file"), Map.entry("file.deleted", "deleted the file"),
      Map.entry("file.restored", "brought back the file"), Map.entry("task.added", "added the task"), Map.entry("task.changed", "changed the task"), Map.entry("task.deleted", "deleted the task"), Map.entry("task.restored", "brought back the task"),
      Map.entry("task.to-do", "put back to do the task"), Map.entry("task.under-way", "began the task"), Map.entry("task.in-check", "put in check the task"), Map.entry("task.done", "finished the task"), Map.entry("task.dropped", "dropped the task"), Map.entry("task.said", "said something of the task"),
      Map.entry("free-days.set", "made days free at"), Map.entry("free-day.dropped", "lets work again on a free day"), Map.entry("tasks.brought", "brought tasks along in"), Map.entry("dates.agreed", "agreed on the dates of"), Map.entry("project.paused", "paused the project"), Map.entry("project.goes-on", "let go on the project"), Map.entry("project.restored", "took up again the project"),
      Map.entry("clients.do-tasks", "lets clients be given tasks by"), Map.entry("clients.do-no-tasks", "lets clients be given no tasks by"), Map.entry("folder.added", "added the folder"), Map.entry("looked.through", "looked through a seat at"));
  private static final java.util.Set<String> UNTOLD = java.util.Set.of(Records.SUBJECT_ID, "mark", "task", "release", "decision", "replaces", "batch");
  private static final Map<String, String> DECISIONS = Map.of("SIGN_OFF", "signed off", "SIGN_OFF_WITH_NOTES", "signed off, with notes,", "SEND_BACK", "sent back", "STAND_ASIDE", "stood aside on");
  private static final Map<String, String> KEYS = Map.ofEntries(Map.entry("sha256", "SHA-256"), Map.entry("dueAt", "due"), Map.entry("fallsOn", "on"), Map.entry("startsOn", "from"),
      Map.entry("endsOn", "to"), Map.entry("agreedOn", "agreed finish"), Map.entry("taxPercent", "tax %"), Map.entry("lastDay", "until"), Map.entry("label", "mark"), Map.entry("typedName", "signed as"), Map.entry("holds", "is followed:"), Map.entry("setAside", "set aside:"), Map.entry("name", "for"), Map.entry("address", "at"),
      Map.entry("role", "as"), Map.entry("forTeam", "for the team only:"), Map.entry("decidedBy", "decided by"), Map.entry("insteadOf", "in place of"), Map.entry("drawnSignature", "drawn signature"));
  private final Words words;

  Story(Words words) {
    this.words = words;
  }

  /**
   * One entry.
   *
   * @param details what else it says, as "name: value"
   */
  record Line(long sequence, UUID about, String actor, String act, String subject, String when, Instant at, List<String> details, String hash) {
    /** How its hash begins, which is enough to tell it from others. */
    public String hashBegins() {
      return hash.substring(0, Math.min(8, hash.length()));
    }
  }

  Line line(Records.Line line) {
    RecordEntry entry = line.stored().entry();
    JsonNode payload = read(line.stored().payload().orElse("{}"));
    List<String> details = payload.isObject() ? details(payload) : List.of("the rest cannot be read: it was altered");
    return new Line(entry.sequence(), line.about(), entry.actor(), act(entry.act(), payload), entry.subject(), words.when(entry.at()), entry.at(), details, line.stored().hash());
  }

  private static JsonNode read(String payload) {
    try {
      return JSON.readTree(payload);
    } catch (JacksonException e) {
      return MissingNode.getInstance();
    }
  }

  private static String act(String act, JsonNode payload) {
    String decision = act.equals("signoff.made") ? payload.path("decision").asString("") : "";
    return DECISIONS.getOrDefault(decision, ACTS.getOrDefault(act, act));
  }

  private List<String> details(JsonNode payload) {
    List<String> details = new ArrayList<>();
    for (Map.Entry<String, JsonNode> field : payload.properties()) {
      String text = field.getValue().isString() ? field.getValue().stringValue() : field.getValue().toString();
      if (!UNTOLD.contains(field.getKey()) && !text.isEmpty() && !text.equals("[]") && !text.equals("false")) {
        String name = inWords(field.getKey());
        details.add(text.equals("true") ? name.replaceAll(":$", "") : name + " " + inWords(field.getKey(), text));
      }
    }
    return details;
  }

  private static String inWordsIfCode(String text) {
    return text.matches("[A-Z]+(_[A-Z]+)*") ? text.toLowerCase(Locale.ROOT).replace('_', ' ') : text.matches("\\[.*]") ? text.replaceAll("[\\[\\]\"]", "").replace(",", ", ") : text;
  }

  private String inWords(String key, String text) {
    try {
      return wellFormed(key, text);
    } catch (DateTimeException | NumberFormatException e) {
      return text;
    }
  }

  private String wellFormed(String key, String text) {
    return switch (key) {
      case "sha256" -> text.substring(0, Math.min(12, text.length())) + "…";
      case "size" -> words.size(Long.parseLong(text));
      case "dueAt" -> words.when(Instant.parse(text));
      case "due" -> text.contains("T") ? words.when(Instant.parse(text)) : words.day(LocalDate.parse(text));
      case "fallsOn", "lastDay", "startsOn", "endsOn", "agreedOn" -> words.day(LocalDate.parse(text));
      case "said", "sentence", "note", "reason", "welcome", "whatChanged" -> "“" + text + "”";
      case "name", "address", "label", "file", "currency" -> text;
      default -> inWordsIfCode(text);
    };
  }

  private static String inWords(String key) {
    return KEYS.getOrDefault(key, key.replaceAll("([a-z])([A-Z])", "$1 $2").toLowerCase(Locale.ROOT));
  }
}
