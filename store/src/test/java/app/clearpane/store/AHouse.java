package app.clearpane.store;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.project.Projects;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;

/** An agency with one project, for tests to build on. */
public final class AHouse {
    public static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    public final DSLContext db;
    public final ProjectId project = new ProjectId(UUID.randomUUID());
    private final ClientId client;

    /** The day of {@link #NOW}, a Wednesday. */
    public static Today today() {
        return new Today(LocalDate.of(2027, 3, 24), WorkingCalendar.weekdays(ZoneId.of("Europe/London")));
    }

    public AHouse(DSLContext db) {
        this.db = db;
        People people = new People(db);
        people.found(new Name("Marram & Finch"), ZoneId.of("Europe/London"), NOW);
        TeamMember ines =
                people.addMember(new Name("Ines"), new EmailAddress("ines@marram.example"), TeamRole.MANAGER, "", NOW);
        client = people.clientNamed(new Name("Penwether"), NOW);
        new Projects(db)
                .open(
                        new Project(
                                project,
                                client,
                                "Penwether",
                                ines.id(),
                                "Visitor centre",
                                "night",
                                "GBP",
                                BigDecimal.TEN,
                                null,
                                LocalDate.of(2027, 3, 1),
                                LocalDate.of(2027, 6, 1),
                                null,
                                null,
                                "",
                                null,
                                "",
                                0,
                                1),
                        NOW);
    }

    public Contact contact(String name) {
        return new People(db)
                .addContact(client, new Name(name), new EmailAddress(name + "@penwether.example"), "", NOW);
    }

    public PaneId pane(String name) {
        return new Panes(db).add(project, name, "", NOW);
    }

    public ItemId deliverable(String name, PaneId pane) {
        ItemId item = new Items(db, AHouse::today).add(project, ContentKind.DELIVERABLES, name, Optional.empty(), NOW);
        new Deliverables(db).add(item, pane, "", app.clearpane.core.signoff.SigningTerms.USUAL);
        return item;
    }

    /** A signatory with the lead voice, seated at a pane of which nobody knows more. */
    public static Viewer viewer(ContactId contact, ProjectId project, boolean byLink) {
        return new Viewer(
                contact,
                "",
                new SeatId(UUID.randomUUID()),
                SeatRole.SIGNATORY,
                true,
                new PaneId(UUID.randomUUID()),
                project,
                Map.of(),
                Map.of(),
                Viewer.Sight.NOW,
                false,
                byLink ? Optional.of("Paint shop") : Optional.empty(),
                false,
                null,
                1,
                Optional.empty(),
                today());
    }
}
