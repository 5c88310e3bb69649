package app.clearpane.usecases.files;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.FileActs;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.files.client.VisibleFiles;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Tells chosen people of the client's of a file that they see, with a line of words. */
@Component
public class TellOfFile {
    private static final int LONGEST = 1_000;
    private final Items items;
    private final Seats seats;
    private final Viewers viewers;
    private final VisibleFiles visible;
    private final WriteToContact toContact;
    private final TheAgency agency;
    private final AuditLog audit;

    TellOfFile(
            Items items,
            Seats seats,
            Viewers viewers,
            VisibleFiles visible,
            WriteToContact toContact,
            TheAgency agency,
            AuditLog audit) {
        this.items = items;
        this.seats = seats;
        this.viewers = viewers;
        this.visible = visible;
        this.toContact = toContact;
        this.agency = agency;
        this.audit = audit;
    }

    /** A seat through which somebody sees the file. */
    private record Seeing(SeatRow seat, ProjectFile file) {}

    /**
     * Mails them. @throws app.clearpane.usecases.shell.Refused if nobody was chosen, or somebody does not see it;
     * nobody was told then
     */
    @Transactional
    public void tell(ItemId id, Set<ContactId> whom, String words, Person by) {
        ProjectId project = NotFound.unless(items.find(id)).project();
        Input input = new Input();
        String said = input.text("Your words", words, LONGEST);
        input.require(!whom.isEmpty(), "Tick who is to be told.");
        List<SeatRow> seated = seats.ofProject(project);
        List<Seeing> told = new ArrayList<>();
        for (ContactId contact : whom) {
            Optional<Seeing> seeing = seeing(seated, contact, id);
            seeing.ifPresent(told::add);
            input.require(
                    seeing.isPresent(), "One of them does not see it, so nobody was told. Look again at who sees it.");
        }
        input.allGood();
        told.forEach(one -> write(one, said, by));
        Seeing first = told.get(0);
        List<String> names = told.stream().map(one -> one.seat().name()).toList();
        audit.append(
                project,
                id.value(),
                new FileActs.FileTold(by.actor(), first.file().name(), names, said));
    }

    private Optional<Seeing> seeing(List<SeatRow> seated, ContactId contact, ItemId id) {
        return seated.stream()
                .filter(seat -> seat.contact().equals(contact) && seat.state() != SeatState.ENDED)
                .flatMap(seat -> viewers
                        .lookingThrough(seat.id(), Viewer.Sight.NOW, agency.now())
                        .flatMap(viewer -> visible.find(viewer, id))
                        .map(file -> new Seeing(seat, file))
                        .stream())
                .findFirst();
    }

    private void write(Seeing one, String said, Person by) {
        String name = one.file().name();
        seats.invited(one.seat().id(), agency.now());
        toContact.write(
                one.seat().contact(),
                new WriteToContact.Note(
                        "Look at “" + name + "”",
                        Stream.of(said, by.fullName() + " would like you to look at “" + name + "”.")
                                .filter(paragraph -> !paragraph.isEmpty())
                                .toList(),
                        "Look at it",
                        "/c/panes/" + one.seat().pane() + "/files/" + one.file().id()));
    }
}
