package app.clearpane.store.reminders;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.reminders.Rhythm;
import app.clearpane.core.reminders.Silence;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.post.Mails;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Reminders go out once; those that were delivered are known by it. */
class RemindersTest {
    private static final UUID MAP = UUID.randomUUID();
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Reminders reminders = new Reminders(house.db);
    private final Mails mails = new Mails(house.db);
    private final ContactId jasper = house.contact("jasper").id();
    private final ContactId mirela = house.contact("mirela").id();

    private static Reminders.Key key(ContactId contact, String occasion) {
        return new Reminders.Key(MAP, contact, AHouse.NOW, occasion);
    }

    private UUID mail() {
        return mails.add(
                new Mails.Mail(
                        UUID.randomUUID(), "Jasper", "jasper@penwether.example", "Reminder", "<p>", "text", AHouse.NOW),
                Optional.of(jasper));
    }

    @Test
    void oneIsKeptOnceHoweverOftenItIsTried() {
        assertThat(reminders.add(key(jasper, "day"), AHouse.NOW)).isTrue();
        assertThat(reminders.add(key(jasper, "day"), AHouse.NOW.plusSeconds(5))).isFalse();
        assertThat(reminders.add(key(jasper, "late 1"), AHouse.NOW)).isTrue();
        assertThat(reminders.add(key(mirela, "day"), AHouse.NOW)).isTrue();
        assertThat(reminders.add(new Reminders.Key(MAP, jasper, AHouse.NOW.plusSeconds(1), "day"), AHouse.NOW))
                .as("due anew")
                .isTrue();
        assertThat(reminders.out(List.of(
                        key(jasper, "day"),
                        key(jasper, "late 2"),
                        key(mirela, "day"),
                        new Reminders.Key(UUID.randomUUID(), jasper, AHouse.NOW, "day"))))
                .isEqualTo(Set.of(key(jasper, "day"), key(mirela, "day")));
        assertThat(reminders.out(List.of())).isEmpty();
    }

    @Test
    void isDeliveredOnceItsMailHasLeftTheHouse() {
        UUID first = mail();
        UUID second = mail();
        reminders.add(key(jasper, "day"), AHouse.NOW);
        reminders.carried(key(jasper, "day"), first);
        reminders.add(key(jasper, "late 1"), AHouse.NOW);
        reminders.carried(key(jasper, "late 1"), second);
        reminders.add(key(mirela, "day"), AHouse.NOW);
        assertThat(reminders.delivered(List.of(MAP)))
                .as("written, and not gone")
                .isEmpty();
        Instant gone = AHouse.NOW.plusSeconds(60);
        mails.sent(first, gone);
        assertThat(reminders.delivered(List.of(MAP))).containsExactly(new Reminders.Delivered(MAP, jasper, gone));
        mails.sent(second, gone.plusSeconds(60));
        assertThat(reminders.latest(MAP)).containsOnlyKeys(jasper).containsEntry(jasper, gone.plusSeconds(60));
        assertThat(reminders.delivered(List.of(UUID.randomUUID()))).isEmpty();
    }

    @Test
    void theRhythmIsTheUsualOneUntilItIsSet() {
        assertThat(reminders.rhythm()).contains(Rhythm.USUAL);
        reminders.setRhythm(Optional.of(new Rhythm(7, 1, 12)));
        assertThat(reminders.rhythm()).contains(new Rhythm(7, 1, 12));
        reminders.setRhythm(Optional.empty());
        assertThat(reminders.rhythm()).isEmpty();
        reminders.setRhythm(Optional.of(Rhythm.USUAL));
        assertThat(reminders.rhythm()).contains(Rhythm.USUAL);
    }

    @Test
    void silenceMeansNothingUntilItWasAgreed() {
        SilenceTerms terms = new SilenceTerms(house.db);
        assertThat(terms.termsOf(house.project)).isEmpty();
        SilenceTerms.Terms agreed =
                new SilenceTerms.Terms(new Silence(5), "the contract, section 4", Actor.kept("Ines"), AHouse.NOW);
        terms.set(house.project, Optional.of(agreed));
        assertThat(terms.termsOf(house.project)).contains(agreed);
        assertThat(terms.all()).containsOnlyKeys(house.project).containsValue(agreed);
        terms.set(house.project, Optional.empty());
        assertThat(terms.all()).isEmpty();
    }
}
