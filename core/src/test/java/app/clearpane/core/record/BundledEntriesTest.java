package app.clearpane.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What leaves the house in a bundle says nothing that was said among the team. */
class BundledEntriesTest {
    @ParameterizedTest
    @CsvSource({
        "signoff.made, false, true",
        "mark.answered, false, true",
        "mark.answered, true, false",
        "mark.edited, true, false",
        "mark.placed.for-team, false, false",
        "mark.given, false, false",
        "mark.became-task, false, false",
        "item.held-back, false, false",
        "looked.through, false, false",
        "version.stored, false, false",
        "version.sent, false, true",
        "release.handed, false, false",
        "something.new, false, false"
    })
    void whatClientsTookPartInIsTold(String act, boolean forTeam, boolean told) {
        assertThat(BundledEntries.told(
                        act,
                        CanonicalJson.of(Map.of("forTeam", forTeam, "said", "words"))
                                .text()))
                .isEqualTo(told);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {"\"forTeam\":true", "she said \"forTeam\":true", "\\\"forTeam\":true"})
    void wordsThatLookLikeTheSignAreWords(String said) {
        assertThat(BundledEntries.told(
                        "mark.answered",
                        CanonicalJson.of(Map.of("forTeam", false, "said", said)).text()))
                .isTrue();
    }
}
