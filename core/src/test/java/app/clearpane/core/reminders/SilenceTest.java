package app.clearpane.core.reminders;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Signatories;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SilenceTest {
    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final WorkingCalendar EASTER = new WorkingCalendar(
            WorkingCalendar.weekdays(LONDON).hours(),
            Set.of(LocalDate.of(2027, 3, 26), LocalDate.of(2027, 3, 29)),
            LONDON);
    private static final ContactId JASPER = new ContactId(UUID.randomUUID());
    private static final ContactId MIRELA = new ContactId(UUID.randomUUID());
    private static final ContactId OTTOLINE = new ContactId(UUID.randomUUID());
    private static final Instant DUE = at("2027-03-24T17:30");

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(LONDON).toInstant();
    }

    private static Silence.Asked asked(
            Rule rule, Map<ContactId, Decision> decisions, Map<ContactId, Instant> decidedAt, Set<ContactId> reminded) {
        return new Silence.Asked(
                new Signatories(rule, List.of(JASPER, MIRELA, OTTOLINE), Optional.of(OTTOLINE)),
                DUE,
                decisions,
                decidedAt,
                reminded);
    }

    /** Two whole working days past Wednesday: Thursday and, with Easter between, Tuesday. */
    @ParameterizedTest(name = "at {0}: {1}")
    @CsvSource({
        "2027-03-24T18:00, false",
        "2027-03-25T23:00, false",
        "2027-03-26T12:00, false",
        "2027-03-30T23:59, false",
        "2027-03-31T00:00, true",
        "2027-06-01T00:00, true"
    })
    void countsAcrossHolidaysAndTheChangeOfTheClock(String now, boolean agreed) {
        assertThat(new Silence(2)
                        .agreed(
                                asked(new Rule.All(), Map.of(), Map.of(), Set.of(JASPER, MIRELA, OTTOLINE)),
                                at(now),
                                EASTER))
                .isEqualTo(agreed ? List.of(JASPER, MIRELA) : List.of());
    }

    @Test
    void isNobodysWhoWasNotRemindedAndNeverTheLeadVoices() {
        Instant late = at("2027-06-01T00:00");
        assertThat(new Silence(2)
                        .agreed(asked(new Rule.All(), Map.of(), Map.of(), Set.of(MIRELA, OTTOLINE)), late, EASTER))
                .containsExactly(MIRELA);
        assertThat(new Silence(2)
                        .agreed(
                                asked(new Rule.All(), Map.of(MIRELA, Decision.SEND_BACK), Map.of(), Set.of(MIRELA)),
                                late,
                                EASTER))
                .as("who said something is not silent")
                .isEmpty();
    }

    @Test
    void startsInOrderWhenThePlaceIsReached() {
        Rule inOrder = new Rule.InOrder();
        Set<ContactId> all = Set.of(JASPER, MIRELA, OTTOLINE);
        assertThat(new Silence(1).agreed(asked(inOrder, Map.of(), Map.of(), all), at("2027-06-01T00:00"), EASTER))
                .as("one at a time")
                .containsExactly(JASPER);
        Map<ContactId, Decision> jasper = Map.of(JASPER, Decision.SIGN_OFF);
        Map<ContactId, Instant> decided = Map.of(JASPER, at("2027-04-05T10:00"));
        assertThat(new Silence(1).agreed(asked(inOrder, jasper, decided, all), at("2027-04-06T23:00"), EASTER))
                .isEmpty();
        assertThat(new Silence(1).agreed(asked(inOrder, jasper, decided, all), at("2027-04-07T00:00"), EASTER))
                .containsExactly(MIRELA);
        assertThat(new Silence(1)
                        .agreed(
                                asked(
                                        inOrder,
                                        Map.of(JASPER, Decision.SIGN_OFF, MIRELA, Decision.SIGN_OFF),
                                        Map.of(MIRELA, DUE),
                                        all),
                                at("2027-06-01T00:00"),
                                EASTER))
                .as("the lead voice is last")
                .isEmpty();
    }

    @Test
    void startsWithTheLastOfAllBeforeThemWhoeverStandsNext() {
        Map<ContactId, Decision> both = Map.of(JASPER, Decision.SIGN_OFF, MIRELA, Decision.SIGN_OFF);
        Map<ContactId, Instant> anew = Map.of(JASPER, at("2027-04-05T10:00"), MIRELA, at("2027-03-25T10:00"));
        ContactId per = new ContactId(UUID.randomUUID());
        Silence.Asked asked = new Silence.Asked(
                new Signatories(new Rule.InOrder(), List.of(JASPER, MIRELA, per), Optional.empty()),
                DUE,
                both,
                anew,
                Set.of(per));
        assertThat(new Silence(1).agreed(asked, at("2027-04-06T23:00"), EASTER))
                .as("Jasper, before both of them, decided on Monday")
                .isEmpty();
        assertThat(new Silence(1).agreed(asked, at("2027-04-07T00:00"), EASTER)).containsExactly(per);
    }

    @ParameterizedTest
    @CsvSource({"0", "-1", "61"})
    void isRefusedOutOfBounds(int days) {
        assertThatIllegalArgumentException().isThrownBy(() -> new Silence(days));
    }
}
