package app.clearpane.usecases.clearance;

import app.clearpane.core.files.Sha256;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.jobs.Job;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Makes the bundle of a release: the file, its certificate, the marks, the Record's entries, in a zipped bag. */
@Component
public class MakeBundle implements Job {
    static final String NAME = "make-bundle";
    private final Releases releases;
    private final WriteCertificate certificate;
    private final PackRelease pack;

    MakeBundle(Releases releases, WriteCertificate certificate, PackRelease pack) {
        this.pack = pack;
        this.certificate = certificate;
        this.releases = releases;
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
            byte[] written = certificate.write(
                    release, Optional.ofNullable(release.replaces()).flatMap(releases::find));
            Vault.Stored stored = pack.pack(release, written);
            releases.bundled(release.id(), Sha256.of(written), stored.sha256(), stored.size());
        } catch (IOException e) {
            releases.failed(release.id(), String.valueOf(e.getMessage()));
            throw new IllegalStateException("the bundle of release " + about + " could not be made", e);
        }
    }
}
