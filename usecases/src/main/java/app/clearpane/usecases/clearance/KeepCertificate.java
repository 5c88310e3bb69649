package app.clearpane.usecases.clearance;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.shell.NotFound;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.springframework.stereotype.Component;

/** The certificate of what was released, for those who see the work. */
@Component
public class KeepCertificate {
    private final VisibleDeliverables visible;
    private final Releases releases;
    private final Vault vault;

    KeepCertificate(VisibleDeliverables visible, Releases releases, Vault vault) {
        this.visible = visible;
        this.releases = releases;
        this.vault = vault;
    }

    /**
     * The certificate, PDF, as it lies in the bundle of the release that stands. @throws NotFound if the version is not
     * seen, not released, or its bundle is not made yet
     */
    public byte[] read(Viewer viewer, VersionId id) throws IOException {
        Version version = NotFound.unless(visible.version(viewer, id));
        Path bundle = NotFound.unless(releases.ofDeliverable(version.deliverable()).stream()
                .filter(release -> release.stands() && release.version().equals(id))
                .findFirst()
                .flatMap(release -> Optional.ofNullable(release.bundle()))
                .map(vault::path));
        try (ZipFile zip = new ZipFile(bundle.toFile())) {
            ZipEntry certificate = NotFound.unless(zip.stream()
                    .map(ZipEntry.class::cast)
                    .filter(entry -> entry.getName().endsWith("/certificate.pdf"))
                    .findFirst());
            return zip.getInputStream(certificate).readAllBytes();
        }
    }
}
