package app.clearpane.usecases.post;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.Agency;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.ContactWishes;
import app.clearpane.core.agency.WritingHours;
import app.clearpane.store.agency.OwnThings;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The agency is in London in summer, an hour before UTC. */
class HoursOfContactsTest {
    private static final ContactId PER = new ContactId(new UUID(1, 1));
    private final OwnThings own = mock();
    private final TheAgency agency = mock();
    private final HoursOfContacts hours = new HoursOfContacts(own, agency);

    @BeforeEach
    void inLondon() {
        when(agency.get()).thenReturn(new Agency(new UUID(1, 2), "Marram & Finch", ZoneId.of("Europe/London")));
    }

    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            value = {
                // zone, hours, written, goes
                "-, -, 2027-05-13T02:00:00Z, 2027-05-13T02:00:00Z",
                "-, 8, 2027-05-13T02:00:00Z, 2027-05-13T07:00:00Z",
                "-, 8, 2027-05-13T12:00:00Z, 2027-05-13T12:00:00Z",
                "America/New_York, 8, 2027-05-13T02:00:00Z, 2027-05-13T12:00:00Z",
                "America/New_York, 8, 2027-05-13T20:00:00Z, 2027-05-13T20:00:00Z",
                "Asia/Tokyo, 8, 2027-05-13T12:00:00Z, 2027-05-13T23:00:00Z",
                "Asia/Tokyo, -, 2027-05-13T15:00:00Z, 2027-05-13T15:00:00Z"
            })
    void whatWouldComeAtAnotherHourWaitsWhereTheyAre(String zone, Integer from, Instant written, Instant goes) {
        when(own.wishes(PER))
                .thenReturn(new ContactWishes(
                        "",
                        Optional.ofNullable(zone).map(ZoneId::of),
                        Optional.empty(),
                        Optional.ofNullable(from).map(hour -> new WritingHours(hour, 18))));
        assertThat(hours.next(PER, written)).isEqualTo(goes);
    }
}
