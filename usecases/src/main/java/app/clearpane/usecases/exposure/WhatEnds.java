package app.clearpane.usecases.exposure;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.shell.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What comes to an end for clients when a project is put away, in sentences that are read before it is done. */
@Component
public class WhatEnds {
    private final List<WaitsAtClient> rooms;
    private final Panes panes;
    private final Seats seats;

    WhatEnds(List<WaitsAtClient> rooms, Panes panes, Seats seats) {
        this.rooms = rooms;
        this.panes = panes;
        this.seats = seats;
    }

    /** By archiving a project. */
    public List<String> byArchiving(ProjectId project) {
        List<String> sentences = new ArrayList<>();
        List<WaitsAtClient.Waiting> waiting = rooms.stream()
                .flatMap(room -> room.in(project, Optional.empty()).stream())
                .toList();
        if (!waiting.isEmpty()) {
            sentences.add("These wait with the client and will wait no more: "
                    + Words.listed(waiting.stream()
                            .map(one -> "“" + one.name() + "” (" + one.who() + ")")
                            .toList()) + ".");
        }
        List<String> open = panes.ofProject(project).stream()
                .filter(pane -> pane.publishedAt() != null)
                .map(Panes.Row::name)
                .toList();
        long people = seats.ofProjects(List.of(project)).stream()
                .map(SeatRow::contact)
                .distinct()
                .count();
        sentences.add(
                open.isEmpty()
                        ? "No pane of it is published, so no client notices."
                        : "At " + Words.listed(open)
                                + (people == 1 ? " one person reads" : " " + people + " people read")
                                + " that it has ended: they can look at everything as before and add nothing. "
                                + "Nobody is reminded of anything any more.");
        sentences.add("It leaves the Desk and can be taken up again at any time; then what waited waits again.");
        return sentences;
    }
}
