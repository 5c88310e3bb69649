package app.clearpane.usecases.files;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.deliverable.ContentType;
import app.clearpane.store.files.Uploads;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.shell.Refused;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;

/**
 * Takes the bytes of a file that somebody sends into the vault, as long as they and the project have room left. Whoever
 * calls it has checked that they may send one.
 */
@Component
public class TakeInFile {
    private static final Duration A_DAY = Duration.ofDays(1);
    private final Vault vault;
    private final Uploads uploads;
    private final HouseSettings house;
    private final Quotas quotas;
    private final Clock clock;

    public TakeInFile(Vault vault, Uploads uploads, HouseSettings house, Quotas quotas, Clock clock) {
        this.vault = vault;
        this.uploads = uploads;
        this.house = house;
        this.quotas = quotas;
        this.clock = clock;
    }

    /**
     * How much may be sent.
     *
     * @param person by one of the team or a contact, within a day
     * @param link by all who have a link, within a day
     * @param project for one project, in all
     * @param resumed one file that is sent in parts
     */
    @ConfigurationProperties("clearpane.quotas")
    public record Quotas(
            @DefaultValue("10GB") DataSize person,
            @DefaultValue("200MB") DataSize link,
            @DefaultValue("100GB") DataSize project,
            @DefaultValue("10GB") DataSize resumed) {}

    /**
     * Takes it in.
     *
     * @throws Vault.TooLarge if it is larger than any file may be; nothing is kept
     * @throws Refused if there is no room left for it; nothing is kept
     * @throws IOException if it cannot be written; nothing is kept
     */
    public Vault.Stored take(ProjectId project, Actor by, InputStream content) throws IOException {
        return take(project, by, content, house.largestUpload().toBytes());
    }

    /** The same of a file that was sent in parts, which may be larger. */
    public Vault.Stored takeResumed(ProjectId project, Actor by, InputStream content) throws IOException {
        return take(project, by, content, largestResumed());
    }

    /** The most bytes of a file that is sent in parts. */
    public long largestResumed() {
        return quotas.resumed().toBytes();
    }

    /** Says no before anything is sent. @throws Refused if there is no room for so many bytes */
    public void needRoom(ProjectId project, Actor by, long bytes) {
        Room room = room(project, by);
        if (bytes > Math.min(room.leftOfTheirs(), room.leftOfProject())) {
            throw refused(room, by);
        }
    }

    /** How many bytes are left of both. */
    private record Room(long leftOfTheirs, long leftOfProject) {}

    private Room room(ProjectId project, Actor by) {
        return new Room(
                own(by).toBytes() - uploads.since(by, clock.instant().minus(A_DAY)),
                quotas.project().toBytes() - uploads.total(project));
    }

    private DataSize own(Actor by) {
        return by instanceof Actor.Guest ? quotas.link() : quotas.person();
    }

    private Vault.Stored take(ProjectId project, Actor by, InputStream content, long most) throws IOException {
        Room room = room(project, by);
        try {
            Vault.Stored stored = vault.store(
                    content, Math.max(0, Math.min(most, Math.min(room.leftOfTheirs(), room.leftOfProject()))));
            uploads.add(by, project, stored.size(), clock.instant());
            return stored;
        } catch (Vault.TooLarge large) {
            if (large.limit() >= most) {
                throw large;
            }
            throw refused(room, by);
        }
    }

    private Refused refused(Room room, Actor by) {
        return room.leftOfTheirs() <= room.leftOfProject()
                ? Refused.because("With this file it would be more than " + own(by).toMegabytes() + " MB within a day"
                        + (by instanceof Actor.Guest ? " by this link" : "")
                        + ". Nothing of it was kept; send the rest tomorrow, or ask us for more room.")
                : Refused.because("This project holds " + quotas.project().toGigabytes()
                        + " GB, the most that one may. Nothing of it was kept; tell whoever runs this house.");
    }

    /** Keeps an address as a file of its own. @throws IOException if it cannot be written */
    public Vault.Stored address(String address) throws IOException {
        return written(address.getBytes(StandardCharsets.UTF_8));
    }

    /** Keeps something that was written here. @throws IOException if it cannot be written; nothing is kept */
    public Vault.Stored written(byte[] bytes) throws IOException {
        return vault.store(new ByteArrayInputStream(bytes), bytes.length);
    }

    /** What a file is by its content, as a media type. */
    public String mediaType(Vault.Stored stored) throws IOException {
        return ContentType.of(vault.path(stored.sha256()));
    }
}
