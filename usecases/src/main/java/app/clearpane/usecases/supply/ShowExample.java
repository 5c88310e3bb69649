package app.clearpane.usecases.supply;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.store.agency.HousePicture;
import app.clearpane.store.agency.HousePictures;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.brand.KeepPicture;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Shows, beside a part of a request, what would be just right for it and what would not do, as pictures. */
@Component
public class ShowExample {
    private final Requests requests;
    private final HousePictures pictures;
    private final KeepPicture keepPicture;

    ShowExample(Requests requests, HousePictures pictures, KeepPicture keepPicture) {
        this.requests = requests;
        this.pictures = pictures;
        this.keepPicture = keepPicture;
    }

    /** Which of the two. */
    public enum Which {
        GOOD(HousePictures.Role.GOOD_EXAMPLE, "What would be just right"),
        BAD(HousePictures.Role.BAD_EXAMPLE, "What would not do");

        private final HousePictures.Role role;
        private final String words;

        Which(HousePictures.Role role, String words) {
            this.role = role;
            this.words = words;
        }

        public String words() {
            return words;
        }

        public boolean isGood() {
            return this == GOOD;
        }
    }

    /** The parts that have one, and the other. */
    public record Shown(Set<UUID> good, Set<UUID> bad) {}

    /** Those of some requests. */
    public Shown shown(Collection<Request> some) {
        List<UUID> parts = some.stream()
                .flatMap(request -> request.parts().stream())
                .map(RequestPart::id)
                .toList();
        return new Shown(
                pictures.with(HousePictures.Role.GOOD_EXAMPLE, parts),
                pictures.with(HousePictures.Role.BAD_EXAMPLE, parts));
    }

    /** One of a part of a request that may be looked at. */
    public HousePicture find(Request request, UUID part, Which which) {
        NotFound.unless(request.part(part));
        return NotFound.unless(pictures.find(part, which.role));
    }

    /**
     * Shows another one.
     *
     * @throws IOException if it cannot be written; nothing is kept
     * @throws Refused if it is no picture, or the request is not wanted any more
     */
    public ProjectId show(RequestId id, UUID part, Which which, String fileName, InputStream content, Actor by)
            throws IOException {
        Request request = wanted(id);
        keepPicture.keep(part, which.role, called(request, part, which), fileName, content, by);
        return request.project();
    }

    /** Shows none. */
    public ProjectId takeAway(RequestId id, UUID part, Which which, Actor by) {
        Request request = wanted(id);
        keepPicture.drop(part, which.role, called(request, part, which), by);
        return request.project();
    }

    private Request wanted(RequestId id) {
        Request request = NotFound.unless(requests.find(id));
        if (request.standing() instanceof Request.Withdrawn) {
            throw Refused.changedMeanwhile("This is not wanted any more, so nothing was changed.");
        }
        return request;
    }

    private static String called(Request request, UUID part, Which which) {
        return which.words() + ": " + NotFound.unless(request.part(part)).name() + ", " + request.title();
    }

    /** Those of one request. */
    public Shown shown(Request one) {
        return shown(List.of(one));
    }
}
