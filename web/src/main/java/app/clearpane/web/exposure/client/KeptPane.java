package app.clearpane.web.exposure.client;

import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.WriteCounter;
import app.clearpane.usecases.shell.KeptReading;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import org.springframework.stereotype.Component;

/** Keeps what was read for a client’s page while nothing is written. */
@Component
class KeptPane {
    private static final int KEPT = 500;
    private final TheAgency agency;
    private final KeptReading<Key, PaneContents.Contents> kept;

    KeptPane(TheAgency agency, WriteCounter writes, PaneContents contents) {
        this.agency = agency;
        this.kept = new KeptReading<>(writes, KEPT, key -> contents.read(key.viewer()));
    }

    private record Key(Viewer viewer, LocalDate today) {}

    /** What a viewer sees. */
    PaneContents.Contents read(Viewer viewer) {
        return kept.read(new Key(viewer, agency.today()));
    }
}
