package app.clearpane.store.papers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.Stale;
import app.clearpane.store.papers.client.VisiblePapers;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Papers are seen by those they were sent to, and by nobody else, whatever they see otherwise. */
class PapersTest {
    private static final LocalDate TODAY = LocalDate.of(2027, 3, 24);
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Papers papers = new Papers(house.db);
    private final VisiblePapers visible = new VisiblePapers(house.db);
    private final ContactId jasper = house.contact("jasper").id();
    private final ContactId ottoline = house.contact("ottoline").id();

    private PaperId added(PaperKind kind, @Nullable LocalDate due, ContactId... recipients) {
        PaperId id = new PaperId(UUID.randomUUID());
        papers.add(new Paper(
                id,
                house.project,
                kind,
                "A paper",
                "",
                Optional.of(new BigDecimal("1200.00")),
                TODAY,
                Optional.ofNullable(due),
                Sha256.ofText("paper"),
                "paper.pdf",
                "application/pdf",
                9,
                Actor.kept("Ines"),
                AHouse.NOW,
                new Paper.Draft(),
                Arrays.stream(recipients)
                        .map(one -> Paper.Recipient.of(one, ""))
                        .toList(),
                1,
                Paper.Further.USUAL));
        return id;
    }

    private List<PaperId> seenBy(ContactId contact) {
        return visible.all(AHouse.viewer(contact, house.project, false)).stream()
                .map(Paper::id)
                .toList();
    }

    private PaperState state(PaperId id) {
        return papers.find(id).orElseThrow().state(TODAY);
    }

    @Test
    void isSeenByItsRecipientsOnceItWasSent() {
        PaperId contract = added(PaperKind.CONTRACT, null, ottoline);
        assertThat(seenBy(ottoline)).as("a draft").isEmpty();
        papers.sent(contract, AHouse.NOW);
        assertThat(seenBy(ottoline)).containsExactly(contract);
        assertThat(seenBy(jasper)).as("with the same seat, and not named").isEmpty();
        assertThat(visible.find(AHouse.viewer(jasper, house.project, false), contract))
                .isEmpty();
        assertThat(visible.all(AHouse.viewer(ottoline, house.project, true)))
                .as("whoever has only a link")
                .isEmpty();
        assertThat(visible.all(AHouse.viewer(ottoline, new ProjectId(UUID.randomUUID()), false)))
                .as("at another project")
                .isEmpty();
        papers.withdraw(contract, "A new one comes", AHouse.NOW);
        assertThat(visible.find(AHouse.viewer(ottoline, house.project, false), contract))
                .as("it says that it was withdrawn")
                .map(paper -> paper.state(TODAY))
                .hasValue(PaperState.WITHDRAWN);
    }

    @Test
    void aContractIsSignedOnceEverybodyHasAndEachSignsOnce() {
        PaperId contract = added(PaperKind.CONTRACT, TODAY.plusDays(3), ottoline, jasper);
        papers.sent(contract, AHouse.NOW);
        assertThat(state(contract)).isEqualTo(PaperState.OPEN);
        assertThat(papers.seen(contract, jasper, AHouse.NOW)).isTrue();
        assertThat(papers.seen(contract, jasper, AHouse.NOW.plusSeconds(60)))
                .as("seen for the first time only once")
                .isFalse();
        assertThat(state(contract)).isEqualTo(PaperState.VIEWED);
        papers.named(contract, jasper, "Jasper Q", Optional.empty(), AHouse.NOW);
        assertThat(state(contract)).isEqualTo(PaperState.VIEWED);
        assertThatThrownBy(() -> papers.named(contract, jasper, "Jasper again", Optional.empty(), AHouse.NOW))
                .isInstanceOf(Stale.class);
        papers.named(contract, ottoline, "Ottoline V", Optional.empty(), AHouse.NOW);
        assertThat(state(contract)).isEqualTo(PaperState.SIGNED);
        assertThat(papers.find(contract).orElseThrow().recipients())
                .extracting(one -> one.named().orElseThrow().typedName())
                .as("in the order they were named")
                .containsExactly("Ottoline V", "Jasper Q");
    }

    @Test
    void nothingIsDoneTwiceAndNothingToWhatIsWithdrawn() {
        PaperId invoice = added(PaperKind.INVOICE, TODAY.minusDays(1), ottoline);
        papers.sent(invoice, AHouse.NOW);
        assertThatThrownBy(() -> papers.sent(invoice, AHouse.NOW)).isInstanceOf(Stale.class);
        assertThat(state(invoice)).isEqualTo(PaperState.OVERDUE);
        papers.paid(invoice, TODAY);
        assertThat(state(invoice)).isEqualTo(PaperState.PAID);
        assertThatThrownBy(() -> papers.paid(invoice, TODAY.plusDays(1))).isInstanceOf(Stale.class);
        PaperId other = added(PaperKind.INVOICE, null, ottoline);
        papers.sent(other, AHouse.NOW);
        papers.withdraw(other, "A mistake", AHouse.NOW);
        assertThatThrownBy(() -> papers.paid(other, TODAY)).isInstanceOf(Stale.class);
        assertThatThrownBy(() -> papers.withdraw(other, "Again", AHouse.NOW)).isInstanceOf(Stale.class);
        assertThat(papers.find(other).orElseThrow().withdrawal())
                .map(Paper.Withdrawn::reason)
                .hasValue("A mistake");
    }

    @Test
    void whatWaitsOnADayIsWhatWasSentAndIsNotPaidOrWithdrawn() {
        PaperId draft = added(PaperKind.INVOICE, TODAY, ottoline);
        PaperId open = added(PaperKind.INVOICE, TODAY, ottoline);
        PaperId paid = added(PaperKind.INVOICE, TODAY, ottoline);
        PaperId withdrawn = added(PaperKind.INVOICE, TODAY, ottoline);
        PaperId noDay = added(PaperKind.INVOICE, null, ottoline);
        List.of(open, paid, withdrawn, noDay).forEach(id -> papers.sent(id, AHouse.NOW));
        papers.paid(paid, TODAY);
        papers.withdraw(withdrawn, "", AHouse.NOW);
        assertThat(papers.withADay()).extracting(Paper::id).containsExactly(open);
        assertThat(papers.ofProject(house.project))
                .extracting(Paper::id)
                .containsExactlyInAnyOrder(draft, open, paid, withdrawn, noDay);
    }
}
