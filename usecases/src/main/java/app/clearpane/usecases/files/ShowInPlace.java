package app.clearpane.usecases.files;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.HostNames;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.HousePicture;
import app.clearpane.store.agency.HousePictures;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.usecases.brand.KeepPicture;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.usecases.shell.TheAgency;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Shows where an address leads in place, for hosts that an owner named; of all others the last picture that somebody
 * took, and the day. Templates call it {@code inPlace}.
 */
@Component
public class ShowInPlace implements TemplateHelper {
    private final HousePictures pictures;
    private final ProjectFiles files;
    private final KeepLink keepLink;
    private final KeepPicture keepPicture;
    private final TheAgency agency;
    private final AuditLog audit;

    ShowInPlace(
            HousePictures pictures,
            ProjectFiles files,
            KeepLink keepLink,
            KeepPicture keepPicture,
            TheAgency agency,
            AuditLog audit) {
        this.pictures = pictures;
        this.files = files;
        this.keepLink = keepLink;
        this.keepPicture = keepPicture;
        this.agency = agency;
        this.audit = audit;
    }

    @Override
    public String name() {
        return "inPlace";
    }

    /** The hosts, as an owner typed them. */
    public String hosts() {
        return pictures.shownHosts().typed();
    }

    /** Names the hosts. @throws Refused if one is none */
    @Transactional
    public void name(String typed, Actor by) {
        try {
            HostNames hosts = HostNames.read(typed);
            pictures.setShownHosts(hosts);
            audit.appendOfAgency(
                    agency.get().id(),
                    new PeopleActs.HouseSays(Act.HOUSE_PICTURE, by, "Hosts that are shown in place", hosts.typed()));
        } catch (IllegalArgumentException none) {
            throw Refused.because(none.getMessage() + " Nothing was changed.");
        }
    }

    /** Where a link leads, if that is shown in place. */
    public Optional<String> address(ProjectFile link) {
        return keepLink.address(link).filter(address -> pictures.shownHosts().has(URI.create(address)));
    }

    /** When the last picture of where it leads was taken; empty if there is none. */
    public Optional<Instant> pictured(ProjectFile link) {
        return link.isLink() ? pictures.takenAt(link.id().value(), HousePictures.Role.LAST_LOOK) : Optional.empty();
    }

    /** The last picture of where it leads. */
    public HousePicture picture(ProjectFile link) {
        return NotFound.unless(pictures.find(link.id().value(), HousePictures.Role.LAST_LOOK));
    }

    /** Keeps a picture of where it leads now. @throws Refused if it is no picture, or the file no link */
    public void take(ItemId id, String fileName, InputStream content, Actor by) throws IOException {
        ProjectFile link = NotFound.unless(files.find(id).filter(ProjectFile::isLink));
        keepPicture.keep(
                id.value(), HousePictures.Role.LAST_LOOK, "Where “" + link.name() + "” leads", fileName, content, by);
        pictures.taken(id.value(), HousePictures.Role.LAST_LOOK, agency.now());
    }
}
