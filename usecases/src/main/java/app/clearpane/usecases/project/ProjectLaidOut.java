package app.clearpane.usecases.project;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.UsualSupply;
import java.util.List;

/**
 * A project was opened and laid out, within the transaction that does it.
 *
 * @param supply what its kind of work needs of the client
 * @param contacts those it was opened with
 */
public record ProjectLaidOut(ProjectId project, UsualSupply supply, List<ContactId> contacts, Actor by) {
    public ProjectLaidOut {
        contacts = List.copyOf(contacts);
    }
}
