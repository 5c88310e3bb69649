package app.clearpane.usecases.supply;

import app.clearpane.core.supply.Check;
import app.clearpane.core.supply.FileFacts;
import app.clearpane.core.supply.Finding;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.Takes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.formats.supply.WordCount;
import app.clearpane.store.files.Seal;
import app.clearpane.store.files.Vault;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.files.TakeInFile;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.WebAddress;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes in what somebody types for a request: words, a choice, a day, an address, and access details, sealed. */
@Component
public class SupplyWords {
    private static final int LONGEST = 20_000;
    private static final int LONGEST_ADDRESS = 600;
    private static final String LINK = "text/uri-list";
    private final GivenFor givenFor;
    private final Requests requests;
    private final TakeInFile takeIn;
    private final Seal seal;
    private final TheAgency agency;
    private final TransactionTemplate transaction;

    SupplyWords(
            GivenFor givenFor,
            Requests requests,
            TakeInFile takeIn,
            Seal seal,
            TheAgency agency,
            TransactionTemplate transaction) {
        this.givenFor = givenFor;
        this.requests = requests;
        this.takeIn = takeIn;
        this.seal = seal;
        this.agency = agency;
        this.transaction = transaction;
    }

    /** What access details are sealed for. */
    static String purpose(UUID given) {
        return "access details " + given;
    }

    /**
     * Takes it in; what was typed for the same before is replaced. A file may be given by the address where it is kept.
     *
     * @throws IOException if it cannot be written; nothing is kept
     * @throws app.clearpane.usecases.shell.Refused if it is not what is wanted
     */
    public void write(Viewer viewer, RequestId id, UUID part, String typed) throws IOException {
        Request request = givenFor.open(viewer, id);
        RequestPart wanted = NotFound.unless(request.part(part));
        String text = checked(wanted, typed);
        UUID given = UUID.randomUUID();
        boolean sealed = wanted.takes() == Takes.ACCESS;
        Vault.Stored stored = takeIn.address(sealed ? seal.close(text, purpose(given)) : text);
        FileFacts facts = facts(wanted, text);
        Supplied supplied = new Supplied(
                given,
                part,
                stored.sha256(),
                name(wanted),
                facts,
                sealed ? Optional.empty() : Optional.of(text),
                new Supplied.Came(viewer.actor(), agency.now(), Supplied.Door.PAGE),
                findings(wanted, facts),
                Optional.empty(),
                new Supplied.Arrived());
        transaction.executeWithoutResult(status -> {
            Request now = givenFor.locked(viewer, id);
            if (wanted.takes() != Takes.FILES) {
                now.given(wanted).stream()
                        .filter(one -> one.standing() instanceof Supplied.Arrived)
                        .forEach(one -> requests.takeBack(one.id(), agency.now()));
            }
            givenFor.keep(viewer, now, wanted, List.of(supplied));
        });
    }

    private static List<Finding> findings(RequestPart wanted, FileFacts facts) {
        return wanted.takes() == Takes.FILES ? List.of(Finding.KEPT_ELSEWHERE) : Check.all(wanted.checks(), facts);
    }

    private static FileFacts facts(RequestPart wanted, String text) {
        long bytes = text.getBytes(StandardCharsets.UTF_8).length;
        return switch (wanted.takes()) {
            case FILES, LINK -> FileFacts.ofKind(LINK, bytes);
            case ACCESS -> FileFacts.ofKind("application/octet-stream", 0);
            default -> FileFacts.ofDocument("text/plain", bytes, FileFacts.Document.ofWords(WordCount.of(text)));
        };
    }

    private static String name(RequestPart wanted) {
        return switch (wanted.takes()) {
            case TEXT -> wanted.name() + ".txt";
            case FILES, LINK -> wanted.name() + ", a link";
            default -> wanted.name();
        };
    }

    private static String checked(RequestPart wanted, String typed) {
        Input input = new Input();
        String text = typed.strip();
        switch (wanted.takes()) {
            case FILES, LINK ->
                input.require(
                        WebAddress.isOne(text),
                        "The address: it should begin with https:// or http:// and lead somewhere, like "
                                + "https://example.org/pictures.");
            case CHOICE ->
                input.require(
                        wanted.choices().contains(text), "Choose one of " + String.join(", ", wanted.choices()) + ".");
            case DAY ->
                text = input.day("The day", text).map(LocalDate::toString).orElse("");
            case ADDRESS -> text = input.text("The address", text, LONGEST_ADDRESS);
            case TEXT, ACCESS -> text = input.text(wanted.name(), text, LONGEST);
            case ANSWERS -> input.require(false, "Answer the questions one by one, then hand them in.");
        }
        input.allGood();
        input.require(!text.isEmpty(), "Write something first.");
        input.allGood();
        return text;
    }
}
