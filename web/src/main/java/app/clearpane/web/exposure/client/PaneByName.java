package app.clearpane.web.exposure.client;

import app.clearpane.core.papers.Paper;
import app.clearpane.core.supply.Request;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.papers.client.VisiblePapers;
import app.clearpane.store.supply.client.VisibleRequests;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Component;

/** What is addressed to a viewer by name, whatever their pane lets through (rule V6). */
@Component
class PaneByName {
    private final VisiblePapers papers;
    private final VisibleRequests requests;

    PaneByName(VisiblePapers papers, VisibleRequests requests) {
        this.papers = papers;
        this.requests = requests;
    }

    /** All of it. */
    record Addressed(List<Paper> papers, List<Request> requests) {
        /** Papers that something is still expected of the viewer for. */
        List<Paper> waitingPapers(Viewer viewer) {
            return viewer.rest().isPresent()
                    ? List.of()
                    : papers.stream()
                            .filter(paper -> paper.waitsFor(viewer.contact(), LocalDate.MIN))
                            .toList();
        }

        /** Requests that wait to be supplied. */
        List<Request> waitingRequests(Viewer viewer) {
            return viewer.rest().isPresent()
                    ? List.of()
                    : requests.stream()
                            .filter(request -> request.turn() == Turn.CLIENTS)
                            .toList();
        }
    }

    Addressed read(Viewer viewer) {
        return new Addressed(papers.all(viewer), requests.all(viewer));
    }
}
