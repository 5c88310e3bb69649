package app.clearpane.core.turns;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TurnTallyTest {
    private static TurnTally some(Random random) {
        return new TurnTally(
                random.nextInt(9),
                random.nextInt(9),
                random.nextInt(9),
                random.nextInt(9),
                random.nextInt(9),
                random.nextInt(9),
                new TurnTally.ByName(random.nextInt(9), random.nextInt(9), random.nextInt(9), random.nextInt(9)));
    }

    /** What two projects hold is what each holds, in whichever order they are counted. */
    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void addsUp(long seed) {
        Random random = new Random(seed);
        TurnTally one = some(random);
        TurnTally other = some(random);
        assertThat(one.plus(other)).isEqualTo(other.plus(one));
        assertThat(one.plus(TurnTally.NONE)).isEqualTo(one);
        assertThat(one.plus(other).allOurs()).isEqualTo(one.allOurs() + other.allOurs());
        assertThat(one.plus(other).allClients()).isEqualTo(one.allClients() + other.allClients());
    }
}
