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
     */
    @ConfigurationProperties("clearpane.quotas")
    public record Quotas(
            @DefaultValue("10GB") DataSize person,
            @DefaultValue("200MB") DataSize link,
            @DefaultValue("100GB") DataSize project) {}

    /**
     * Takes it in.
     *
     * @throws Vault.TooLarge if it is larger than any file may be; nothing is kept
     * @throws Refused if there is no room left for it; nothing is kept
     * @throws IOException if it cannot be written; nothing is kept
     */
    public Vault.Stored take(ProjectId project, Actor by, InputStream content) throws IOException {
        DataSize own = by instanceof Actor.Guest ? quotas.link() : quotas.person();
        long leftOfTheirs = own.toBytes() - uploads.since(by, clock.instant().minus(A_DAY));
        long leftOfProject = quotas.project().toBytes() - uploads.total(project);
        long most = house.largestUpload().toBytes();
        try {
            Vault.Stored stored =
                    vault.store(content, Math.max(0, Math.min(most, Math.min(leftOfTheirs, leftOfProject))));
            uploads.add(by, project, stored.size(), clock.instant());
            return stored;
        } catch (Vault.TooLarge large) {
            if (large.limit() >= most) {
                throw large;
            }
            throw leftOfTheirs <= leftOfProject
                    ? Refused.because("With this file it would be more than " + own.toMegabytes() + " MB within a day"
                            + (by instanceof Actor.Guest ? " by this link" : "")
                            + ". Nothing of it was kept; send the rest tomorrow, or ask us for more room.")
                    : Refused.because("This project holds " + quotas.project().toGigabytes()
                            + " GB, the most that one may. Nothing of it was kept; tell whoever runs this house.");
        }
    }

    /** Keeps an address as a file of its own. @throws IOException if it cannot be written */
    public Vault.Stored address(String address) throws IOException {
        byte[] text = address.getBytes(StandardCharsets.UTF_8);
        return vault.store(new ByteArrayInputStream(text), text.length);
    }

    /** What a file is by its content, as a media type. */
    public String mediaType(Vault.Stored stored) throws IOException {
        return ContentType.of(vault.path(stored.sha256()));
    }
}
