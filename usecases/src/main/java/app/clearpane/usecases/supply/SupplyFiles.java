package app.clearpane.usecases.supply;

import app.clearpane.core.supply.Check;
import app.clearpane.core.supply.FileFacts;
import app.clearpane.core.supply.Places;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.Takes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.ContentType;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.files.TakeInWork;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes in files that somebody gives for a request, finds out what they are, and holds them against its checks. */
@Component
public class SupplyFiles {
    private final GivenFor givenFor;
    private final TakeInWork takeIn;
    private final DrawApart apart;
    private final Vault vault;
    private final TheAgency agency;
    private final TransactionTemplate transaction;

    SupplyFiles(
            GivenFor givenFor,
            TakeInWork takeIn,
            DrawApart apart,
            Vault vault,
            TheAgency agency,
            TransactionTemplate transaction) {
        this.givenFor = givenFor;
        this.takeIn = takeIn;
        this.apart = apart;
        this.vault = vault;
        this.agency = agency;
        this.transaction = transaction;
    }

    /** A file on its way in. */
    public record Arriving(String name, Content content) {
        /** Where its bytes come from. */
        public interface Content {
            /** Opens them. @throws IOException if they cannot be read */
            InputStream open() throws IOException;
        }
    }

    /** A file that is here, and what was found in it. */
    private record Found(TakeInWork.Taken taken, FileFacts facts, Optional<Wish.Opened> work) {}

    /**
     * Takes files in.
     *
     * @param part the one they are given for; empty if they are given together to the whole request, and go where most
     *     of them fit (rule Q4)
     * @throws IOException if one cannot be written; those before it are kept
     * @throws Refused if there is no room for one, it is empty, or it is here under another name; the others are kept
     */
    public void give(Viewer viewer, RequestId id, Optional<UUID> part, List<Arriving> files) throws IOException {
        Request request = givenFor.open(viewer, id);
        part.ifPresent(one -> NotFound.unless(request.part(one).filter(known -> known.takes() == Takes.FILES)));
        if (files.isEmpty()) {
            throw Refused.because("Choose a file first.");
        }
        List<Found> found = new ArrayList<>();
        List<String> said = new ArrayList<>();
        for (Arriving file : files) {
            Found one = find(request, viewer, file);
            if (one.taken().stored().size() == 0) {
                said.add("“" + one.taken().name()
                        + "” is empty: it has 0 bytes, so it was not kept. Save it again where you made it.");
            } else {
                found.add(one);
            }
        }
        transaction.executeWithoutResult(status -> said.addAll(keep(viewer, id, part, found)));
        if (!said.isEmpty()) {
            throw Refused.because(said);
        }
    }

    private Found find(Request request, Viewer viewer, Arriving file) throws IOException {
        try (InputStream content = file.content().open()) {
            TakeInWork.Taken taken = takeIn.takeResumed(request.project(), file.name(), content, viewer.actor());
            return new Found(taken, facts(taken), takeIn.opened(taken));
        }
    }

    private FileFacts facts(TakeInWork.Taken taken) throws IOException {
        try {
            return apart.facts(new Wish.Facts(vault.path(taken.stored().sha256())));
        } catch (UnusableFile takesTooLong) {
            return FileFacts.ofKind(
                    ContentType.of(vault.path(taken.stored().sha256())),
                    taken.stored().size());
        }
    }

    /** Keeps them. @return a sentence for each that was there under another name */
    private List<String> keep(Viewer viewer, RequestId id, Optional<UUID> part, List<Found> found) {
        List<String> said = new ArrayList<>();
        Request request = givenFor.locked(viewer, id);
        List<RequestPart> parts = part.flatMap(request::part)
                .map(one -> found.stream().map(file -> one).toList())
                .orElseGet(
                        () -> places(request, found.stream().map(Found::facts).toList()));
        Map<RequestPart, List<Supplied>> given = new LinkedHashMap<>();
        for (int i = 0; i < found.size(); i++) {
            Found file = found.get(i);
            file.work().ifPresent(work -> takeIn.draw(file.taken(), work));
            given.computeIfAbsent(parts.get(i), one -> new ArrayList<>()).add(supplied(viewer, parts.get(i), file));
        }
        given.forEach((of, files) -> givenFor.keep(viewer, request, of, files).stream()
                .filter(same -> !same.there().equals(same.given().name()))
                .map(same -> "“" + same.given().name() + "” is here already: it is the same as “" + same.there() + "”.")
                .forEach(said::add));
        return said;
    }

    /** Where files go that are given together; those that fit nowhere go where something is still missing. */
    private static List<RequestPart> places(Request request, List<FileFacts> files) {
        List<RequestPart> parts = request.parts().stream()
                .filter(one -> one.takes() == Takes.FILES)
                .toList();
        if (parts.isEmpty()) {
            throw Refused.because("No file is wanted here. Nothing was kept.");
        }
        List<Integer> missing =
                new ArrayList<>(parts.stream().map(request::missing).toList());
        List<Integer> place = Places.of(parts, missing, files);
        place.stream().filter(at -> at >= 0).forEach(at -> missing.set(at, missing.get(at) - 1));
        return place.stream().map(at -> parts.get(at >= 0 ? at : next(missing))).toList();
    }

    private static int next(List<Integer> missing) {
        for (int i = 0; i < missing.size(); i++) {
            if (missing.get(i) > 0) {
                missing.set(i, missing.get(i) - 1);
                return i;
            }
        }
        return 0;
    }

    private Supplied supplied(Viewer viewer, RequestPart part, Found file) {
        return new Supplied(
                UUID.randomUUID(),
                part.id(),
                file.taken().stored().sha256(),
                file.taken().name(),
                file.facts(),
                Optional.empty(),
                new Supplied.Came(viewer.actor(), agency.now(), Supplied.Door.PAGE),
                Check.all(part.checks(), file.facts()),
                Optional.empty(),
                new Supplied.Arrived());
    }
}
