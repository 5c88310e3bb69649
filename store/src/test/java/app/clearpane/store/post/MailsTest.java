package app.clearpane.store.post;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/**
 * Mails wait in their queue, leave once, and keep nothing of what they said; those that may be taken back are dropped
 * with it.
 */
class MailsTest {
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Mails mails = new Mails(house.db);

    private static Mails.Mail mail(String subject) {
        return new Mails.Mail(
                UUID.randomUUID(), "Ines", "ines@marram.example", subject, "<p>link</p>", "link", AHouse.NOW);
    }

    @Test
    void isForgottenOnceItHasLeft() {
        Mails.Mail mail = mail("For you");
        mails.add(mail, Optional.empty());
        assertThat(mails.unsent(mail.id())).contains(mail);
        mails.failed(mail.id(), "no route to the server, " + "again ".repeat(400));
        assertThat(mails.unsent(mail.id())).as("it is tried again").contains(mail);
        mails.sent(mail.id(), AHouse.NOW);
        assertThat(mails.unsent(mail.id())).isEmpty();
        assertThat(house.db
                        .fetchSingle("select html || plain from mail where id = ?", mail.id())
                        .get(0, String.class))
                .isEmpty();
        assertThat(mails.unsent(UUID.randomUUID())).isEmpty();
    }

    @Test
    void whatWaitsIsListedInItsOrderAndDroppedByWhatItIsAbout() {
        UUID map = UUID.randomUUID();
        UUID panels = UUID.randomUUID();
        Instant soon = AHouse.NOW.plusSeconds(60);
        Instant later = AHouse.NOW.plusSeconds(600);
        mails.addWaiting(mail("Signed off: Panels"), panels, later);
        mails.addWaiting(mail("Signed off: Map"), map, soon);
        mails.add(mail("For you"), Optional.empty());
        assertThat(mails.waiting(AHouse.NOW))
                .containsExactly(
                        new Mails.Waiting("Signed off: Map", "Ines", soon),
                        new Mails.Waiting("Signed off: Panels", "Ines", later));
        assertThat(mails.waiting(soon)).extracting(Mails.Waiting::subject).containsExactly("Signed off: Panels");
        assertThat(mails.drop(map)).isTrue();
        assertThat(mails.drop(map)).isFalse();
        assertThat(mails.waiting(AHouse.NOW)).extracting(Mails.Waiting::subject).containsExactly("Signed off: Panels");
    }

    @Test
    void whatHasLeftIsNotDropped() {
        UUID map = UUID.randomUUID();
        UUID id = mails.addWaiting(mail("Signed off: Map"), map, AHouse.NOW);
        mails.sent(id, AHouse.NOW);
        assertThat(mails.drop(map)).isFalse();
    }

    @Test
    void whatWaitedLongerThanItsLinkLivesIsForgottenAndNothingElse() {
        UUID old = mails.add(mail("Old"), Optional.empty());
        Mails.Mail fresh = new Mails.Mail(
                UUID.randomUUID(),
                "Ines",
                "ines@marram.example",
                "Fresh",
                "<p>link</p>",
                "link",
                AHouse.NOW.plusSeconds(1));
        mails.add(fresh, Optional.empty());
        assertThat(mails.forgetWrittenBefore(AHouse.NOW.plusSeconds(1))).isOne();
        assertThat(mails.unsent(old)).isEmpty();
        assertThat(house.db
                        .fetchSingle("select html || plain from mail where id = ?", old)
                        .get(0, String.class))
                .as("nobody reads its link any more")
                .isEmpty();
        assertThat(mails.unsent(fresh.id())).contains(fresh);
        assertThat(mails.forgetWrittenBefore(AHouse.NOW.plusSeconds(1)))
                .as("once")
                .isZero();
    }
}
