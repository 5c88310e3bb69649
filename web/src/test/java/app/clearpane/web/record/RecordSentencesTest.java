package app.clearpane.web.record;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.record.Act;
import app.clearpane.core.record.CanonicalJson;
import app.clearpane.core.record.RecordChain;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.store.record.Records;
import app.clearpane.web.shell.WordsOfATest;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Entries of the Record as sentences that people read. */
class RecordSentencesTest {
    private static final Instant NOW = Instant.parse("2027-05-13T12:00:00Z");
    private static final UUID ABOUT = UUID.fromString("0190c0de-0000-7000-8000-000000000001");
    private final RecordSentences story = new RecordSentences(WordsOfATest.at(NOW), WordsOfATest.lasting(NOW));

    private RecordSentences.Line line(String act, String payload) {
        RecordEntry entry = RecordEntry.following(
                7,
                "0".repeat(64),
                new RecordEntry.What(act, "Ottoline Vance", "Visitor map", CanonicalJson.of(Map.of())),
                NOW.minusSeconds(86_400));
        return story.line(new Records.Line(
                UUID.randomUUID(),
                ABOUT,
                new RecordChain.Stored(entry, entry.hash().hex(), Optional.of(payload))));
    }

    private List<String> details(Map<String, ?> payload) {
        Map<String, Object> all = new HashMap<>(payload);
        all.put("subjectId", ABOUT.toString());
        return line(Act.VERSION_SENT.code(), CanonicalJson.of(all).text()).details();
    }

    @ParameterizedTest(name = "{0}, {1}: {2}")
    @CsvSource({
        "signoff.made, SIGN_OFF, signed off",
        "signoff.made, SIGN_OFF_WITH_NOTES, 'signed off, with notes,'",
        "signoff.made, SEND_BACK, sent back",
        "signoff.made, STAND_ASIDE, stood aside on",
        "signoff.made, LATER, decided on",
        "round.closed, SIGN_OFF, closed the round of",
        "task.stepped, '', moved to another step the task",
        "concern.noted, '', noted the concern",
        "something.later, '', something.later"
    })
    void whatWasDoneIsToldAndADecisionByItsName(String act, String decision, String told) {
        assertThat(line(act, CanonicalJson.of(Map.of("decision", decision)).text())
                        .act())
                .isEqualTo(told);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "said           | Too small at 2 m            | said “Too small at 2 m”",
                "whatChanged    | Larger lifts                | what changed “Larger lifts”",
                "dueAt          | 2027-05-13T16:30:00Z        | due Thu 13 May 2027, 17:30 (Europe/London)",
                "dueAt          | 2027-05-14T23:00:00Z        | due Fri 14 May 2027",
                "due            | 2027-05-13T23:00:00Z        | due Thu 13 May 2027",
                "due            | 2027-05-12T23:00:00Z        | due Wed 12 May 2027",
                "due            | 2027-05-20                  | due Thu 20 May 2027",
                "due            | 2027-05-20 → none           | due 2027-05-20 → none",
                "dueAt          | tomorrow                    | due tomorrow",
                "occasion       | before                      | reminder for the working day before",
                "occasion       | day                         | reminder for the day itself",
                "occasion       | late 2                      | reminder for when it is late, number 2",
                "fallsOn        | 2028-02-29                  | on Tue 29 Feb 2028",
                "fallsOn        | 2027-02-29                  | on 2027-02-29",
                "lastDay        | 2027-06-01                  | until Tue 1 Jun 2027",
                "startsOn       | 2027-06-01                  | from Tue 1 Jun 2027",
                "endsOn         | 2027-06-01                  | to Tue 1 Jun 2027",
                "agreedOn       | 2027-06-01                  | agreed finish Tue 1 Jun 2027",
                "size           | 1234567                     | size 1.2 MB",
                "size           | 99999999999999999999        | size 99999999999999999999",
                "role           | SIGNATORY                   | as signatory",
                "rule           | AT_LEAST                    | rule at least",
                "name           | ANA                         | for ANA",
                "label          | A                           | mark A",
                "file           | MAP                         | file MAP",
                "taxPercent     | 20                          | tax % 20",
                "typedName      | Ottoline Vance              | signed as Ottoline Vance",
                "holds          | 1·2                         | is followed: 1·2",
                "setAside       | 1·4                         | set aside: 1·4",
                "insteadOf      | Jasper Quill-Adeyemi        | in place of Jasper Quill-Adeyemi",
                "somethingNew   | two words                   | something new two words"
            })
    void eachDetailIsToldAsItIsRead(String key, String kept, String told) {
        assertThat(details(Map.of(key, kept))).containsExactly(told);
    }

    @Test
    void aDigestIsToldByHowItBegins() {
        String digest = "0123456789abcdef".repeat(4);
        assertThat(details(Map.of("sha256", digest))).containsExactly("SHA-256 0123456789ab…");
        assertThat(details(Map.of(
                        "files", List.of("entrance.jpg (" + digest + ")", "lift, as built.pdf (" + digest + ")"))))
                .containsExactly("files entrance.jpg (0123456789ab…), lift, as built.pdf (0123456789ab…)");
        assertThat(details(Map.of("said", "it begins with " + digest)))
                .as("what somebody said is told whole")
                .containsExactly("said “it begins with " + digest + "”");
    }

    @Test
    void whatSaysNothingIsLeftOut() {
        assertThat(details(Map.of(
                        "note",
                        "",
                        "names",
                        List.of(),
                        "forTeam",
                        false,
                        "mark",
                        "m",
                        "task",
                        "t",
                        "release",
                        "r",
                        "decision",
                        "d",
                        "replaces",
                        "p",
                        "batch",
                        "b")))
                .isEmpty();
        assertThat(details(Map.of("forTeam", true))).containsExactly("for the team only");
        assertThat(details(Map.of("mayMark", true))).containsExactly("may mark");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "{", "[1]", "\"a text\"", "null", "{\"a\":1} and more"})
    void anAlteredPayloadBreaksNothing(String payload) {
        RecordSentences.Line told = line(Act.SIGNOFF_MADE.code(), payload);
        assertThat(told.act()).isEqualTo("decided on");
        assertThat(told.details()).containsExactly("the rest cannot be read: it was altered");
        assertThat(told.when()).isEqualTo("yesterday 13:00");
        assertThat(told.hashBegins()).hasSize(8);
    }
}
