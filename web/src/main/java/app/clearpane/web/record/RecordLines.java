package app.clearpane.web.record;

import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.RecordChain;
import app.clearpane.store.record.Records;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** A project's Record as JSON lines: the entries about one thing whole, the others as hashes only, so that the chain can be followed. */
@Component
public class RecordLines {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private final Records records;

  RecordLines(Records records) {
    this.records = records;
  }

  /** One line for each entry of the project, oldest first. */
  @Transactional(readOnly = true)
  public String of(ProjectId project, UUID about) {
    try (Stream<Records.Line> all = records.whole(project.value())) {
      return all.map(line -> line(line, line.about().equals(about))).collect(Collectors.joining("\n", "", "\n"));
    }
  }

  private static String line(Records.Line line, boolean whole) {
    RecordChain.Stored stored = line.stored();
    Map<String, Object> out = new LinkedHashMap<>();
    out.put("sequence", stored.entry().sequence());
    out.put("previous", stored.entry().previous());
    out.put("hash", stored.hash());
    if (whole) {
      out.put("act", stored.entry().act());
      out.put("actor", stored.entry().actor());
      out.put("subject", stored.entry().subject());
      out.put("at", stored.entry().atText());
      out.put("payloadHash", stored.entry().payloadHash().hex());
      out.put("payload", JSON.readTree(stored.payload().orElseThrow()));
    }
    return JSON.writeValueAsString(out);
  }
}
