package app.clearpane.usecases.papers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PaperActs;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.papers.Papers;
import app.clearpane.store.papers.client.VisiblePapers;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.context.ApplicationEventPublisher;

/** What somebody a paper is for does with it: yes, or no. */
class AnswerPaperTest {
    private final Papers papers = mock();
    private final VisiblePapers visible = mock();
    private final WriteToTeam tellManager = mock();
    private final TheAgency agency = mock();
    private final Words words = mock();
    private final AuditLog audit = mock();
    private final ApplicationEventPublisher events = mock();
    private final Viewer imre = APaper.imre();
    private final AnswerPaper answer = new AnswerPaper(papers, visible, tellManager, agency, words, audit, events);
    private final DeclinePaper decline = new DeclinePaper(
            papers, visible, audit, tellManager, words, Clock.fixed(APaper.NOW, ZoneOffset.UTC), events);

    @BeforeEach
    void aDay() {
        when(agency.now()).thenReturn(APaper.NOW);
        when(words.today()).thenReturn(APaper.TODAY);
    }

    /** @param after how it stands once it was answered */
    private void there(Paper paper, Paper after) {
        when(visible.find(imre, APaper.ID)).thenReturn(Optional.of(paper));
        when(papers.find(APaper.ID)).thenReturn(Optional.of(after));
    }

    private static Paper with(PaperKind kind, Paper.Answer imre, Paper.Answer grete) {
        return APaper.of(kind, new Paper.Sent(APaper.NOW, Optional.empty()), APaper.TODAY.plusDays(3), imre, grete);
    }

    @ParameterizedTest(name = "{0}, settled {1}: {2}")
    @CsvSource({
        "CONTRACT, true, SIGNED, PAPER_SIGNED",
        "CONTRACT, false, OPEN, PAPER_SIGNED",
        "DATES, true, AGREED, PAPER_AGREED",
        "DATES, false, OPEN, PAPER_AGREED",
        "PROPOSAL, false, AGREED, PAPER_AGREED"
    })
    void aNameIsTakenAndWhatItSettlesIsTold(PaperKind kind, boolean others, PaperState state, Act act) {
        Paper.Answer named = new Paper.Named(APaper.NOW, "Somebody", Optional.empty());
        Paper.Answer grete = others ? named : new Paper.NoAnswer();
        there(with(kind, new Paper.NoAnswer(), grete), with(kind, named, grete));
        answer.name(imre, APaper.ID, APaper.BYTES, " Imre Vadas ", null, false);
        verify(papers).named(APaper.ID, APaper.IMRE, "Imre Vadas", Optional.empty(), APaper.NOW);
        verify(audit)
                .append(
                        APaper.PROJECT,
                        APaper.ID.value(),
                        new PaperActs.PaperNamed(
                                act,
                                imre.actor(),
                                "The bags",
                                "7",
                                APaper.BYTES,
                                "Imre Vadas",
                                state,
                                Optional.empty()));
        verify(events, state.waits() ? never() : org.mockito.Mockito.times(1)).publishEvent(any(PaperSettled.class));
    }

    @ParameterizedTest(name = "{0}")
    @EnumSource(
            value = PaperKind.class,
            names = {"INVOICE", "OTHER"})
    void whatTakesNoNamesIsNotSigned(PaperKind kind) {
        there(APaper.in(kind, PaperState.OPEN), APaper.in(kind, PaperState.OPEN));
        refusesTheName(APaper.BYTES);
    }

    @Test
    void whatWasWithdrawnReplacedOrNamedIsNotSigned() {
        Paper open = APaper.in(PaperKind.CONTRACT, PaperState.OPEN);
        there(open, open);
        refusesTheName(Sha256.ofText("another file"));
        there(APaper.in(PaperKind.CONTRACT, PaperState.WITHDRAWN), open);
        refusesTheName(APaper.BYTES);
        there(APaper.in(PaperKind.CONTRACT, PaperState.SIGNED), open);
        refusesTheName(APaper.BYTES);
    }

    private void refusesTheName(Sha256 seen) {
        assertThatThrownBy(() -> answer.name(imre, APaper.ID, seen, "Imre Vadas", null, false))
                .isInstanceOfSatisfying(Refused.class, refused -> assertThat(refused.isChangedMeanwhile())
                        .isTrue());
        verify(papers, never()).named(any(), any(), any(), any(), any());
    }

    @Test
    void anothersNameIsAskedAboutAndNoneIsRefused() {
        Paper open = APaper.in(PaperKind.CONTRACT, PaperState.OPEN);
        there(open, open);
        assertThatThrownBy(() -> answer.name(imre, APaper.ID, APaper.BYTES, "Ottoline", null, false))
                .isInstanceOf(NeedsConfirmation.class);
        assertThatThrownBy(() -> answer.name(imre, APaper.ID, APaper.BYTES, " ", null, true))
                .isInstanceOf(Refused.class);
    }

    @Test
    void whatIsNotTheirsIsNotThere() {
        when(visible.find(imre, APaper.ID)).thenReturn(Optional.empty());
        assertThatThrownBy(() -> answer.open(imre, APaper.ID)).isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> answer.name(imre, APaper.ID, APaper.BYTES, "Imre", null, true))
                .isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> decline.decline(imre, APaper.ID, APaper.BYTES, "No."))
                .isInstanceOf(NotFound.class);
    }

    @Test
    void onlyTheFirstLookIsKept() {
        Paper open = APaper.in(PaperKind.CONTRACT, PaperState.OPEN);
        there(open, open);
        when(papers.seen(APaper.ID, APaper.IMRE, APaper.NOW)).thenReturn(true, false);
        answer.open(imre, APaper.ID);
        answer.open(imre, APaper.ID);
        verify(audit)
                .append(APaper.PROJECT, APaper.ID.value(), new PaperActs.PaperViewed(imre.actor(), "The bags", "7"));
    }

    @ParameterizedTest(name = "{0} that is {1}: {2}")
    @CsvSource({
        "CONTRACT, OPEN, true",
        "PROPOSAL, OVERDUE, true",
        "INVOICE, OPEN, true",
        "DATES, OPEN, true",
        "OTHER, OPEN, false",
        "CONTRACT, SIGNED, false",
        "CONTRACT, DECLINED, false",
        "CONTRACT, WITHDRAWN, false",
        "INVOICE, PAID, false"
    })
    void onlyWhatWaitsForThemIsDeclined(PaperKind kind, PaperState state, boolean taken) {
        Paper paper = APaper.in(kind, state);
        there(paper, APaper.in(kind, PaperState.DECLINED));
        if (taken) {
            decline.decline(imre, APaper.ID, APaper.BYTES, " Two years are too long. ");
            verify(papers).declined(APaper.ID, APaper.IMRE, "Two years are too long.", APaper.NOW);
            verify(tellManager).tell(eq(APaper.PROJECT), eq("Declined: The bags"), any(), any());
        } else {
            assertThatThrownBy(() -> decline.decline(imre, APaper.ID, APaper.BYTES, "No."))
                    .isInstanceOf(Refused.class);
            verify(papers, never()).declined(any(), any(), any(), any());
        }
    }
}
