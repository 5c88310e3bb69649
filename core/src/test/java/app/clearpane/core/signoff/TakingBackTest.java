package app.clearpane.core.signoff;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Until when a decision can be taken back. */
class TakingBackTest {
    private static final Instant SAID = Instant.parse("2027-05-13T09:00:00Z");
    private static final ContactId OTTOLINE = new ContactId(new UUID(0, 1));
    private static final ContactId JASPER = new ContactId(new UUID(0, 2));
    private static final ContactId MIRELA = new ContactId(new UUID(0, 3));

    private static TakingBack.Made made(ContactId contact, ContactId by, int minute) {
        return new TakingBack.Made(contact, by, SAID.plusSeconds(60L * minute));
    }

    private static Optional<Instant> until(
            ContactId who, boolean inOrder, Optional<Instant> closedAt, TakingBack.Made... said) {
        return TakingBack.until(who, List.of(said), inOrder, closedAt, SAID.plusSeconds(300));
    }

    @ParameterizedTest(name = "{0} s later: {1}")
    @CsvSource({"0, true", "599, true", "600, false", "86400, false"})
    void forTenMinutes(int later, boolean may) {
        assertThat(TakingBack.until(
                        OTTOLINE,
                        List.of(made(OTTOLINE, OTTOLINE, 0)),
                        false,
                        Optional.empty(),
                        SAID.plusSeconds(later)))
                .isEqualTo(may ? Optional.of(SAID.plusSeconds(600)) : Optional.empty());
    }

    @Test
    void onlyByWhoMadeIt() {
        assertThat(until(JASPER, false, Optional.empty(), made(OTTOLINE, OTTOLINE, 0)))
                .isEmpty();
        assertThat(until(OTTOLINE, false, Optional.empty(), made(OTTOLINE, MIRELA, 0)))
                .as("it was made in her place")
                .isEmpty();
        assertThat(until(MIRELA, false, Optional.empty(), made(OTTOLINE, MIRELA, 0)))
                .isPresent();
        assertThat(until(MIRELA, false, Optional.empty()))
                .as("nothing was said")
                .isEmpty();
    }

    @Test
    void notWhereTheSignatoryHasDecidedAgainSince() {
        assertThat(until(MIRELA, false, Optional.empty(), made(OTTOLINE, MIRELA, 0), made(OTTOLINE, OTTOLINE, 2)))
                .isEmpty();
        assertThat(until(OTTOLINE, false, Optional.empty(), made(OTTOLINE, MIRELA, 0), made(OTTOLINE, OTTOLINE, 2)))
                .hasValue(SAID.plusSeconds(720));
        assertThat(until(MIRELA, false, Optional.empty(), made(OTTOLINE, MIRELA, 0), made(MIRELA, MIRELA, 1)))
                .as("the latest one made, their own")
                .hasValue(SAID.plusSeconds(660));
    }

    @Test
    void inOrderNotOnceTheNextHasDecided() {
        assertThat(until(OTTOLINE, true, Optional.empty(), made(OTTOLINE, OTTOLINE, 0), made(JASPER, JASPER, 1)))
                .isEmpty();
        assertThat(until(JASPER, true, Optional.empty(), made(OTTOLINE, OTTOLINE, 0), made(JASPER, JASPER, 1)))
                .isPresent();
        assertThat(until(OTTOLINE, false, Optional.empty(), made(OTTOLINE, OTTOLINE, 0), made(JASPER, JASPER, 1)))
                .as("by any other rule it may")
                .isPresent();
    }

    @Test
    void ofAClosedRoundOnlyTheOneThatClosedIt() {
        assertThat(until(
                        JASPER,
                        false,
                        Optional.of(SAID.plusSeconds(60)),
                        made(OTTOLINE, OTTOLINE, 0),
                        made(JASPER, JASPER, 1)))
                .isPresent();
        assertThat(until(
                        OTTOLINE,
                        false,
                        Optional.of(SAID.plusSeconds(60)),
                        made(OTTOLINE, OTTOLINE, 0),
                        made(JASPER, JASPER, 1)))
                .isEmpty();
        assertThat(until(
                        JASPER,
                        false,
                        Optional.of(SAID.plusSeconds(200)),
                        made(OTTOLINE, OTTOLINE, 0),
                        made(JASPER, JASPER, 1)))
                .as("it was closed by hand")
                .isEmpty();
    }

    /**
     * Of all that stands in a round, each signatory's at most one decision can be taken back, by one person, and it is
     * the latest for them.
     */
    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void takesBackNothingThatSomethingElseStandsOn(long seed) {
        Random random = new Random(seed);
        List<ContactId> people = List.of(OTTOLINE, JASPER, MIRELA);
        for (int round = 0; round < 200; round++) {
            List<TakingBack.Made> said = new ArrayList<>();
            for (int i = random.nextInt(6); i > 0; i--) {
                said.add(made(people.get(random.nextInt(3)), people.get(random.nextInt(3)), said.size()));
            }
            boolean inOrder = random.nextBoolean();
            for (ContactId who : people) {
                Optional<Instant> until = TakingBack.until(who, said, inOrder, Optional.empty(), SAID.plusSeconds(360));
                if (until.isPresent()) {
                    TakingBack.Made taken = said.stream()
                            .filter(one -> one.at().plus(TakingBack.WITHIN).equals(until.get()))
                            .findFirst()
                            .orElseThrow();
                    assertThat(taken.by()).isEqualTo(who);
                    assertThat(said.subList(said.indexOf(taken) + 1, said.size()))
                            .noneMatch(later -> later.contact().equals(taken.contact()) || inOrder);
                }
            }
        }
    }
}
