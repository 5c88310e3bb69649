package app.clearpane.web.record;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.store.record.Records;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Writes what happens into a project's Record, in the transaction in which it happens. */
@Component
public class Tell {
  private final Records records;
  private final Clock clock;

  Tell(Records records, Clock clock) {
    this.records = records;
    this.clock = clock;
  }

  /**
   * Something that happened.
   *
   * @param actor who did it
   * @param subject what it was done to, by name
   */
  public record Happening(Act act, Actor actor, String subject, Map<String, ?> payload) {}

  /**
   * Appends it to the project's Record.
   *
   * @param about the identifier of the thing, so that its story can be read
   */
  public void of(ProjectId project, UUID about, Happening what) {
    append(project.value(), about, what);
  }

  /** Appends it to the agency's own Record. */
  public void ofAgency(UUID agency, Happening what) {
    append(agency, agency, what);
  }

  private void append(UUID chain, UUID about, Happening what) {
    Map<String, Object> payload = new LinkedHashMap<>(what.payload());
    payload.put(Records.SUBJECT_ID, about.toString());
    records.append(chain, about, RecordEntry.What.done(what.act(), what.actor(), what.subject(), payload), clock.instant());
  }
}
