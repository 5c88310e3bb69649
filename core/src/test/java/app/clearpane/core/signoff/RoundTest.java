package app.clearpane.core.signoff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Clash;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RoundTest {
    static final Instant SENT = Instant.parse("2027-03-22T09:00:00Z");
    static final ContactId OTTOLINE = new ContactId(new UUID(0, 1));
    static final ContactId JASPER = new ContactId(new UUID(0, 2));
    static final ContactId MIRELA = new ContactId(new UUID(0, 3));

    static Round round(Rule rule, Round.Said... said) {
        return round(new Round.Open(), rule, said);
    }

    static Round round(Round.Standing standing, Rule rule, Round.Said... said) {
        return new Round(
                new RoundId(new UUID(1, 1)),
                new VersionId(new UUID(2, 2)),
                1,
                SENT,
                SENT.plusSeconds(86_400),
                rule,
                standing,
                List.of(
                        new Round.Signatory(OTTOLINE, "Ottoline Vance", true),
                        new Round.Signatory(JASPER, "Jasper Quill-Adeyemi", false)),
                List.of(said),
                List.of());
    }

    static Round.Closed closed(int minutes, Outcome outcome) {
        return new Round.Closed(
                SENT.plusSeconds(60L * minutes), new Actor.OfClient(JASPER, "Jasper"), Optional.empty(), outcome);
    }

    static Round.Said said(ContactId who, Decision decision, int minutes) {
        return said(who, decision, minutes, null, false);
    }

    static Round.Said said(
            ContactId who, Decision decision, int minutes, @Nullable ContactId standIn, boolean bySilence) {
        return new Round.Said(
                who,
                who.equals(OTTOLINE) ? "Ottoline Vance" : "Jasper Quill-Adeyemi",
                decision,
                "Said",
                "Typed",
                Sha256.ofText("bytes"),
                SENT.plusSeconds(60L * minutes),
                null,
                standIn,
                standIn == null ? null : "Mirela Stancu",
                bySilence,
                null);
    }

    @Test
    void isOpenUntilItIsClosedAndThenSaysHowItEnded() {
        Round open = round(new Rule.All());
        assertThat(open.open()).isTrue();
        assertThat(open.closed()).isEmpty();
        assertThat(open.askedNow()).containsExactly(OTTOLINE, JASPER);
        Round over = round(closed(30, Outcome.RECALLED), new Rule.All());
        assertThat(over.open()).isFalse();
        assertThat(over.closed().orElseThrow().at()).isEqualTo(SENT.plusSeconds(1_800));
        assertThat(over.askedNow()).as("nobody is asked any more").isEmpty();
    }

    @Test
    void whatItCameToStandsWhateverTheDecisionsWouldComeTo() {
        Round.Said[] both = {said(OTTOLINE, Decision.SIGN_OFF, 1), said(JASPER, Decision.SIGN_OFF, 2)};
        assertThat(round(new Rule.All(), both).soFar().agreed()).isTrue();
        assertThat(round(closed(3, Outcome.RECALLED), new Rule.All(), both).soFar())
                .isEqualTo(Outcome.RECALLED);
    }

    @Test
    void theLatestDecisionOfEachCounts() {
        Round round = round(
                new Rule.All(),
                said(OTTOLINE, Decision.SEND_BACK, 1),
                said(JASPER, Decision.SIGN_OFF, 2),
                said(OTTOLINE, Decision.SIGN_OFF, 3));
        assertThat(round.decisions()).containsEntry(OTTOLINE, Decision.SIGN_OFF).hasSize(2);
        assertThat(round.saidBy(OTTOLINE).orElseThrow().at()).isEqualTo(SENT.plusSeconds(180));
        assertThat(round.whoDecided(Decision.SIGN_OFF)).containsExactly("Ottoline Vance", "Jasper Quill-Adeyemi");
        assertThat(round.whoDecided(Decision.SEND_BACK)).isEmpty();
    }

    @Test
    void oneAfterAnotherAsksOnlyTheNext() {
        assertThat(round(new Rule.InOrder()).askedNow()).containsExactly(OTTOLINE);
        assertThat(round(new Rule.InOrder(), said(OTTOLINE, Decision.SIGN_OFF, 1))
                        .askedNow())
                .containsExactly(JASPER);
    }

    @Test
    void whoeverStandsInMadeTheDecisionOfWhomTheyStandInFor() {
        Round round = round(new Rule.All(), said(OTTOLINE, Decision.SIGN_OFF, 1, MIRELA, false));
        assertThat(round.saidBy(OTTOLINE)).isPresent();
        assertThat(round.madeBy(OTTOLINE)).isEmpty();
        assertThat(round.madeBy(MIRELA).orElseThrow().by()).isEqualTo("Mirela Stancu, standing in for Ottoline Vance");
        assertThat(round.saidBy(MIRELA)).as("it is not a decision of her own").isEmpty();
    }

    @Test
    void silenceIsSaidToBeSilence() {
        assertThat(said(JASPER, Decision.SIGN_OFF, 1, null, true).by()).isEqualTo("Jasper Quill-Adeyemi, by silence");
        assertThat(said(JASPER, Decision.SIGN_OFF, 1).by()).isEqualTo("Jasper Quill-Adeyemi");
    }

    @Test
    void onlySignatoriesHaveAName() {
        assertThat(round(new Rule.Any()).nameOf(JASPER)).isEqualTo("Jasper Quill-Adeyemi");
        assertThatThrownBy(() -> round(new Rule.Any()).nameOf(MIRELA)).isInstanceOf(NoSuchElementException.class);
    }

    @Test
    void clashesAreCountedBySideWhileTheyWait() {
        Clash clash = new Clash(new MarkupId(new UUID(3, 1)), new MarkupId(new UUID(3, 2)));
        Round empty = round(new Rule.All());
        Round round = new Round(
                empty.id(),
                empty.version(),
                1,
                SENT,
                empty.dueAt(),
                empty.rule(),
                empty.standing(),
                empty.signatories(),
                List.of(),
                List.of(
                        new Round.ClashTurn(new UUID(4, 1), clash, true, SENT, null),
                        new Round.ClashTurn(new UUID(4, 2), clash, true, SENT, SENT.plusSeconds(9)),
                        new Round.ClashTurn(new UUID(4, 3), clash, false, SENT, null)));
        assertThat(round.clashesWith(true)).isEqualTo(1);
        assertThat(round.clashesWith(false)).isEqualTo(1);
    }

    /** Whatever is said in whatever order, nobody is asked who has decided, unless the rule asks one after another. */
    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 5, 8, 13, 21, 34})
    void nobodyIsAskedForWhatTheyHaveDecided(long seed) {
        Random random = new Random(seed);
        List<Round.Said> all = new ArrayList<>();
        for (int i = 0; i < random.nextInt(6); i++) {
            all.add(said(
                    random.nextBoolean() ? OTTOLINE : JASPER,
                    Decision.values()[random.nextInt(Decision.values().length)],
                    i));
        }
        Round round = round(new Rule.All(), all.toArray(Round.Said[]::new));
        assertThat(round.askedNow())
                .doesNotContainAnyElementsOf(round.decisions().keySet());
        assertThat(round.decisions().keySet())
                .allSatisfy(who -> assertThat(round.saidBy(who)).isPresent());
    }
}
