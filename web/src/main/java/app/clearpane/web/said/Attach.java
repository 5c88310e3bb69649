package app.clearpane.web.said;

import app.clearpane.core.markup.Mark;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.usecases.files.FileNames;
import app.clearpane.usecases.said.AttachFile;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** Keeps files that come with what is said. */
@Component
public class Attach {
    /** More files than this do not come with one note. */
    static final int MOST = 10;

    private final AttachFile attach;

    Attach(AttachFile attach) {
        this.attach = attach;
    }

    /**
     * Stores them, once it is certain that whoever sends them may leave notes.
     *
     * @param files as a form sends them: a field that was left empty sends one without a name
     * @throws IOException if one cannot be written
     * @throws Refused if one is empty or there are too many; nothing is kept
     */
    public List<Mark.Attachment> kept(ProjectId project, Speaker side, @Nullable List<MultipartFile> files)
            throws IOException {
        List<MultipartFile> chosen = files == null
                ? List.of()
                : files.stream()
                        .filter(file -> !Objects.requireNonNullElse(file.getOriginalFilename(), "")
                                .isEmpty())
                        .toList();
        if (!chosen.isEmpty()
                && side instanceof Speaker.Client client
                && !client.viewer().role().mayMarkUp()) {
            throw Refused.because(
                    "Your seat is for reading. Nothing was saved; ask us if you would like to leave notes.");
        }
        if (chosen.size() > MOST) {
            throw Refused.because("Up to " + MOST + " files go with one note, and these are " + chosen.size()
                    + ". Nothing was saved; leave some for another note, or put them in one archive.");
        }
        List<Mark.Attachment> kept = new ArrayList<>();
        for (MultipartFile file : chosen) {
            kept.add(kept(project, side.actor(), file));
        }
        return kept;
    }

    private Mark.Attachment kept(ProjectId project, Actor by, MultipartFile file) throws IOException {
        String name = FileNames.safe(Objects.requireNonNull(file.getOriginalFilename()));
        if (file.isEmpty()) {
            throw Refused.because("“" + name
                    + "” is empty: it has 0 bytes. Nothing was saved; save it again where you made it and "
                    + "choose it once more.");
        }
        try (InputStream content = file.getInputStream()) {
            return attach.attach(project, by, name, content);
        }
    }
}
