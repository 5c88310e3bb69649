package app.clearpane.store.supply;

import app.clearpane.core.supply.Check;
import app.clearpane.core.supply.FileFacts;
import app.clearpane.core.supply.Finding;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;

/** Checks, facts and findings as they are kept: as JSON, in which a check bears its name. */
final class SupplyText {
    private static final JsonMapper JSON =
            JsonMapper.builder().addMixIn(Check.class, Named.class).build();

    private SupplyText() {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.SIMPLE_NAME)
    private interface Named {}

    /** A list keeps what its elements are, which would be lost with the list's own type. */
    private record Checks(List<Check> checks) {}

    private record Findings(List<Finding> findings) {}

    private record Choices(List<String> choices) {}

    static String ofChoices(List<String> choices) {
        return JSON.writeValueAsString(new Choices(choices));
    }

    static List<String> choices(String text) {
        return JSON.readValue(text, Choices.class).choices();
    }

    static String ofChecks(List<Check> checks) {
        return JSON.writeValueAsString(new Checks(checks));
    }

    static List<Check> checks(String text) {
        return JSON.readValue(text, Checks.class).checks();
    }

    static String ofFacts(FileFacts facts) {
        return JSON.writeValueAsString(facts);
    }

    static FileFacts facts(String text) {
        return JSON.readValue(text, FileFacts.class);
    }

    static String ofFindings(List<Finding> findings) {
        return JSON.writeValueAsString(new Findings(findings));
    }

    static List<Finding> findings(String text) {
        return JSON.readValue(text, Findings.class).findings();
    }
}
