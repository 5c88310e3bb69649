package app.clearpane.usecases.you;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Particulars;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.core.supply.FileKind;
import app.clearpane.store.agency.ClientParticulars;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.files.TakeInFile;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.io.IOException;
import java.io.InputStream;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps what a client is in law and on letters. Everybody of the client reads it; whoever speaks for others at a pane
 * keeps it.
 */
@Component
public class KeepParticulars {
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_ADDRESS = 500;
    private static final int LONGEST_HOURS = 200;
    private static final int LONGEST_NUMBER = 40;
    private static final int MOST_LOGOS = 20;
    private static final long LARGEST_LOGO = 20_000_000;
    private static final Set<FileKind> FORMS = EnumSet.of(FileKind.PHOTOGRAPH, FileKind.DRAWING, FileKind.PDF);
    private final Directory directory;
    private final ClientParticulars particulars;
    private final Vault vault;
    private final TakeInFile takeIn;
    private final WriteToContact write;
    private final TheAgency agency;
    private final AuditLog audit;

    KeepParticulars(
            Directory directory,
            ClientParticulars particulars,
            Vault vault,
            TakeInFile takeIn,
            WriteToContact write,
            TheAgency agency,
            AuditLog audit) {
        this.directory = directory;
        this.particulars = particulars;
        this.vault = vault;
        this.takeIn = takeIn;
        this.write = write;
        this.agency = agency;
        this.audit = audit;
    }

    /**
     * What is kept of a client.
     *
     * @param mayChange whether whoever reads keeps it
     * @param keepers the names of those who do
     */
    public record Kept(
            ClientId client,
            String name,
            Particulars particulars,
            Optional<ClientParticulars.LastSaid> last,
            List<ClientParticulars.Logo> logos,
            boolean mayChange,
            List<String> keepers) {}

    /** What is kept of the client that a contact is with. */
    public Kept ofContact(ContactId contact) {
        Directory.Entry client = NotFound.unless(directory.findClientOf(contact));
        return kept(client, keepers(client).stream().anyMatch(one -> one.id().equals(contact)));
    }

    /** What is kept of a client, for the team. */
    public Kept ofClient(ClientId client) {
        return kept(NotFound.unless(directory.find(client)), false);
    }

    private Kept kept(Directory.Entry client, boolean mayChange) {
        return new Kept(
                client.id(),
                client.name(),
                particulars.find(client.id()),
                particulars.lastSaid(client.id()),
                particulars.logos(client.id()),
                mayChange,
                keepers(client).stream().map(Directory.Someone::name).toList());
    }

    private static List<Directory.Someone> keepers(Directory.Entry client) {
        return client.people().stream()
                .filter(one -> one.leftAt() == null && one.seats().stream().anyMatch(Directory.Seated::leadVoice))
                .toList();
    }

    /** As they were typed. */
    public record Typed(String legalName, String address, String hours, String taxNumber, int revision) {}

    /**
     * Keeps them.
     *
     * @throws Refused if something of it will not do
     * @throws app.clearpane.store.Stale if somebody else changed them meanwhile
     */
    @Transactional
    public void change(ContactId contact, Typed typed, Actor by) {
        Kept now = keeping(contact);
        Input input = new Input();
        Particulars wanted = new Particulars(
                input.text("The name in law", typed.legalName(), LONGEST_NAME).strip(),
                input.text("The address", typed.address(), LONGEST_ADDRESS).strip(),
                input.text("The hours", typed.hours(), LONGEST_HOURS).strip(),
                input.text("The tax number", typed.taxNumber(), LONGEST_NUMBER).strip(),
                typed.revision());
        input.allGood();
        particulars.keep(now.client(), wanted, by, agency.now());
        tell(
                Act.CLIENT_PARTICULARS,
                by,
                now.name(),
                String.join("; ", wanted.legalName(), wanted.addressInALine(), wanted.hours(), wanted.taxNumber()));
    }

    private Kept keeping(ContactId contact) {
        Kept now = ofContact(contact);
        if (!now.mayChange()) {
            throw new NotFound();
        }
        return now;
    }

    /** Keeps their logo in a further form. @throws Refused if it is no picture, drawing or PDF, or too large */
    public void addLogo(ContactId contact, String fileName, InputStream content, Actor by) throws IOException {
        Kept now = keeping(contact);
        if (now.logos().size() >= MOST_LOGOS) {
            throw Refused.because("There are " + MOST_LOGOS + " forms of it already. Take one away first.");
        }
        Vault.Stored stored = store(content, fileName);
        String mediaType = takeIn.mediaType(stored);
        if (!FORMS.contains(FileKind.of(mediaType))) {
            throw Refused.because(
                    "“" + fileName + "” is " + FileKind.of(mediaType).foundWords()
                            + ". A logo is a picture, a drawing or a PDF; nothing was kept.");
        }
        Input input = new Input();
        String name = input.text("The file’s name", fileName, LONGEST_NAME);
        input.allGood();
        particulars.add(
                new ClientParticulars.Logo(
                        UUID.randomUUID(), now.client(), name, stored.sha256(), mediaType, stored.size()),
                by,
                agency.now());
        tell(Act.CLIENT_LOGO, by, now.name(), "with " + name);
    }

    private Vault.Stored store(InputStream content, String fileName) throws IOException {
        try {
            Vault.Stored stored = vault.store(content, LARGEST_LOGO);
            if (stored.size() == 0) {
                throw Refused.because("“" + fileName + "” is empty. Nothing was kept.");
            }
            return stored;
        } catch (Vault.TooLarge large) {
            throw Refused.because("“" + fileName + "” is larger than 20 MB. Nothing was kept; bring a smaller one.");
        }
    }

    /** Takes a form of it away. */
    @Transactional
    public void dropLogo(ContactId contact, UUID logo, Actor by) {
        Kept now = keeping(contact);
        ClientParticulars.Logo found = logo(now, logo);
        particulars.drop(found.id());
        tell(Act.CLIENT_LOGO, by, now.name(), "without " + found.name());
    }

    /** A form of their logo. */
    public static ClientParticulars.Logo logo(Kept kept, UUID id) {
        return NotFound.unless(
                kept.logos().stream().filter(one -> one.id().equals(id)).findFirst());
    }

    /** Asks those who keep them, by mail. @throws Refused where nobody speaks for the others anywhere */
    @Transactional
    public void ask(ClientId id, Actor by) {
        Directory.Entry client = NotFound.unless(directory.find(id));
        List<Directory.Someone> keepers = keepers(client);
        if (keepers.isEmpty()) {
            throw Refused.because("Nobody of " + client.name() + " speaks for the others at a pane, so nobody can be "
                    + "asked. Name a lead voice first.");
        }
        keepers.forEach(one -> write.write(
                one.id(),
                new WriteToContact.Note(
                        "Your particulars, once for everything",
                        List.of("Please look whether we have them right: the name in law, the address, the hours, the "
                                + "tax number, and your logo in its forms. They are asked once, and stand on papers and "
                                + "wherever else they are needed."),
                        "Open them",
                        "/c/particulars")));
        tell(
                Act.CLIENT_ASKED,
                by,
                client.name(),
                String.join(", ", keepers.stream().map(Directory.Someone::name).toList()));
    }

    private void tell(Act act, Actor by, String client, String how) {
        audit.appendOfAgency(agency.get().id(), new PeopleActs.ClientChanged(act, by, client, how));
    }
}
