package app.clearpane.web.record;

import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.CanonicalJson;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.store.record.Records;
import java.time.Clock;
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
   * @param act what was done, e.g. {@code version.sent}
   * @param actor who did it, by name
   * @param subject what it was done to, by name
   */
  public record Happening(String act, String actor, String subject, Map<String, ?> payload) {}

  /**
   * Appends it to the project's Record.
   *
   * @param about the identifier of the thing, so that its story can be read
   */
  public void of(ProjectId project, UUID about, Happening what) {
    records.append(project.value(), about, new RecordEntry.What(what.act(), what.actor(), what.subject(), CanonicalJson.of(what.payload())), clock.instant());
  }

  /** Appends it to the agency's own Record. */
  public void ofAgency(UUID agency, Happening what) {
    records.append(agency, agency, new RecordEntry.What(what.act(), what.actor(), what.subject(), CanonicalJson.of(what.payload())), clock.instant());
  }
}
