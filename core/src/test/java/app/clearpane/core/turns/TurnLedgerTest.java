package app.clearpane.core.turns;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TurnLedgerTest {
    private static final Instant START = Instant.parse("2027-03-01T09:00:00Z");
    private static final WorkingCalendar DAYS = WorkingCalendar.weekdays(ZoneOffset.UTC);

    @Test
    void isOursUntilSomethingIsSent() {
        TurnLedger ledger = new TurnLedger(START, List.of());
        assertThat(ledger.holder()).isEqualTo(Turn.OURS);
        assertThat(ledger.heldSince()).isEqualTo(START);
    }

    @Test
    void goesToTheClientAndBack() {
        Instant sent = START.plusSeconds(86_400);
        Instant closed = sent.plusSeconds(86_400);
        TurnLedger ledger = new TurnLedger(
                START,
                List.of(
                        new TurnLedger.Event(TurnEvent.VERSION_SENT, sent),
                        new TurnLedger.Event(TurnEvent.ROUND_CLOSED, closed)));
        assertThat(ledger.holder()).isEqualTo(Turn.OURS);
        assertThat(ledger.heldSince()).isEqualTo(closed);
        assertThat(ledger.daysHeldBy(Turn.CLIENTS, closed, DAYS)).isEqualTo(1.0);
    }

    /** Clash opened: the lead voice's side, or ours if none; ruled: as before. */
    @ParameterizedTest
    @CsvSource({
        "VERSION_SENT CLASH_WITH_CLIENT, CLIENTS",
        "VERSION_SENT CLASH_WITH_US, OURS",
        "VERSION_SENT CLASH_WITH_US CLASH_LEFT_US, CLIENTS",
        "VERSION_SENT CLASH_WITH_CLIENT ROUND_CLOSED, CLIENTS",
        "VERSION_SENT CLASH_WITH_CLIENT ROUND_CLOSED CLASH_LEFT_CLIENT, OURS",
        "VERSION_SENT CLASH_WITH_CLIENT CLASH_WITH_CLIENT ROUND_CLOSED CLASH_LEFT_CLIENT, CLIENTS",
        "VERSION_SENT CLASH_WITH_CLIENT CLASH_WITH_US ROUND_CLOSED CLASH_LEFT_CLIENT, OURS",
        "VERSION_SENT CLASH_WITH_US CLASH_WITH_CLIENT CLASH_LEFT_US, CLIENTS",
        "VERSION_SENT CLASH_WITH_CLIENT ROUND_CLOSED VERSION_SENT ROUND_CLOSED, OURS",
        "VERSION_SENT CLASH_WITH_CLIENT ROUND_CLOSED RELEASED, NOBODYS",
        "CLASH_LEFT_CLIENT, OURS"
    })
    void aClashIsWithWhoeverRules(String events, Turn holder) {
        List<TurnLedger.Event> all = new ArrayList<>();
        for (String event : events.split(" ")) {
            all.add(new TurnLedger.Event(TurnEvent.valueOf(event), START.plusSeconds(3_600L * (all.size() + 1))));
        }
        TurnLedger ledger = new TurnLedger(START, all);
        assertThat(ledger.holder()).isEqualTo(holder);
        List<TurnLedger.Stretch> stretches = ledger.stretches(START.plusSeconds(1_000_000));
        assertThat(stretches.get(stretches.size() - 1).holder()).isEqualTo(holder);
    }

    @Test
    void refusesHistoryOutOfOrder() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new TurnLedger(
                        START, List.of(new TurnLedger.Event(TurnEvent.RELEASED, START.minusSeconds(1)))));
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void coversAllTimeWithoutOverlap(long seed) {
        Random random = new Random(seed);
        List<TurnLedger.Event> events = new ArrayList<>();
        Instant at = START;
        for (int i = 0; i < 30; i++) {
            at = at.plusSeconds(random.nextInt(200_000));
            events.add(new TurnLedger.Event(TurnEvent.values()[random.nextInt(TurnEvent.values().length)], at));
        }
        Instant end = at.plusSeconds(50_000);
        TurnLedger ledger = new TurnLedger(START, events);
        Instant expected = START;
        for (TurnLedger.Stretch stretch : ledger.stretches(end)) {
            assertThat(stretch.from()).isEqualTo(expected);
            expected = stretch.to();
        }
        assertThat(expected).isEqualTo(end);
        double sum = ledger.daysHeldBy(Turn.OURS, end, DAYS)
                + ledger.daysHeldBy(Turn.CLIENTS, end, DAYS)
                + ledger.daysHeldBy(Turn.NOBODYS, end, DAYS);
        assertThat(sum).isCloseTo(DAYS.workingDaysHeld(START, end), within(1e-6));
    }

    @ParameterizedTest
    @CsvSource({"2, 2 days", "2.44, 2.4 days", "0.96, 1 day", "1, 1 day", "0, 0 days", "0.05, 0.1 days"})
    void readsAsPeopleSayIt(double days, String words) {
        assertThat(new DaysHeld(days)).hasToString(words);
    }
}
