package app.clearpane.usecases.supply.question;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.supply.Questionnaires;
import app.clearpane.store.supply.Requests;
import app.clearpane.store.supply.client.VisibleRequests;
import app.clearpane.usecases.shell.NotFound;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Reads a questionnaire with what was answered so far. */
@Component
public class ReadAnswers {
    private final VisibleRequests visible;
    private final Requests requests;
    private final Questionnaires questionnaires;

    ReadAnswers(VisibleRequests visible, Requests requests, Questionnaires questionnaires) {
        this.visible = visible;
        this.requests = requests;
        this.questionnaires = questionnaires;
    }

    /**
     * A questionnaire as it lies before somebody.
     *
     * @param handedIn what was handed in, as long as nobody opened it again
     */
    public record Sheet(Request request, RequestPart part, Questionnaires.Kept kept, Optional<Supplied> handedIn) {
        /** Whether it can be answered now. */
        public boolean isOpen() {
            return request.sent().isPresent() && handedIn.isEmpty();
        }
    }

    /** For somebody who is asked. */
    public Sheet read(Viewer viewer, UUID part) {
        Questionnaires.Kept kept = NotFound.unless(questionnaires.find(part));
        return sheet(NotFound.unless(visible.find(viewer, kept.request())), kept);
    }

    /** For the team. */
    public Sheet read(UUID part) {
        Questionnaires.Kept kept = NotFound.unless(questionnaires.find(part));
        return sheet(NotFound.unless(requests.find(kept.request())), kept);
    }

    /** A picture that can be chosen there. */
    public Sha256 picture(Sheet sheet, String name) {
        return NotFound.unless(questionnaires.picture(sheet.part().id(), name));
    }

    private static Sheet sheet(Request request, Questionnaires.Kept kept) {
        RequestPart part = NotFound.unless(request.part(kept.part()));
        return new Sheet(
                request,
                part,
                kept,
                request.given(part).stream().filter(Supplied::fills).findFirst());
    }
}
