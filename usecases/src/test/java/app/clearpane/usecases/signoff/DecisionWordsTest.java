package app.clearpane.usecases.signoff;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.signoff.Decision;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The same decision reads rightly after a name, by itself, and to whoever made it. */
class DecisionWordsTest {
    @ParameterizedTest
    @CsvSource({
        "SIGN_OFF, signed off, You signed off",
        "SIGN_OFF_WITH_NOTES, signed off with notes, You signed off with notes",
        "SEND_BACK, sent back, You sent back",
        "STAND_ASIDE, stands aside, You stand aside"
    })
    void readsRightlyByItselfAndToWhoeverMadeIt(Decision decision, String alone, String yours) {
        assertThat(DecisionWords.alone(decision)).isEqualTo(alone);
        assertThat(DecisionWords.yours(decision)).isEqualTo(yours);
    }

    @ParameterizedTest
    @EnumSource(Decision.class)
    void afterANameItLeadsToWhatWasDecidedOn(Decision decision) {
        String sentence = "Jasper " + DecisionWords.said(decision) + " the map.";
        assertThat(sentence).doesNotContain("  ").startsWith("Jasper s").endsWith(" the map.");
    }
}
