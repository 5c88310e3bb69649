package app.clearpane.web.said;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.deliverable.ContentType;
import app.clearpane.store.files.Vault;
import app.clearpane.store.markup.MarkupRow;
import app.clearpane.usecases.files.FileNames;
import app.clearpane.usecases.files.TakeInFile;
import app.clearpane.usecases.said.Side;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** Keeps files that come with what is said. */
@Component
public class Attach {
    /** More files than this do not come with one note. */
    static final int MOST = 10;

    private final Vault vault;
    private final TakeInFile takeIn;

    Attach(Vault vault, TakeInFile takeIn) {
        this.vault = vault;
        this.takeIn = takeIn;
    }

    /**
     * Stores them, once it is certain that whoever sends them may leave notes.
     *
     * @param files as a form sends them: a field that was left empty sends one without a name
     * @throws IOException if one cannot be written
     * @throws Refused if one is empty or there are too many; nothing is kept
     */
    public List<MarkupRow.Attachment> kept(ProjectId project, Side side, @Nullable List<MultipartFile> files)
            throws IOException {
        List<MultipartFile> chosen = files == null
                ? List.of()
                : files.stream()
                        .filter(file -> !Objects.requireNonNullElse(file.getOriginalFilename(), "")
                                .isEmpty())
                        .toList();
        if (!chosen.isEmpty()
                && side instanceof Side.Client client
                && !client.viewer().role().mayMarkUp()) {
            throw Refused.because(
                    "Your seat is for reading. Nothing was saved; ask us if you would like to leave notes.");
        }
        if (chosen.size() > MOST) {
            throw Refused.because("Up to " + MOST + " files go with one note, and these are " + chosen.size()
                    + ". Nothing was saved; leave some for another note, or put them in one archive.");
        }
        List<MarkupRow.Attachment> kept = new ArrayList<>();
        for (MultipartFile file : chosen) {
            kept.add(kept(project, side.actor(), file));
        }
        return kept;
    }

    private MarkupRow.Attachment kept(ProjectId project, Actor by, MultipartFile file) throws IOException {
        String name = FileNames.safe(Objects.requireNonNull(file.getOriginalFilename()));
        if (file.isEmpty()) {
            throw Refused.because("“" + name
                    + "” is empty: it has 0 bytes. Nothing was saved; save it again where you made it and "
                    + "choose it once more.");
        }
        try (InputStream content = file.getInputStream()) {
            return kept(project, by, name, content);
        }
    }

    /** Stores one file. @param name as it may stand on a page @throws IOException if it cannot be written */
    public MarkupRow.Attachment kept(ProjectId project, Actor by, String name, InputStream content) throws IOException {
        Vault.Stored stored = takeIn.take(project, by, content);
        return new MarkupRow.Attachment(
                UUID.randomUUID(), stored.sha256(), name, ContentType.of(vault.path(stored.sha256())), stored.size());
    }
}
