package app.clearpane.usecases.supply;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.files.Folder;
import app.clearpane.core.project.Project;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.usecases.plan.RequestsFollow;
import app.clearpane.usecases.post.PossibleRecipients;
import java.util.List;
import org.springframework.stereotype.Component;

/** What can be chosen where something is asked for: who is asked, and where it goes. */
@Component
public class RequestChoices {
    private final PossibleRecipients recipients;
    private final ProjectFiles files;
    private final RequestsFollow requestsFollow;

    RequestChoices(PossibleRecipients recipients, ProjectFiles files, RequestsFollow requestsFollow) {
        this.recipients = recipients;
        this.files = files;
        this.requestsFollow = requestsFollow;
    }

    /** All of it. @param folders where accepted files may go @param plan the activities it may have to do with */
    public record Choices(List<Contact> contacts, List<Folder> folders, RequestsFollow.Activities plan) {}

    public Choices read(Project project) {
        return new Choices(
                recipients.possible(project), files.folders(project.id()), requestsFollow.activities(project));
    }
}
