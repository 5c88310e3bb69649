package app.clearpane.core.papers;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PaperStateTest {
    private static final LocalDate TODAY = LocalDate.of(2027, 3, 24);

    @ParameterizedTest(name = "{0}, {1} of {2} named, {3} seen, due in {4}: {5}")
    @CsvSource({
        "PROPOSAL, 0, 2, 0, 3, OPEN",
        "PROPOSAL, 0, 2, 1, 3, VIEWED",
        "PROPOSAL, 1, 2, 1, -3, AGREED",
        "PROPOSAL, 0, 2, 1, -1, OVERDUE",
        "PROPOSAL, 0, 2, 1, 0, VIEWED",
        "CONTRACT, 1, 2, 2, 3, VIEWED",
        "CONTRACT, 2, 2, 2, -3, SIGNED",
        "CONTRACT, 1, 2, 2, -1, OVERDUE",
        "INVOICE, 0, 1, 0, 3, OPEN",
        "INVOICE, 0, 1, 1, -1, OVERDUE",
        "DATES, 1, 2, 2, 3, VIEWED",
        "DATES, 2, 2, 2, -3, AGREED",
        "DATES, 0, 2, 0, -1, OVERDUE",
        "OTHER, 0, 1, 0, -9, OPEN",
        "OTHER, 0, 1, 1, -9, VIEWED"
    })
    void followsFromWhatHappened(PaperKind kind, int named, int recipients, int seen, int days, PaperState state) {
        PaperState.Facts facts = new PaperState.Facts(
                kind, true, false, false, recipients, seen, named, 0, Optional.of(TODAY.plusDays(days)));
        assertThat(PaperState.of(facts, TODAY)).isEqualTo(state);
        assertThat(PaperState.of(
                        new PaperState.Facts(kind, false, false, false, recipients, seen, named, 0, facts.due()),
                        TODAY))
                .isEqualTo(PaperState.DRAFT);
        assertThat(PaperState.of(
                        new PaperState.Facts(kind, true, true, true, recipients, seen, named, 0, facts.due()), TODAY))
                .isEqualTo(PaperState.WITHDRAWN);
        PaperState paid = PaperState.of(
                new PaperState.Facts(kind, true, false, true, recipients, seen, named, 0, facts.due()), TODAY);
        assertThat(paid == PaperState.PAID).as("only invoices are paid").isEqualTo(kind == PaperKind.INVOICE);
    }

    @ParameterizedTest(name = "{0}, {1} of 2 named, {2} declined: {3}")
    @CsvSource({
        "PROPOSAL, 0, 1, OVERDUE",
        "PROPOSAL, 0, 2, DECLINED",
        "PROPOSAL, 1, 1, AGREED",
        "CONTRACT, 0, 1, DECLINED",
        "CONTRACT, 1, 1, DECLINED",
        "CONTRACT, 2, 0, SIGNED",
        "DATES, 1, 1, DECLINED",
        "INVOICE, 0, 1, DECLINED"
    })
    void isDeclinedOnceNobodyCanSettleIt(PaperKind kind, int named, int declined, PaperState state) {
        PaperState.Facts facts =
                new PaperState.Facts(kind, true, false, false, 2, 2, named, declined, Optional.of(TODAY.minusDays(1)));
        assertThat(PaperState.of(facts, TODAY)).isEqualTo(state);
        assertThat(PaperState.isBack(facts, TODAY)).isEqualTo(state == PaperState.DECLINED);
        assertThat(PaperState.isAwaited(facts, TODAY)).isEqualTo(state == PaperState.OVERDUE);
        PaperState paid = PaperState.of(
                new PaperState.Facts(kind, true, false, true, 2, 2, named, declined, Optional.empty()), TODAY);
        assertThat(paid == PaperState.PAID).as("money that came settles it").isEqualTo(kind == PaperKind.INVOICE);
    }
}
