package app.clearpane.web.markup;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.usecases.compare.Compared;
import app.clearpane.usecases.compare.Writings;
import app.clearpane.usecases.said.Speaker;
import java.util.List;
import org.springframework.stereotype.Component;

/** Lays the light table of a version. */
@Component
public class LayTable {
    private final Drawings drawings;
    private final Compared compared;
    private final Writings writings;

    LayTable(Drawings drawings, Compared compared, Writings writings) {
        this.drawings = drawings;
        this.compared = compared;
        this.writings = writings;
    }

    /**
     * What is laid.
     *
     * @param base where its addresses begin
     * @param name of the deliverable
     * @param versions all that are seen, oldest first
     */
    public record Work(String base, String name, Version version, List<Version> versions, List<Mark> marks) {}

    /** Lays it. @param page from 1; where there is no such page, the nearest */
    public LightTable lay(Work work, int page, LightTable.Around around, Speaker speaker) {
        Version version = work.version();
        Drawings.Drawing drawing = drawings.find(version.sha256()).orElseThrow();
        int shown = Math.max(1, Math.min(page, drawing.pages()));
        return LightTable.of(
                work.base(),
                work.name(),
                version,
                work.versions(),
                shown,
                drawing,
                drawings.sheet(version.sha256(), shown),
                work.marks(),
                compared.across(work.versions()),
                writings.writingOf(version),
                around,
                speaker);
    }
}
