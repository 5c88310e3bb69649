package app.clearpane.core.markup;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.markup.AskedFor.Counted;
import app.clearpane.core.markup.MarkupProgress.Party;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** One way of counting marks. */
class AskedForTest {
    private static Counted mark(MarkupProgress progress, Intent intent) {
        return new Counted(progress, intent, Party.CLIENT, false, true, false, false);
    }

    @Test
    void countsEachMarkWhereItBelongs() {
        List<Counted> marks = List.of(
                mark(MarkupProgress.OPEN, Intent.CHANGE),
                mark(MarkupProgress.TAKEN_ON, Intent.CHANGE),
                mark(MarkupProgress.FIXED, Intent.CHANGE),
                mark(MarkupProgress.CONFIRMED, Intent.CHANGE),
                mark(MarkupProgress.OPEN, Intent.QUESTION),
                mark(MarkupProgress.OPEN, Intent.KEEP),
                new Counted(MarkupProgress.OPEN, Intent.CHANGE, Party.GUEST, false, true, false, false),
                new Counted(MarkupProgress.OPEN, Intent.CHANGE, Party.TEAM, true, true, false, false),
                new Counted(MarkupProgress.OPEN, Intent.CHANGE, Party.CLIENT, false, false, false, false),
                new Counted(MarkupProgress.OPEN, Intent.CHANGE, Party.CLIENT, false, true, true, false),
                new Counted(MarkupProgress.OPEN, Intent.CHANGE, Party.CLIENT, false, true, false, true));
        assertThat(AskedFor.of(marks)).isEqualTo(new AskedFor(6, 5, 1, 3, 4, 1));
    }

    /**
     * Every mark there can be: what is told apart never overlaps, and what blocks signing always is in the way of
     * release.
     */
    @Test
    void itsFiguresHoldTogether() {
        List<Counted> all = whateverMayBeCounted();
        AskedFor whole = AskedFor.of(all);
        AskedFor sum = AskedFor.NOTHING;
        for (Counted one : all) {
            AskedFor alone = AskedFor.of(List.of(one));
            assertThat(alone.blocking()).as(one.toString()).isLessThanOrEqualTo(alone.inTheWay());
            assertThat(alone.toMake()).as(one.toString()).isLessThanOrEqualTo(alone.open());
            assertThat(alone.toMake() + alone.toConfirm() + alone.later())
                    .as(one.toString())
                    .isLessThanOrEqualTo(1);
            assertThat(one.later() && alone.open() + alone.inTheWay() + alone.blocking() > 0)
                    .as("what came later holds up nothing: " + one)
                    .isFalse();
            sum = new AskedFor(
                    sum.open() + alone.open(),
                    sum.toMake() + alone.toMake(),
                    sum.toConfirm() + alone.toConfirm(),
                    sum.blocking() + alone.blocking(),
                    sum.inTheWay() + alone.inTheWay(),
                    sum.later() + alone.later());
        }
        assertThat(sum).isEqualTo(whole);
    }

    private List<Counted> whateverMayBeCounted() {
        List<Counted> all = new ArrayList<>();
        for (MarkupProgress progress : MarkupProgress.values()) {
            for (Intent intent : Intent.values()) {
                for (Party party : Party.values()) {
                    for (int bits = 0; bits < 16; bits++) {
                        all.add(new Counted(
                                progress,
                                intent,
                                party,
                                (bits & 1) > 0,
                                (bits & 2) > 0,
                                (bits & 4) > 0,
                                (bits & 8) > 0));
                    }
                }
            }
        }
        return all;
    }
}
