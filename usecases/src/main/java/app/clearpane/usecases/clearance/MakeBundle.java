package app.clearpane.usecases.clearance;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.project.Project;
import app.clearpane.core.signoff.Round;
import app.clearpane.formats.clearance.PdfWriter;
import app.clearpane.formats.clearance.ReleaseBag;
import app.clearpane.formats.clearance.SignaturePicture;
import app.clearpane.formats.exposure.QrCode;
import app.clearpane.formats.markup.WebAnnotations;
import app.clearpane.store.agency.People;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.files.Vault;
import app.clearpane.store.project.Projects;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.jobs.Job;
import app.clearpane.usecases.markup.Annotations;
import app.clearpane.usecases.record.RecordLines;
import app.clearpane.usecases.shell.Pages;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Makes the bundle of a release: the file, its certificate, the marks, the Record's entries, in a zipped bag. */
@Component
public class MakeBundle implements Job {
    static final String NAME = "make-bundle";
    private final Releases releases;
    private final States states;
    private final Projects projects;
    private final People people;
    private final Annotations annotations;
    private final ClearanceOf clearance;
    private final Records records;
    private final RecordLines lines;
    private final Vault vault;
    private final HouseSettings house;
    private final Pages pages;

    MakeBundle(
            Releases releases,
            States states,
            Projects projects,
            People people,
            Annotations annotations,
            ClearanceOf clearance,
            Records records,
            RecordLines lines,
            Vault vault,
            HouseSettings house,
            Pages pages) {
        this.releases = releases;
        this.states = states;
        this.projects = projects;
        this.people = people;
        this.annotations = annotations;
        this.clearance = clearance;
        this.records = records;
        this.lines = lines;
        this.vault = vault;
        this.house = house;
        this.pages = pages;
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public void run(String about) {
        Releases.Release release = releases.find(UUID.fromString(about)).orElseThrow();
        if (release.bundle() != null) {
            return;
        }
        try {
            byte[] certificate = certificate(release);
            Vault.Stored stored = make(release, certificate);
            releases.bundled(release.id(), Sha256.of(certificate), stored.sha256(), stored.size());
        } catch (IOException e) {
            releases.failed(release.id(), String.valueOf(e.getMessage()));
            throw new IllegalStateException("the bundle of release " + about + " could not be made", e);
        }
    }

    private Vault.Stored make(Releases.Release release, byte[] certificate) throws IOException {
        DeliverableState state = states.withThreads(release.deliverable());
        Project project = projects.find(state.deliverable().project()).orElseThrow();
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
                            lines.linesOf(project.id(), release.deliverable().value()),
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

    /** The name of a release's bundle, without ending. */
    public static String folder(DeliverableState state, Version version) {
        String plain = java.text.Normalizer.normalize(state.deliverable().name(), java.text.Normalizer.Form.NFKD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        return (plain.isEmpty() ? "release" : plain) + "-version-" + version.number();
    }

    private byte[] certificate(Releases.Release release) throws IOException {
        DeliverableState state = states.statesOf(release.deliverable());
        Project project = projects.find(state.deliverable().project()).orElseThrow();
        Version version = state.versions().stream()
                .filter(v -> v.id().equals(release.version()))
                .findFirst()
                .orElseThrow();
        Round round = state.rounds().stream()
                .filter(r -> r.version().equals(version.id()))
                .findFirst()
                .orElseThrow();
        Records.Head end = records.end(project.id().value());
        ClearanceOf.Sheet sheet = clearance.check(state);
        String check = house.address() + "/p/check?sha256=" + version.sha256();
        Map<String, Object> model = new HashMap<>(Map.of(
                "agency",
                people.agency().orElseThrow(),
                "project",
                project,
                "deliverable",
                state.deliverable(),
                "version",
                version,
                "round",
                round,
                "release",
                release,
                "newestHash",
                end.hash(),
                "newestSequence",
                end.sequence() - 1));
        model.putAll(Map.of(
                "sheet",
                sheet,
                "check",
                check,
                "qr",
                "data:image/png;base64,"
                        + Base64.getEncoder().encodeToString(QrCode.of(check).png())));
        Map<String, String> drawn = new HashMap<>();
        round.said().forEach(said -> said.signature()
                .ifPresent(signature -> drawn.put(
                        said.contact().toString(),
                        "data:image/png;base64,"
                                + Base64.getEncoder().encodeToString(SignaturePicture.png(signature)))));
        model.put("drawn", drawn);
        Optional.ofNullable(release.replaces())
                .flatMap(releases::find)
                .ifPresent(earlier -> model.put("replaced", earlier));
        return PdfWriter.writeToBeKept(pages.render("clearance/certificate", model));
    }

    private String marks(DeliverableState state, Version version) {
        List<Mark> told = state.marks().stream()
                .filter(mark -> !mark.teamOnly()
                        && mark.pane().equals(state.deliverable().pane()))
                .toList();
        return WebAnnotations.write(version.sha256(), version.mediaType(), annotations.annotate(told, version));
    }
}
