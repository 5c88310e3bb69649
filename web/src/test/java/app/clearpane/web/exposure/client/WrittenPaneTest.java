package app.clearpane.web.exposure.client;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.Words;
import app.clearpane.usecases.you.ReadersWords;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A page is written once for the same contents, and never given to somebody else than it was written for. */
class WrittenPaneTest {
    private static final Today TODAY = new Today(LocalDate.of(2027, 5, 13), WorkingCalendar.weekdays(ZoneOffset.UTC));
    private static final WrittenPane.Said NOTHING = new WrittenPane.Said(Optional.empty(), null, "TO_DO");
    private static final ItemId MAP = new ItemId(UUID.randomUUID());
    private final Pages pages = mock(Pages.class);
    private final PaneSections sections = mock(PaneSections.class);
    private final ReadersWords readers = mock();
    private final Words words = mock();
    private final WrittenPane written = new WrittenPane(pages, sections, readers);

    @BeforeEach
    void pagesAreNumbered() {
        when(readers.wordsFor(any())).thenReturn(words);
        when(words.name()).thenReturn("words");
        when(words.reader()).thenReturn(Words.Reader.USUAL);
        when(words.readersDay()).thenReturn(TODAY.day());
        when(sections.html(any(), eq(true), any(), any(), any(), any())).thenReturn("sections");
        int[] count = {0};
        when(pages.render(eq("exposure/client/_pane"), any()))
                .thenAnswer(call -> "page " + ++count[0] + " <input name=_csrf value="
                        + ((Map<?, ?>) call.getArgument(1)).get("token") + ">");
    }

    private static PanePage.Page page(
            PaneContents.Contents contents, Map<ItemId, String> marks, boolean first, PanePage.Other... others) {
        Viewer viewer = new Viewer(
                new ContactId(UUID.randomUUID()),
                "Jasper",
                new SeatId(UUID.randomUUID()),
                SeatRole.SIGNATORY,
                false,
                new PaneId(UUID.randomUUID()),
                new ProjectId(UUID.randomUUID()),
                Map.of(),
                Map.of(),
                Viewer.Sight.NOW,
                false,
                java.util.Optional.empty(),
                false,
                null,
                1,
                java.util.Optional.empty(),
                TODAY);
        return new PanePage.Page("/c/panes/1", viewer, contents, List.of(), marks, first, List.of(), List.of(others));
    }

    private static PaneContents.Contents contents() {
        return mock(PaneContents.Contents.class);
    }

    private void isWrittenTimes(int times) {
        verify(pages, times(times)).render(any(), any());
    }

    @Test
    void theSameIsWrittenOnceAndCarriesTheTokenOfWhoeverLooks() {
        PanePage.Page page = page(contents(), Map.of(), true);
        assertThat(written.html(page, NOTHING, "first")).isEqualTo("page 1 <input name=_csrf value=first>");
        assertThat(written.html(page, NOTHING, "second")).isEqualTo("page 1 <input name=_csrf value=second>");
        isWrittenTimes(1);
    }

    @Test
    void otherContentsAreAnotherPageEvenIfTheyLookAlike() {
        assertThat(written.html(page(contents(), Map.of(), true), NOTHING, "t")).startsWith("page 1");
        assertThat(written.html(page(contents(), Map.of(), true), NOTHING, "t")).startsWith("page 2");
    }

    @Test
    void whatIsNewAndWhatWaitsElsewhereIsWrittenAnew() {
        PaneContents.Contents contents = contents();
        assertThat(written.html(page(contents, Map.of(), true), NOTHING, "t")).startsWith("page 1");
        assertThat(written.html(page(contents, Map.of(), false), NOTHING, "t"))
                .as("a later visit")
                .startsWith("page 2");
        assertThat(written.html(page(contents, Map.of(MAP, "new"), false), NOTHING, "t"))
                .startsWith("page 3");
        assertThat(written.html(page(contents, Map.of(MAP, "changed"), false), NOTHING, "t"))
                .startsWith("page 4");
        whatWaitsElsewhere(contents);
    }

    private void whatWaitsElsewhere(PaneContents.Contents contents) {
        assertThat(written.html(
                        page(
                                contents,
                                Map.of(MAP, "changed"),
                                false,
                                new PanePage.Other("Fabricators", "/c/panes/2", 0)),
                        NOTHING,
                        "t"))
                .startsWith("page 5");
        assertThat(written.html(
                        page(
                                contents,
                                Map.of(MAP, "changed"),
                                false,
                                new PanePage.Other("Fabricators", "/c/panes/2", 1)),
                        NOTHING,
                        "t"))
                .startsWith("page 6");
        assertThat(written.html(
                        page(
                                contents,
                                Map.of(MAP, "changed"),
                                false,
                                new PanePage.Other("Fabricators", "/c/panes/2", 1)),
                        NOTHING,
                        "t"))
                .startsWith("page 6");
    }

    @Test
    void whatTheReaderHasJustDoneIsSaidOnce() {
        PanePage.Page page = page(contents(), Map.of(), true);
        assertThat(written.html(
                        page,
                        new WrittenPane.Said(
                                Optional.of(WrittenPane.Thanks.of(Decision.SIGN_OFF, Optional.empty())), null, "TO_DO"),
                        "t"))
                .startsWith("page 1");
        assertThat(written.html(page, NOTHING, "t")).startsWith("page 2");
        assertThat(written.html(page, NOTHING, "t")).startsWith("page 2");
    }
}
