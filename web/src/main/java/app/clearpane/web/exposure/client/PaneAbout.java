package app.clearpane.web.exposure.client;

import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.project.client.VisibleWords;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import org.springframework.stereotype.Component;

/** What stands above and beside all else on a client’s page. */
@Component
class PaneAbout {
    private final Viewers viewers;
    private final VisibleWords words;
    private final TheAgency agency;

    PaneAbout(Viewers viewers, VisibleWords words, TheAgency agency) {
        this.viewers = viewers;
        this.words = words;
        this.agency = agency;
    }

    /**
     * What that is.
     *
     * @param about what the project says of itself
     * @param others the other panes through which the same person sees the project
     */
    record Around(Viewers.Heading heading, VisibleWords.About about, List<Viewers.Other> others) {}

    Around read(Viewer viewer) {
        return new Around(viewers.heading(viewer), words.aboutFor(viewer), viewers.others(viewer, agency.now()));
    }
}
