package app.clearpane.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Whoever guesses is slowed down; nobody else is kept out by it. */
class LimitsTest {
    private final Limits limits = new Limits(new Limits.PerMinute(5, 4, 3));

    private long allowed(int tries, java.util.function.IntPredicate one) {
        return IntStream.range(0, tries).filter(one).count();
    }

    @Test
    void wrongTriesFromOnePlaceKeepNobodyElseOut() {
        assertThat(allowed(100, i -> limits.signIn("ines@marram-finch.example", "10.0.0.1", false)))
                .isEqualTo(5);
        assertThat(limits.signIn("ines@marram-finch.example", "10.0.0.2", false))
                .isTrue();
        assertThat(limits.signIn("teo@marram-finch.example", "10.0.0.1", false))
                .as("for any account from there")
                .isFalse();
    }

    @Test
    void guessingFromManyPlacesIsSlowedDownButNotWhereOneSignedInBefore() {
        assertThat(allowed(500, i -> limits.signIn("ines@marram-finch.example", "10.0.1." + i, false)))
                .isBetween(30L, 32L);
        assertThat(limits.signIn("ines@marram-finch.example", "10.0.9.9", false))
                .isFalse();
        assertThat(limits.signIn("ines@marram-finch.example", "10.0.9.8", true))
                .as("a place she knows")
                .isTrue();
    }

    @Test
    void oneWhoGuessesAPasscodeDoesNotShutOutTheOthersWhoHaveTheLink() {
        assertThat(allowed(50, i -> limits.passcode("link", "10.0.0.1"))).isEqualTo(5);
        assertThat(limits.passcode("link", "10.0.0.2")).isTrue();
        assertThat(limits.passcode("other", "10.0.0.1")).isTrue();
    }

    @Test
    void whateverIsTypedIsCountedUnderAShortKey() {
        String long1 = "a".repeat(1_900_000);
        assertThat(allowed(20, i -> limits.signIn(long1 + i, "10.0.0.7", false)))
                .isEqualTo(5);
        assertThat(HashedSessionIds.digest("key"))
                .hasSize(36)
                .isEqualTo(HashedSessionIds.digest("key"))
                .isNotEqualTo(HashedSessionIds.digest("kex"));
    }
}
