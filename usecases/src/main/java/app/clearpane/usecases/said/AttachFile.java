package app.clearpane.usecases.said;

import app.clearpane.core.markup.Mark;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.deliverable.ContentType;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.files.TakeInFile;
import java.io.IOException;
import java.io.InputStream;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Keeps a file that comes with what is said. */
@Component
public class AttachFile {
    private final Vault vault;
    private final TakeInFile takeIn;

    AttachFile(Vault vault, TakeInFile takeIn) {
        this.vault = vault;
        this.takeIn = takeIn;
    }

    /** Stores it. @param name as it may stand on a page @throws IOException if it cannot be written */
    public Mark.Attachment attach(ProjectId project, Actor by, String name, InputStream content) throws IOException {
        Vault.Stored stored = takeIn.take(project, by, content);
        return new Mark.Attachment(
                UUID.randomUUID(), stored.sha256(), name, ContentType.of(vault.path(stored.sha256())), stored.size());
    }
}
