package app.clearpane.core.markup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.markup.MarkupProgress.Act;
import app.clearpane.core.markup.MarkupProgress.Actor;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MarkupRulesTest {
  private static final Actor TEO = new Actor(true, false);
  private static final Actor JASPER = new Actor(false, true);
  private static final Actor MIRELA = new Actor(false, false);

  /** The whole table: what each act makes of each progress, for one of the team, the author at the client, and somebody else there. */
  @ParameterizedTest(name = "{0} from {1}: team {2}, author {3}, other {4}")
  @CsvSource({"TAKE_ON, OPEN, TAKEN_ON, -, -", "FIX, OPEN, FIXED, -, -", "FIX, TAKEN_ON, FIXED, -, -", "SET_ASIDE, OPEN, SET_ASIDE, -, -", "SET_ASIDE, TAKEN_ON, SET_ASIDE, -, -",
      "CONFIRM, FIXED, -, CONFIRMED, CONFIRMED", "REOPEN, FIXED, OPEN, OPEN, OPEN", "REOPEN, CONFIRMED, OPEN, OPEN, OPEN", "REOPEN, SET_ASIDE, OPEN, OPEN, OPEN",
      "REOPEN, WITHDRAWN, OPEN, OPEN, OPEN", "WITHDRAW, OPEN, -, WITHDRAWN, -", "WITHDRAW, TAKEN_ON, -, WITHDRAWN, -", "WITHDRAW, FIXED, -, WITHDRAWN, -"})
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
        allowed += from.after(act, TEO).isPresent() || from.after(act, JASPER).isPresent() || from.after(act, MIRELA).isPresent() ? 1 : 0;
      }
    }
    assertThat(allowed).isEqualTo(13);
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
