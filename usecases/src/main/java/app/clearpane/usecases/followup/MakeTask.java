package app.clearpane.usecases.followup;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.files.Vault;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.markup.CutOuts;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Makes a task of a mark, with the cut-out picture of its place beside it. From then on the two are one in state. */
@Component
public class MakeTask {
    private static final int CUT_OUT_WIDTH = 840;
    private final Markups markups;
    private final Deliverables deliverables;
    private final CutOuts cutOuts;
    private final Vault vault;
    private final TaskFromMark fromMark;

    MakeTask(Markups markups, Deliverables deliverables, CutOuts cutOuts, Vault vault, TaskFromMark fromMark) {
        this.fromMark = fromMark;
        this.markups = markups;
        this.deliverables = deliverables;
        this.cutOuts = cutOuts;
        this.vault = vault;
    }

    /**
     * Makes it. @return the mark as it was @throws Refused if it has a task, or asks for nothing @throws IOException if
     * its picture cannot be kept
     */
    public Mark make(MarkupId id, Person.OfTeam by) throws IOException {
        Mark seen = NotFound.unless(markups.find(id));
        Optional<Vault.Stored> picture = picture(seen);
        fromMark.become(id, picture, by);
        return seen;
    }

    /** The cut-out of its place, kept; empty where there is nothing to see. */
    private Optional<Vault.Stored> picture(Mark mark) throws IOException {
        Version version = deliverables.version(mark.version()).orElseThrow();
        byte[] png = cutOuts.cut(version, List.of(mark), CUT_OUT_WIDTH).get(mark.id());
        return png == null ? Optional.empty() : Optional.of(vault.store(new ByteArrayInputStream(png), png.length));
    }
}
