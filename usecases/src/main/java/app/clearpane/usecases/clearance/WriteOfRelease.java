package app.clearpane.usecases.clearance;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.store.clearance.Releases;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.post.WriteMail;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.util.List;
import org.springframework.stereotype.Component;

/** Writes to whoever is handed a release. */
@Component
class WriteOfRelease {
    private final WriteMail mail;
    private final TheAgency agency;
    private final Words words;
    private final Lasting lasting;
    private final HouseSettings house;

    WriteOfRelease(WriteMail mail, TheAgency agency, Words words, Lasting lasting, HouseSettings house) {
        this.mail = mail;
        this.agency = agency;
        this.words = words;
        this.lasting = lasting;
        this.house = house;
    }

    void write(Releases.Recipient recipient, Deliverable deliverable, Version version, String address) {
        mail.toOutside(
                recipient.name(),
                recipient.email(),
                new Letter(
                        "Released: " + deliverable.name() + ", " + version.called(),
                        List.of(
                                agency.get().name() + " has released " + deliverable.name() + ", " + version.called()
                                        + ", for you: " + version.fileName() + ", " + words.size(version.size()) + ".",
                                "The link is yours. It works until " + lasting.dayOf(recipient.expiresAt())
                                        + ", and we see how often it was used."),
                        "Get the file",
                        address.replace(house.address() + "/p/", house.address() + "/p/releases/"),
                        agency.get().name()));
    }
}
