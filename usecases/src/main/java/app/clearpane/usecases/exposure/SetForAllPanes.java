package app.clearpane.usecases.exposure;

import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.core.record.event.ShowingActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.AgencyApertures;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Sets what holds for all panes: the most that any may let through, and what those let through that follow the starting
 * point. Both work at once.
 */
@Component
public class SetForAllPanes {
    private static final int LONGEST_RULES = 2_000;
    private final AgencyApertures apertures;
    private final People people;
    private final EverywhereSeen seen;
    private final TheAgency agency;
    private final AuditLog audit;
    private final Clock clock;

    SetForAllPanes(
            AgencyApertures apertures,
            People people,
            EverywhereSeen seen,
            TheAgency agency,
            AuditLog audit,
            Clock clock) {
        this.apertures = apertures;
        this.people = people;
        this.seen = seen;
        this.agency = agency;
        this.audit = audit;
        this.clock = clock;
    }

    /** The ceiling of a kind. @param sure whether what follows for everybody was confirmed */
    @Transactional
    public void ceiling(ContentKind kind, Aperture aperture, boolean sure, Actor by) {
        pickableOrWhole(kind, aperture);
        seen.change(sure, "Set the ceiling", () -> apertures.setCeiling(kind, aperture, by, clock.instant()));
        tell(Act.CEILING_SET, kind, aperture, by);
    }

    /** What panes let through of a kind that follow the starting point. */
    @Transactional
    public void startingPoint(ContentKind kind, Aperture aperture, boolean sure, Actor by) {
        pickableOrWhole(kind, aperture);
        seen.change(
                sure, "Set the starting point", () -> apertures.setStartingPoint(kind, aperture, by, clock.instant()));
        tell(Act.STARTING_POINT_SET, kind, aperture, by);
    }

    /** Names the filters of a kind whose ceiling is Filtered. */
    @Transactional
    public void ceilingFilters(ContentKind kind, String folders, boolean sure, Actor by) {
        seen.change(sure, "Set the ceiling", () -> apertures.setCeilingFolders(kind, FolderNames.parse(kind, folders)));
        audit.appendOfAgency(
                agency.get().id(),
                new ShowingActs.CeilingFolders(
                        by, agency.get().name(), kind, String.join(", ", FolderNames.parse(kind, folders))));
    }

    /** Names the filters of a kind whose starting point is Filtered. */
    @Transactional
    public void startingFilters(ContentKind kind, String folders, boolean sure, Actor by) {
        seen.change(
                sure,
                "Set the starting point",
                () -> apertures.setStartingFolders(kind, FolderNames.parse(kind, folders)));
        audit.appendOfAgency(
                agency.get().id(),
                new ShowingActs.StartingPointFolders(
                        by, agency.get().name(), kind, String.join(", ", FolderNames.parse(kind, folders))));
    }

    /** Says how everybody works together; it stands in the guide of every pane. */
    @Transactional
    public void houseRules(String typed, Actor by) {
        Input input = new Input();
        String rules = input.text("The house rules", typed, LONGEST_RULES);
        input.allGood();
        people.setHouseRules(rules);
        audit.appendOfAgency(
                agency.get().id(), new PeopleActs.HouseRulesSet(by, agency.get().name(), rules));
    }

    /** Lets the clients' people be given tasks, or not. */
    @Transactional
    public void clientsDoTasks(boolean may, boolean sure, Actor by) {
        seen.change(
                sure,
                may ? "Let clients be given tasks" : "Give clients no tasks",
                () -> people.setClientsDoTasks(may));
        audit.appendOfAgency(
                agency.get().id(),
                new PeopleActs.ClientsAndTasks(
                        may ? Act.CLIENTS_DO_TASKS : Act.CLIENTS_DO_NO_TASKS,
                        by,
                        agency.get().name()));
    }

    static void pickableOrWhole(ContentKind kind, Aperture aperture) {
        if (!kind.apertures().contains(aperture)) {
            throw Refused.because(
                    kind.pickable()
                            ? "There are no filters for this kind; choose Picked, and pick."
                            : "Status is open or closed as a whole; there is nothing in it to pick.");
        }
    }

    private void tell(Act act, ContentKind kind, Aperture aperture, Actor by) {
        audit.appendOfAgency(
                agency.get().id(),
                new ShowingActs.ForAllPanesSet(act, by, agency.get().name(), kind, aperture));
    }
}
