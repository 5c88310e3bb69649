package app.clearpane.usecases.said;

import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.people.Actor;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.files.Seal;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.post.WriteMail;
import app.clearpane.usecases.shell.TheAgency;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Tells a guest by mail what became of their note, as long as the link by which they came opens and leads to it. */
@Component
public class TellGuest {
    private final Markups markups;
    private final LinkSeats links;
    private final Seal seal;
    private final WriteMail mail;
    private final TheAgency agency;
    private final WhoReads whoReads;

    TellGuest(Markups markups, LinkSeats links, Seal seal, WriteMail mail, TheAgency agency, WhoReads whoReads) {
        this.whoReads = whoReads;
        this.markups = markups;
        this.links = links;
        this.seal = seal;
        this.mail = mail;
        this.agency = agency;
    }

    /**
     * Writes that it was answered or fixed. @param done what was done to it, as "fixed it"; empty if something was only
     * said
     */
    public void writeTo(Mark mark, String said, Optional<String> done, CallByName.Where where, Actor by) {
        if (mark.party() == MarkupProgress.Party.GUEST && !where.forTeam()) {
            markups.guestOf(mark.id())
                    .filter(guest -> whoReads.readsByLink(guest.link(), where))
                    .ifPresent(guest -> links.sealedAddress(guest.link())
                            .flatMap(kept -> seal.open(kept, LinkSeats.purpose(guest.link())))
                            .ifPresent(address -> mail.toOutside(
                                    guest.name(),
                                    guest.email(),
                                    TellCalled.answered(
                                            mark,
                                            said,
                                            done,
                                            where,
                                            by,
                                            address,
                                            agency.get().name()))));
        }
    }
}
