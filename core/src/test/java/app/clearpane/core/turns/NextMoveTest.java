package app.clearpane.core.turns;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ItemId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class NextMoveTest {
    private static final Instant NOON = Instant.parse("2027-03-01T12:00:00Z");

    private static NextMove move(int number, boolean holdsUp, OptionalInt spare, Optional<Instant> due, double held) {
        return new NextMove(new ItemId(new UUID(0, number)), holdsUp, spare, due, held);
    }

    @Test
    void putsWhatHoldsUpFirstThenLeastFloatThenDueThenHeld() {
        List<NextMove> inOrder = List.of(
                move(1, true, OptionalInt.of(9), Optional.empty(), 0),
                move(2, false, OptionalInt.of(-1), Optional.empty(), 0),
                move(3, false, OptionalInt.of(2), Optional.of(NOON), 0),
                move(4, false, OptionalInt.of(2), Optional.of(NOON.plusSeconds(1)), 9),
                move(5, false, OptionalInt.of(2), Optional.empty(), 3),
                move(6, false, OptionalInt.of(2), Optional.empty(), 1),
                move(7, false, OptionalInt.empty(), Optional.of(NOON), 9),
                move(8, false, OptionalInt.empty(), Optional.empty(), 0),
                move(9, false, OptionalInt.empty(), Optional.empty(), 0));
        Random random = new Random(5);
        for (int round = 0; round < 20; round++) {
            List<NextMove> shuffled = new ArrayList<>(inOrder);
            Collections.shuffle(shuffled, random);
            shuffled.sort(NextMove.ORDER);
            assertThat(shuffled).isEqualTo(inOrder);
        }
        assertThat(inOrder)
                .extracting(NextMove::everyDayCounts)
                .containsExactly(true, true, false, false, false, false, false, false, false);
    }
}
