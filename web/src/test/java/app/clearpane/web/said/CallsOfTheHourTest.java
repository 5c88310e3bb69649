package app.clearpane.web.said;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.clearpane.usecases.said.CallsOfTheHour;
import app.clearpane.web.Acting;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class CallsOfTheHourTest {
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    private final Clock clock = mock(Clock.class);
    private final CallsOfTheHour hour = new CallsOfTheHour(clock);

    @Test
    void theFirstOfAnHourIsToldAtOnceAndTheOthersAtItsEnd() {
        UUID about = UUID.randomUUID();
        when(clock.instant()).thenReturn(NOW);
        assertThat(hour.call(about)).isEqualTo(new CallsOfTheHour.Call(1, NOW.plus(Duration.ofHours(1))));
        when(clock.instant()).thenReturn(NOW.plusSeconds(3_599));
        assertThat(hour.call(about)).isEqualTo(new CallsOfTheHour.Call(2, NOW.plus(Duration.ofHours(1))));
        assertThat(hour.call(UUID.randomUUID()).number()).isEqualTo(1);
        when(clock.instant()).thenReturn(NOW.plusSeconds(3_600));
        assertThat(hour.call(about).number()).as("a new hour").isEqualTo(1);
    }

    @Test
    void nobodyCallsMoreThanSoManyInAnHour() {
        when(clock.instant()).thenReturn(NOW);
        assertThat(IntStream.range(0, 200)
                        .filter(i -> hour.mayCall(Acting.team("Mirela")))
                        .count())
                .isEqualTo(CallsOfTheHour.MOST_BY_ONE);
        assertThat(hour.mayCall(Acting.team("Jasper"))).isTrue();
    }
}
