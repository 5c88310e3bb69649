package app.clearpane.core.markup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.markup.MarkupProgress.Act;
import app.clearpane.core.markup.MarkupProgress.Actor;
import app.clearpane.core.markup.MarkupProgress.Party;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class MarkupRulesTest {
    private static final Actor TEO = new Actor(Party.TEAM, false);
    private static final Actor JASPER = new Actor(Party.CLIENT, true);
    private static final Actor MIRELA = new Actor(Party.CLIENT, false);
    private static final Actor GUEST = new Actor(Party.GUEST, false);

    /**
     * The whole table: what each act makes of each progress, for one of the team, the author at the client, and
     * somebody else there.
     */
    @ParameterizedTest(name = "{0} from {1}: team {2}, author {3}, other {4}")
    @CsvSource({
        "TAKE_ON, OPEN, TAKEN_ON, -, -",
        "FIX, OPEN, FIXED, -, -",
        "FIX, TAKEN_ON, FIXED, -, -",
        "SET_ASIDE, OPEN, SET_ASIDE, -, -",
        "SET_ASIDE, TAKEN_ON, SET_ASIDE, -, -",
        "CONFIRM, FIXED, -, CONFIRMED, CONFIRMED",
        "REOPEN, FIXED, OPEN, OPEN, OPEN",
        "REOPEN, CONFIRMED, OPEN, OPEN, OPEN",
        "REOPEN, SET_ASIDE, OPEN, OPEN, OPEN",
        "REOPEN, WITHDRAWN, OPEN, OPEN, OPEN",
        "WITHDRAW, OPEN, -, WITHDRAWN, -",
        "WITHDRAW, TAKEN_ON, -, WITHDRAWN, -",
        "WITHDRAW, FIXED, -, WITHDRAWN, -"
    })
    void movesAsTheTableSays(Act act, MarkupProgress from, String team, String author, String other) {
        assertThat(shown(from.after(act, TEO))).isEqualTo(team);
        assertThat(shown(from.after(act, JASPER))).isEqualTo(author);
        assertThat(shown(from.after(act, MIRELA))).isEqualTo(other);
    }

    @Test
    void allowsNothingElse() {
        int allowed = 0;
        for (Act act : Act.values()) {
            for (MarkupProgress from : MarkupProgress.values()) {
                assertThat(from.after(act, GUEST)).as("a guest settles nothing").isEmpty();
                assertThat(from.after(act, new Actor(Party.GUEST, true))).isEmpty();
                allowed += from.after(act, TEO).isPresent()
                                || from.after(act, JASPER).isPresent()
                                || from.after(act, MIRELA).isPresent()
                        ? 1
                        : 0;
            }
        }
        assertThat(allowed).isEqualTo(13);
    }

    @ParameterizedTest
    @EnumSource(MarkupProgress.class)
    void blocksSigningWhereAClientOrTheTeamAsksForAChangeAndNobodySettledIt(MarkupProgress progress) {
        for (Intent intent : Intent.values()) {
            boolean blocks =
                    intent == Intent.CHANGE && (progress == MarkupProgress.OPEN || progress == MarkupProgress.TAKEN_ON);
            assertThat(progress.blocksSigning(intent, Party.CLIENT, false)).isEqualTo(blocks);
            assertThat(progress.blocksSigning(intent, Party.TEAM, false)).isEqualTo(blocks);
            assertThat(progress.blocksSigning(intent, Party.GUEST, false)).isFalse();
            assertThat(progress.blocksSigning(intent, Party.TEAM, true)).isFalse();
        }
    }

    /** Where a mark stands: on its own version always; later until it is settled, and where it was fixed. */
    @ParameterizedTest(name = "{0}: later {1}, where it was fixed {2}")
    @CsvSource({
        "OPEN, true, true",
        "TAKEN_ON, true, true",
        "FIXED, true, true",
        "CONFIRMED, false, true",
        "SET_ASIDE, false, false",
        "WITHDRAWN, false, false"
    })
    void standsUntilItIsSettled(MarkupProgress progress, boolean later, boolean whereFixed) {
        for (boolean fixedHere : new boolean[] {false, true}) {
            assertThat(progress.stands(true, false, fixedHere)).isTrue();
            assertThat(progress.stands(false, true, fixedHere)).isEqualTo(fixedHere ? whereFixed : later);
            assertThat(progress.stands(false, false, fixedHere))
                    .as("placed on a later one")
                    .isFalse();
        }
    }

    @ParameterizedTest
    @EnumSource(MarkupProgress.class)
    void signingConfirmsOnesOwnFixesAndAllWithTheLast(MarkupProgress progress) {
        boolean fixed = progress == MarkupProgress.FIXED;
        assertThat(progress.confirmedBySigning(true, false)).isEqualTo(fixed);
        assertThat(progress.confirmedBySigning(false, true)).isEqualTo(fixed);
        assertThat(progress.confirmedBySigning(false, false)).isFalse();
    }

    private static String shown(Optional<MarkupProgress> progress) {
        return progress.map(Enum::name).orElse("-");
    }

    @Test
    void keepsAFixInADraftFromClients() {
        assertThat(MarkupProgress.FIXED.toldToClients(false)).isEqualTo(MarkupProgress.TAKEN_ON);
        assertThat(MarkupProgress.FIXED.toldToClients(true)).isEqualTo(MarkupProgress.FIXED);
        assertThat(MarkupProgress.OPEN.toldToClients(false)).isEqualTo(MarkupProgress.OPEN);
    }

    @ParameterizedTest
    @CsvSource({"1, a", "2, b", "26, z", "27, aa", "28, ab", "52, az", "53, ba", "702, zz", "703, aaa"})
    void lettersWhatIsForTheTeam(int number, String letters) {
        assertThat(new MarkupLabel.Lettered(2, number)).hasToString("2·" + letters);
        assertThat(new MarkupLabel.OnDraft(number)).hasToString(letters);
        assertThat(new MarkupLabel.Numbered(2, number)).hasToString("2·" + number);
    }

    @ParameterizedTest
    @ValueSource(doubles = {-0.001, 1.001, Double.NaN, Double.POSITIVE_INFINITY})
    void refusesPlacesOffThePage(double outside) {
        assertThatThrownBy(() -> new Place.Point(1, outside, 0.5)).isInstanceOf(Place.OutOfRange.class);
        assertThatThrownBy(() -> new Place.Arrow(1, 0.5, 0.5, 0.5, outside)).isInstanceOf(Place.OutOfRange.class);
        assertThatThrownBy(() -> new Place.Rectangle(1, 0.5, 0.5, outside, 0.1)).isInstanceOf(Place.OutOfRange.class);
    }

    @Test
    void refusesPagesAndSizesThatCannotBe() {
        assertThatThrownBy(() -> new Place.Point(0, 0.5, 0.5)).hasMessage("pages count from 1, got 0");
        assertThatThrownBy(() -> new Place.Rectangle(1, 0.5, 0.5, 0, 0.1)).hasMessageContaining("above 0");
        assertThat(new Place.Rectangle(1, 0.5, 0, 0.5, 1).centreX()).isEqualTo(0.75);
    }

    @Test
    void readsInBandsThenFromTheLeft() {
        Place upperRight = new Place.Point(1, 0.9, 0.011);
        Place upperLeft = new Place.Point(1, 0.1, 0.029);
        Place lower = new Place.Point(1, 0.05, 0.031);
        Place nextPage = new Place.Point(2, 0, 0);
        List<Place> places = new ArrayList<>(List.of(nextPage, lower, upperRight, upperLeft));
        places.sort(ReadingOrder.BY_BANDS);
        assertThat(places).containsExactly(upperLeft, upperRight, lower, nextPage);
    }
}
