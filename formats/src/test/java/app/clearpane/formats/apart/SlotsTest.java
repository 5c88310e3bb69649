package app.clearpane.formats.apart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;

/** All together only so many files are opened at a time; whoever waits is not kept waiting by what nobody waits for. */
class SlotsTest {
    private static void start(Slots slots, CompletableFuture<Void> taken) {
        Thread waiting = new Thread(() -> {
            try {
                slots.takeForNobody();
                taken.complete(null);
            } catch (Exception failed) {
                taken.completeExceptionally(failed);
            }
        });
        waiting.setDaemon(true);
        waiting.start();
    }

    @Test
    void whatNobodyWaitsForLeavesOneToWhoeverDoes() throws Exception {
        Slots slots = new Slots(2, 5, Duration.ofMinutes(30));
        slots.takeForNobody();
        CompletableFuture<Void> second = new CompletableFuture<>();
        start(slots, second);
        slots.takeForSomebody();
        assertThat(second).isNotDone();
        assertThat(slots.free()).isFalse();
        slots.give(true);
        assertThat(second).as("one is free, and is kept for somebody").isNotDone();
        slots.give(false);
        second.join();
    }

    @Test
    void whoeverFindsNoneInTimeOrTooManyBeforeThemIsToldSo() throws Exception {
        Slots hasty = new Slots(2, 5, Duration.ofMillis(10));
        hasty.takeForSomebody();
        hasty.takeForSomebody();
        assertThatThrownBy(hasty::takeForSomebody).isInstanceOf(NoRoomNow.class);
        hasty.give(true);
        hasty.takeForSomebody();
        Slots full = new Slots(2, 0, Duration.ofMinutes(30));
        full.takeForSomebody();
        full.takeForSomebody();
        assertThatThrownBy(full::takeForSomebody).isInstanceOf(NoRoomNow.class);
    }
}
