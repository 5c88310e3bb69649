package app.clearpane.web.shell;

import app.clearpane.core.agency.Agency;
import app.clearpane.store.agency.People;
import app.clearpane.store.plan.Agreements;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import org.mockito.Mockito;

/** The words of an agency in London at a given instant, for tests. */
public final class WordsOfATest {
    private WordsOfATest() {}

    public static Words at(Instant now) {
        return new Words(agency(now));
    }

    public static Lasting lasting(Instant now) {
        return new Lasting(agency(now));
    }

    private static TheAgency agency(Instant now) {
        People people = Mockito.mock(People.class);
        Mockito.when(people.agency())
                .thenReturn(Optional.of(new Agency(UUID.randomUUID(), "Marram & Finch", ZoneId.of("Europe/London"))));
        return new TheAgency(people, Mockito.mock(Agreements.class), Clock.fixed(now, ZoneOffset.UTC));
    }
}
