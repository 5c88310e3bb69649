package app.clearpane.web.exposure.client;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.files.client.VisibleFiles;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;

/**
 * Whoever has seats at several panes of a project sees what any of them shows (V3): what one does not show them is
 * opened through one that does.
 */
@ControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class ThroughAnotherPane {
    private static final Pattern ITEM =
            Pattern.compile("/c/panes/([0-9a-f-]{36})(/(files|tasks|versions)/([0-9a-f-]{36}).*)");
    private final Viewers viewers;
    private final VisibleFiles files;
    private final VisibleTasks tasks;
    private final VisibleDeliverables deliverables;
    private final Clock clock;

    ThroughAnotherPane(
            Viewers viewers, VisibleFiles files, VisibleTasks tasks, VisibleDeliverables deliverables, Clock clock) {
        this.viewers = viewers;
        this.files = files;
        this.tasks = tasks;
        this.deliverables = deliverables;
        this.clock = clock;
    }

    @ExceptionHandler
    void notThere(NotFound notHere, HttpServletRequest request, HttpServletResponse response) throws IOException {
        Matcher item = ITEM.matcher(request.getRequestURI());
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        Optional<String> there = "GET".equals(request.getMethod())
                        && item.matches()
                        && who != null
                        && who.getPrincipal() instanceof Person.OfClient person
                ? elsewhere(person, item)
                : Optional.empty();
        if (there.isPresent()) {
            response.sendRedirect(there.get());
        } else {
            response.sendError(HttpStatus.NOT_FOUND.value());
        }
    }

    private Optional<String> elsewhere(Person.OfClient person, Matcher item) {
        return viewers.viewerAt(PaneId.of(item.group(1)), person.contactId(), clock.instant()).stream()
                .flatMap(here -> viewers.others(here, clock.instant()).stream())
                .flatMap(other -> viewers.viewerAt(other.id(), person.contactId(), clock.instant()).stream())
                .filter(viewer -> sees(viewer, item.group(3), item.group(4)))
                .findFirst()
                .map(viewer -> Through.base(viewer) + item.group(2));
    }

    private boolean sees(Viewer viewer, String kind, String id) {
        return switch (kind) {
            case "files" -> files.find(viewer, ItemId.of(id)).isPresent();
            case "tasks" -> tasks.find(viewer, ItemId.of(id)).isPresent();
            default -> deliverables.version(viewer, VersionId.of(id)).isPresent();
        };
    }
}
