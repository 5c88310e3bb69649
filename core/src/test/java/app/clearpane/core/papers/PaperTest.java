package app.clearpane.core.papers;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A paper as it stands, and what its recipients did with it. */
class PaperTest {
    private static final LocalDate DAY = LocalDate.of(2027, 3, 24);
    private static final Instant NOW = Instant.parse("2027-03-24T10:00:00Z");
    private static final Paper.Sent SENT = new Paper.Sent(NOW, Optional.empty());

    private static Paper.Recipient recipient(int who, Paper.Answer answer) {
        return new Paper.Recipient(new ContactId(new UUID(2, who)), "Somebody " + who, Optional.of(NOW), answer);
    }

    private static Paper paper(PaperKind kind, Paper.Standing standing, List<Paper.Recipient> recipients) {
        return new Paper(
                new PaperId(new UUID(1, 1)),
                new ProjectId(new UUID(1, 2)),
                kind,
                "A paper",
                "7",
                Optional.empty(),
                DAY,
                Optional.of(DAY.plusDays(7)),
                Sha256.ofText("paper"),
                "paper.pdf",
                "application/pdf",
                9,
                Actor.kept("Ines"),
                NOW,
                standing,
                recipients,
                1,
                Paper.Further.USUAL);
    }

    @Test
    void whatWasWithdrawnRemembersThatItWasSentAndPaid() {
        Paper.Sent paid = new Paper.Sent(NOW, Optional.of(DAY));
        Paper withdrawn = paper(PaperKind.INVOICE, new Paper.Withdrawn(paid, NOW.plusSeconds(9), "Twice"), List.of());
        assertThat(withdrawn.sentAt()).hasValue(NOW);
        assertThat(withdrawn.paidOn()).hasValue(DAY);
        assertThat(withdrawn.withdrawal()).map(Paper.Withdrawn::reason).hasValue("Twice");
        assertThat(withdrawn.state(DAY)).isEqualTo(PaperState.WITHDRAWN);
        assertThat(paper(PaperKind.INVOICE, paid, List.of()).state(DAY)).isEqualTo(PaperState.PAID);
    }

    @Test
    void aDraftThatIsWithdrawnWasNeverSent() {
        Paper withdrawn = paper(PaperKind.OTHER, new Paper.Withdrawn(new Paper.Draft(), NOW, "No"), List.of());
        assertThat(withdrawn.sentAt()).isEmpty();
        assertThat(withdrawn.state(DAY)).isEqualTo(PaperState.WITHDRAWN);
        assertThat(paper(PaperKind.OTHER, new Paper.Draft(), List.of()).state(DAY))
                .isEqualTo(PaperState.DRAFT);
    }

    private static Paper.Answer anyAnswer(Random random) {
        return switch (random.nextInt(3)) {
            case 0 -> new Paper.NoAnswer();
            case 1 -> new Paper.Named(NOW, "Somebody", Optional.empty());
            default -> new Paper.Declined(NOW, "No.");
        };
    }

    /** Whoever answered is waited for no more, whatever the others did; what is settled waits for nobody. */
    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void onlyWhoeverDidNotAnswerIsWaitedFor(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 200; i++) {
            PaperKind kind = PaperKind.values()[random.nextInt(PaperKind.values().length)];
            List<Paper.Recipient> recipients = new ArrayList<>();
            for (int who = 0; who <= random.nextInt(4); who++) {
                recipients.add(recipient(who, anyAnswer(random)));
            }
            Paper paper = paper(kind, SENT, recipients);
            for (Paper.Recipient one : recipients) {
                assertThat(paper.waitsFor(one.contact(), DAY))
                        .as("%s, %s", kind, recipients)
                        .isEqualTo(paper.waits(DAY) && one.isAwaited());
            }
            assertThat(paper.waits(DAY) && paper.isBack())
                    .as("nobody's turn twice")
                    .isFalse();
            assertThat(paper.waitsFor(new ContactId(new UUID(9, 9)), DAY))
                    .as("it is not theirs")
                    .isFalse();
        }
    }

    @Test
    void anAnswerIsOneOfThree() {
        Paper.Recipient named = recipient(1, new Paper.Named(NOW, "Somebody", Optional.empty()));
        Paper.Recipient declined = recipient(2, new Paper.Declined(NOW, "No."));
        Paper.Recipient silent = Paper.Recipient.of(new ContactId(new UUID(2, 3)), "Somebody 3");
        assertThat(List.of(named, declined, silent))
                .extracting(
                        one -> one.named().isPresent(), one -> one.declined().isPresent(), Paper.Recipient::isAwaited)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(true, false, false),
                        org.assertj.core.groups.Tuple.tuple(false, true, false),
                        org.assertj.core.groups.Tuple.tuple(false, false, true));
        assertThat(silent.seenAt()).isEmpty();
    }
}
