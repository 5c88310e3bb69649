package app.clearpane.usecases.clearance;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import app.clearpane.formats.clearance.ReleaseBag;
import app.clearpane.formats.markup.WebAnnotations;
import app.clearpane.store.agency.People;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.markup.Annotations;
import app.clearpane.usecases.record.RecordLines;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** Packs all of a release into one bag. */
@Component
public class PackRelease {
    private final States states;
    private final People people;
    private final Annotations annotations;
    private final RecordLines lines;
    private final Vault vault;
    private final HouseSettings house;

    PackRelease(
            States states,
            People people,
            Annotations annotations,
            RecordLines lines,
            Vault vault,
            HouseSettings house) {
        this.states = states;
        this.people = people;
        this.annotations = annotations;
        this.lines = lines;
        this.vault = vault;
        this.house = house;
    }

    Vault.Stored pack(Releases.Release release, byte[] certificate) throws IOException {
        DeliverableState state = states.withThreads(release.deliverable());
        Version version = state.versions().stream()
                .filter(v -> v.id().equals(release.version()))
                .findFirst()
                .orElseThrow();
        Path workshop =
                Files.createDirectories(house.workshop().resolve(release.id().toString()));
        Path zip = workshop.resolveSibling(release.id() + ".zip");
        try (OutputStream out = Files.newOutputStream(zip)) {
            ReleaseBag.write(
                    new ReleaseBag.Contents(
                            folder(state, version),
                            vault.path(version.sha256()),
                            version.fileName(),
                            certificate,
                            marks(state, version),
                            lines.linesOf(
                                    state.deliverable().project(),
                                    release.deliverable().value()),
                            people.agency().orElseThrow().name(),
                            release.at()),
                    workshop,
                    out);
        }
        try (InputStream in = Files.newInputStream(zip)) {
            return vault.store(in, Long.MAX_VALUE);
        } finally {
            Files.deleteIfExists(zip);
            Files.deleteIfExists(workshop);
        }
    }

    private String marks(DeliverableState state, Version version) {
        List<Mark> told = state.marks().stream()
                .filter(mark -> !mark.teamOnly()
                        && mark.pane().equals(state.deliverable().pane()))
                .toList();
        return WebAnnotations.write(version.sha256(), version.mediaType(), annotations.annotate(told, version));
    }

    /** The name of a release's bundle, without ending. */
    public static String folder(DeliverableState state, Version version) {
        String plain = java.text.Normalizer.normalize(state.deliverable().name(), java.text.Normalizer.Form.NFKD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        return (plain.isEmpty() ? "release" : plain) + "-version-" + version.number();
    }
}
