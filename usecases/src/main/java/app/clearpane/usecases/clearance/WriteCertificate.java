package app.clearpane.usecases.clearance;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.project.Project;
import app.clearpane.core.signoff.Round;
import app.clearpane.formats.clearance.PdfWriter;
import app.clearpane.formats.clearance.SignaturePicture;
import app.clearpane.formats.exposure.QrCode;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.project.Projects;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.shell.Letterhead;
import app.clearpane.usecases.shell.Pages;
import java.io.IOException;
import java.util.Base64;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Writes the certificate of a release. */
@Component
class WriteCertificate {
    private final States states;
    private final Projects projects;
    private final Letterhead letterhead;
    private final ClearanceOf clearance;
    private final Records records;
    private final HouseSettings house;
    private final Pages pages;

    WriteCertificate(
            States states,
            Projects projects,
            Letterhead letterhead,
            ClearanceOf clearance,
            Records records,
            HouseSettings house,
            Pages pages) {
        this.pages = pages;
        this.states = states;
        this.projects = projects;
        this.letterhead = letterhead;
        this.clearance = clearance;
        this.records = records;
        this.house = house;
    }

    byte[] write(Releases.Release release, Optional<Releases.Release> replaced) throws IOException {
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
        Map<String, Object> model = new HashMap<>(letterhead.headOf(project));
        model.putAll(Map.of(
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
        replaced.ifPresent(earlier -> model.put("replaced", earlier));
        return PdfWriter.writeToBeKept(pages.render("clearance/certificate", model));
    }
}
