package app.clearpane.usecases.brand;

import app.clearpane.core.agency.Accent;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.formats.deliverable.Work;
import app.clearpane.store.agency.HousePicture;
import app.clearpane.store.agency.HousePictures;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes in pictures of people, logos and covers, drawn anew apart from everything else; and the agency's colour. */
@Component
public class KeepPicture {
    private static final long LARGEST = 12_000_000;
    private static final Set<HousePictures.Role> LARGE = Set.of(HousePictures.Role.COVER, HousePictures.Role.LAST_LOOK);
    private final HousePictures pictures;
    private final Vault vault;
    private final DrawApart apart;
    private final TheAgency agency;
    private final AuditLog audit;
    private final TransactionTemplate transaction;

    KeepPicture(
            HousePictures pictures,
            Vault vault,
            DrawApart apart,
            TheAgency agency,
            AuditLog audit,
            TransactionTemplate transaction) {
        this.pictures = pictures;
        this.vault = vault;
        this.apart = apart;
        this.agency = agency;
        this.audit = audit;
        this.transaction = transaction;
    }

    /**
     * Takes in a picture.
     *
     * @param of what it is of, in words
     * @throws Refused if it is no picture
     */
    public void keep(UUID subject, HousePictures.Role role, String of, String fileName, InputStream content, Actor by)
            throws IOException {
        Vault.Stored brought = store(content, fileName);
        List<Work.DrawnPage> drawn = new ArrayList<>();
        try {
            Wish.Opened opened = apart.open(new Wish.Open(vault.path(brought.sha256()), fileName));
            if (!opened.mediaType().startsWith("image/")) {
                throw Refused.because(
                        "“" + fileName + "” is not a picture. Nothing was changed; bring a PNG, a JPEG or an SVG.");
            }
            apart.draw(new Wish.Draw(vault.path(brought.sha256()), opened.mediaType(), 1), drawn::add);
        } catch (UnusableFile unusable) {
            throw Refused.because(
                    "“" + fileName + "” cannot be drawn: " + unusable.getMessage() + " Nothing was changed.");
        }
        byte[] picture =
                LARGE.contains(role) ? drawn.get(0).large() : drawn.get(0).small();
        Vault.Stored kept = vault.store(new ByteArrayInputStream(picture), picture.length);
        transaction.executeWithoutResult(status -> {
            pictures.put(
                    subject, role, new HousePicture(kept.sha256(), drawn.get(0).mediaType()));
            audit.appendOfAgency(
                    agency.get().id(),
                    new PeopleActs.HouseSays(
                            Act.HOUSE_PICTURE, by, of, kept.sha256().hex()));
        });
    }

    private Vault.Stored store(InputStream content, String fileName) throws IOException {
        try {
            Vault.Stored stored = vault.store(content, LARGEST);
            if (stored.size() == 0) {
                throw Refused.because("Choose a picture first. Nothing was changed.");
            }
            return stored;
        } catch (Vault.TooLarge large) {
            throw Refused.because(
                    "“" + fileName + "” is larger than 12 MB. Nothing was changed; bring a smaller picture.");
        }
    }

    /** Takes a picture away. */
    @Transactional
    public void drop(UUID subject, HousePictures.Role role, String of, Actor by) {
        pictures.drop(subject, role);
        audit.appendOfAgency(agency.get().id(), new PeopleActs.HouseSays(Act.HOUSE_PICTURE, by, of, ""));
    }

    /** Sets the colour of buttons and links on clients' pages; empty for the house's own. */
    @Transactional
    public void setAccent(String typed, Actor by) {
        String accent = typed.isBlank()
                ? ""
                : Accent.read(typed)
                        .map(Accent::toString)
                        .orElseThrow(() -> Refused.because(
                                "“" + typed.strip() + "” is not a colour like #14706a. Nothing was changed."));
        pictures.setAccent(accent);
        audit.appendOfAgency(
                agency.get().id(),
                new PeopleActs.HouseSays(Act.HOUSE_PICTURE, by, "The colour of clients’ pages", accent));
    }
}
