package app.clearpane.usecases.record;

import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.BundledEntries;
import app.clearpane.core.record.RecordChain;
import app.clearpane.store.record.Records;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * A project's Record as JSON lines: the entries about one thing whole, the others as hashes only, so that the chain can
 * be followed.
 */
@Component
public class RecordLines {
    private final Records records;

    RecordLines(Records records) {
        this.records = records;
    }

    /** One line for each entry of the project, oldest first. */
    @Transactional(readOnly = true)
    public String linesOf(ProjectId project, UUID about) {
        try (Stream<Records.Line> all = records.whole(project.value())) {
            return all.map(line -> line(
                            line,
                            line.about().equals(about)
                                    && BundledEntries.told(
                                            line.stored().entry().act(),
                                            line.stored().payload().orElseThrow())))
                    .collect(Collectors.joining("\n", "", "\n"));
        }
    }

    /** The same with every entry whole. */
    @Transactional(readOnly = true)
    public String whole(ProjectId project) {
        try (Stream<Records.Line> all = records.whole(project.value())) {
            return all.map(line -> line(line, true)).collect(Collectors.joining("\n", "", "\n"));
        }
    }

    /** Entries and payloads stand as their canonical texts, so that they hash as they are written. */
    private static String line(Records.Line line, boolean whole) {
        RecordChain.Stored stored = line.stored();
        String head = "{\"sequence\":" + stored.entry().sequence() + ",\"previous\":\""
                + stored.entry().previous() + "\",\"hash\":\"" + stored.hash() + "\"";
        return head
                + (whole
                        ? ",\"entry\":" + stored.entry().canonicalText() + ",\"payload\":"
                                + stored.payload().orElseThrow()
                        : "")
                + "}";
    }
}
