package app.clearpane.web.record;

import app.clearpane.core.record.Act;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.Words;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.MissingNode;

/** Tells entries of the Record as sentences. */
@Component
public class RecordSentences {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Set<String> UNTOLD = Set.of(
            Records.SUBJECT_ID,
            RecordEntry.ACTOR_NAME,
            "signatory",
            "mark",
            "task",
            "release",
            "decision",
            "replaces",
            "batch");
    private static final Map<String, String> DECISIONS = Map.of(
            "SIGN_OFF",
            "signed off",
            "SIGN_OFF_WITH_NOTES",
            "signed off, with notes,",
            "SEND_BACK",
            "sent back",
            "STAND_ASIDE",
            "stood aside on");
    private static final Map<String, String> KEYS = Map.ofEntries(
            Map.entry("sha256", "SHA-256"),
            Map.entry("dueAt", "due"),
            Map.entry("fallsOn", "on"),
            Map.entry("startsOn", "from"),
            Map.entry("endsOn", "to"),
            Map.entry("agreedOn", "agreed finish"),
            Map.entry("taxPercent", "tax %"),
            Map.entry("lastDay", "until"),
            Map.entry("label", "mark"),
            Map.entry("typedName", "signed as"),
            Map.entry("holds", "is followed:"),
            Map.entry("setAside", "set aside:"),
            Map.entry("name", "for"),
            Map.entry("address", "at"),
            Map.entry("role", "as"),
            Map.entry("occasion", "reminder"),
            Map.entry("forTeam", "for the team only:"),
            Map.entry("decidedBy", "decided by"),
            Map.entry("insteadOf", "in place of"),
            Map.entry("drawnSignature", "drawn signature"));
    private static final Pattern WHOLE_DIGEST = Pattern.compile("\\b([0-9a-f]{12})[0-9a-f]{52}\\b");
    private final Words words;
    private final Lasting lasting;

    RecordSentences(Words words, Lasting lasting) {
        this.words = words;
        this.lasting = lasting;
    }

    /**
     * One entry.
     *
     * @param details what else it says, as "name: value"
     */
    public record Line(
            long sequence,
            UUID about,
            String actor,
            String act,
            String subject,
            String when,
            Instant at,
            List<String> details,
            String hash) {
        /** How its hash begins, which is enough to tell it from others. */
        public String hashBegins() {
            return hash.substring(0, Math.min(8, hash.length()));
        }
    }

    public Line line(Records.Line line) {
        RecordEntry entry = line.stored().entry();
        JsonNode payload = read(line.stored().payload().orElse("{}"));
        List<String> details =
                payload.isObject() ? details(payload) : List.of("the rest cannot be read: it was altered");
        return new Line(
                entry.sequence(),
                line.about(),
                payload.path(RecordEntry.ACTOR_NAME).asString(entry.actor()),
                act(entry.act(), payload),
                entry.subject(),
                words.when(entry.at()),
                entry.at(),
                details,
                line.stored().hash());
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
        return DECISIONS.getOrDefault(decision, Act.of(act).map(Act::words).orElse(act));
    }

    private List<String> details(JsonNode payload) {
        List<String> details = new ArrayList<>();
        for (Map.Entry<String, JsonNode> field : payload.properties()) {
            String text = field.getValue().isArray()
                    ? field.getValue().valueStream().map(RecordSentences::text).collect(Collectors.joining(", "))
                    : text(field.getValue());
            if (!UNTOLD.contains(field.getKey()) && !text.isEmpty() && !text.equals("false")) {
                String name = inWords(field.getKey());
                details.add(
                        text.equals("true") ? name.replaceAll(":$", "") : name + " " + inWords(field.getKey(), text));
            }
        }
        return details;
    }

    private static String text(JsonNode value) {
        return value.isString() ? value.stringValue() : value.toString();
    }

    private static String inWordsIfCode(String text) {
        return text.matches("[A-Z]+(_[A-Z]+)*") ? text.toLowerCase(Locale.ROOT).replace('_', ' ') : text;
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
            case "occasion" ->
                text.equals("before")
                        ? "for the working day before"
                        : text.equals("day")
                                ? "for the day itself"
                                : text.replaceFirst("^late ", "for when it is late, number ");
            case "size" -> words.size(Long.parseLong(text));
            case "dueAt" -> lasting.due(Instant.parse(text));
            case "due" -> text.contains("T") ? lasting.due(Instant.parse(text)) : lasting.day(LocalDate.parse(text));
            case "fallsOn", "lastDay", "startsOn", "endsOn", "agreedOn" -> lasting.day(LocalDate.parse(text));
            case "said", "sentence", "note", "reason", "welcome", "whatChanged" -> "“" + text + "”";
            case "name", "address", "label", "file", "currency" -> text;
            default -> inWordsIfCode(WHOLE_DIGEST.matcher(text).replaceAll("$1…"));
        };
    }

    private static String inWords(String key) {
        return KEYS.getOrDefault(key, key.replaceAll("([a-z])([A-Z])", "$1 $2").toLowerCase(Locale.ROOT));
    }
}
