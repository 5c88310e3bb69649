package app.clearpane.usecases.record;

import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Happening;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.store.record.Records;
import java.time.Clock;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Writes what happens into a project's Record, in the transaction in which it happens. */
@Component
public class AuditLog {
    private final Records records;
    private final Clock clock;

    AuditLog(Records records, Clock clock) {
        this.records = records;
        this.clock = clock;
    }

    /**
     * Appends it to the project's Record.
     *
     * @param about the identifier of the thing, so that its story can be read
     */
    public void append(ProjectId project, UUID about, Happening what) {
        append(project.value(), about, what);
    }

    /** Appends it to the agency's own Record. */
    public void appendOfAgency(UUID agency, Happening what) {
        append(agency, agency, what);
    }

    private void append(UUID chain, UUID about, Happening what) {
        records.append(
                chain,
                about,
                RecordEntry.What.done(what, Map.of(Records.SUBJECT_ID, about.toString())),
                clock.instant());
    }
}
