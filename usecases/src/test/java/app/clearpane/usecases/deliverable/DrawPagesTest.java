package app.clearpane.usecases.deliverable;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.Work;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.exposure.BroughtBack;
import app.clearpane.usecases.jobs.Jobs;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.context.ApplicationEventPublisher;

/** What is deleted while it is drawn is not drawn to the end, and is drawn on when it comes back. */
class DrawPagesTest {
    private static final Sha256 SOURCE = new Sha256("a".repeat(64));
    private final Drawings drawings = mock(Drawings.class);
    private final Vault vault = mock(Vault.class);
    private final DrawApart apart = mock(DrawApart.class);
    private final DrawPages draw =
            new DrawPages(drawings, vault, apart, mock(DrawingProgress.class), mock(ApplicationEventPublisher.class));

    @BeforeEach
    void aFileOfFivePages() throws Exception {
        when(drawings.find(SOURCE))
                .thenReturn(Optional.of(
                        new Drawings.Drawing(SOURCE, "application/pdf", 5, Drawings.State.WAITING, null, 0)));
        when(vault.path(any())).thenReturn(Path.of("/vault/a"));
        when(vault.store(any(), org.mockito.ArgumentMatchers.anyLong())).thenReturn(new Vault.Stored(SOURCE, 1));
        doAnswer(asked -> {
                    Wish.Pieces<Work.DrawnPage> pieces = asked.getArgument(1);
                    for (int page = 1; page <= 5; page++) {
                        pieces.take(new Work.DrawnPage(
                                page, new PageSize(1, 1), new byte[] {1}, new byte[] {1}, "image/png"));
                    }
                    return null;
                })
                .when(apart)
                .draw(any(), any());
    }

    @Test
    void whatIsWantedIsDrawnToTheEnd() {
        when(drawings.wanted(SOURCE)).thenReturn(true);
        draw.run(SOURCE.hex());
        verify(drawings, times(5)).add(any());
        verify(drawings).done(SOURCE);
    }

    @Test
    void whatIsDeletedMeanwhileEndsAfterThePage() {
        when(drawings.wanted(SOURCE)).thenReturn(true, true, false);
        draw.run(SOURCE.hex());
        verify(drawings, times(2)).add(any());
        verify(drawings, never()).done(SOURCE);
        verify(drawings, never()).failed(any(), any());
    }

    @Test
    void whatWasDeletedBeforeIsNotBegun() throws Exception {
        when(drawings.wanted(SOURCE)).thenReturn(false);
        draw.run(SOURCE.hex());
        verify(apart, never()).draw(any(), any());
    }

    @Test
    void whatComesBackIsDrawnOn() {
        ProjectId project = new ProjectId(UUID.randomUUID());
        Jobs jobs = mock(Jobs.class);
        when(drawings.waiting(project)).thenReturn(List.of(SOURCE));
        new DrawOn(drawings, jobs).broughtBack(new BroughtBack(project));
        verify(jobs).enqueue(DrawPages.NAME, SOURCE.hex());
    }

    @Test
    void whatCameBackWhileItsDrawingEndedIsFoundByTheRound() throws Exception {
        Jobs jobs = mock(Jobs.class);
        when(drawings.left(DrawPages.NAME)).thenReturn(List.of(SOURCE));
        new DrawOn(drawings, jobs).recurrence().work().run();
        verify(jobs).enqueue(DrawPages.NAME, SOURCE.hex());
    }
}
