package app.clearpane.usecases.papers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.PaperActs;
import app.clearpane.store.papers.Papers;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.context.ApplicationEventPublisher;

/** Which papers are noted as paid, and which are withdrawn: the whole table. */
class SettlePaperTest {
    private static final Actor INES = new Actor.OfTeam(new TeamMemberId(new UUID(9, 1)), "Ines");
    private final Papers papers = mock();
    private final TheAgency agency = mock();
    private final Words words = mock();
    private final AuditLog audit = mock();
    private final SettlePaper settle =
            new SettlePaper(papers, agency, words, audit, mock(ApplicationEventPublisher.class));

    @BeforeEach
    void aDay() {
        when(agency.now()).thenReturn(APaper.NOW);
        when(words.today()).thenReturn(APaper.TODAY);
    }

    private Paper there(PaperKind kind, PaperState state) {
        Paper paper = APaper.in(kind, state);
        when(papers.find(APaper.ID)).thenReturn(Optional.of(paper));
        return paper;
    }

    @ParameterizedTest(name = "{0} that is {1}: {2}")
    @CsvSource({
        "INVOICE, OPEN, true",
        "INVOICE, OVERDUE, true",
        "INVOICE, DRAFT, false",
        "INVOICE, PAID, false",
        "INVOICE, WITHDRAWN, false",
        "INVOICE, DECLINED, false",
        "CONTRACT, OPEN, false",
        "PROPOSAL, AGREED, false",
        "OTHER, OPEN, false"
    })
    void onlyAnInvoiceThatIsOpenIsPaid(PaperKind kind, PaperState state, boolean paid) {
        there(kind, state);
        if (paid) {
            assertThat(settle.paid(APaper.ID, "2027-03-09", INES)).isEqualTo(APaper.PROJECT);
            verify(audit)
                    .append(
                            APaper.PROJECT,
                            APaper.ID.value(),
                            new PaperActs.PaperPaid(INES, "The bags", "7", "2027-03-09"));
        } else {
            assertThatThrownBy(() -> settle.paid(APaper.ID, "2027-03-09", INES))
                    .isInstanceOfSatisfying(Refused.class, refused -> assertThat(refused.isChangedMeanwhile())
                            .isTrue());
            verify(papers, never()).paid(APaper.ID, APaper.TODAY);
            verifyNoInteractions(audit);
        }
    }

    @ParameterizedTest(name = "{0} that is {1}: {2}")
    @CsvSource({
        "INVOICE, DRAFT, true",
        "INVOICE, OPEN, true",
        "INVOICE, OVERDUE, true",
        "INVOICE, PAID, false",
        "CONTRACT, DECLINED, true",
        "CONTRACT, SIGNED, false",
        "PROPOSAL, AGREED, true",
        "DATES, AGREED, true",
        "OTHER, OPEN, true",
        "OTHER, WITHDRAWN, false"
    })
    void whatWasPaidOrSignedByEverybodyStays(PaperKind kind, PaperState state, boolean withdrawn) {
        assertThat(there(kind, state).state(APaper.TODAY)).isEqualTo(state);
        if (withdrawn) {
            settle.withdraw(APaper.ID, " A mistake ", INES);
            verify(papers).withdraw(APaper.ID, "A mistake", APaper.NOW);
            verify(audit)
                    .append(
                            APaper.PROJECT,
                            APaper.ID.value(),
                            new PaperActs.PaperWithdrawn(INES, "The bags", "7", "A mistake"));
        } else {
            assertThatThrownBy(() -> settle.withdraw(APaper.ID, "A mistake", INES))
                    .isInstanceOf(Refused.class);
            verifyNoInteractions(audit);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "  ", "soon", "9 March", "0001-01-01"})
    void aDayThatIsNoneIsSaid(String day) {
        there(PaperKind.INVOICE, PaperState.OPEN);
        assertThatThrownBy(() -> settle.paid(APaper.ID, day, INES)).isInstanceOf(Refused.class);
        verifyNoInteractions(audit);
    }

    @Test
    void itIsSaidWhyAndWhatIsNotThereIsNotThere() {
        assertThatThrownBy(() -> settle.withdraw(APaper.ID, "  ", INES))
                .isInstanceOfSatisfying(Refused.class, refused -> assertThat(refused.sentences())
                        .containsExactly("Say why it is withdrawn; it stands in the Record."));
        when(papers.find(APaper.ID)).thenReturn(Optional.empty());
        assertThatThrownBy(() -> settle.withdraw(APaper.ID, "A mistake", INES)).isInstanceOf(NotFound.class);
    }
}
