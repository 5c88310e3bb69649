package app.clearpane.usecases.supply;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.RequestsFollow;
import app.clearpane.usecases.post.PossibleRecipients;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What can be chosen where something is asked for: who is asked, until when, and where it goes. */
@Component
public class RequestChoices {
    private final PossibleRecipients recipients;
    private final ProjectFiles files;
    private final Tasks tasks;
    private final Deliverables deliverables;
    private final RequestsFollow requestsFollow;

    RequestChoices(
            PossibleRecipients recipients,
            ProjectFiles files,
            Tasks tasks,
            Deliverables deliverables,
            RequestsFollow requestsFollow) {
        this.recipients = recipients;
        this.files = files;
        this.tasks = tasks;
        this.deliverables = deliverables;
        this.requestsFollow = requestsFollow;
    }

    /**
     * All of it.
     *
     * @param places where accepted files may go
     * @param plan the activities it may have to do with
     */
    public record Choices(List<Contact> contacts, List<Place> places, RequestsFollow.Activities plan) {}

    /** Where accepted files may go. @param words how it is called */
    public record Place(ItemId id, String words) {}

    public Choices read(Project project) {
        return new Choices(recipients.possible(project), places(project.id()), requestsFollow.activities(project));
    }

    /** Folders, then tasks that are to be done, then deliverables. */
    List<Place> places(ProjectId project) {
        return Stream.of(
                        files.folders(project).stream()
                                .map(folder -> new Place(folder.id(), "into the folder “" + folder.name() + "”")),
                        tasks.ofProject(project).stream()
                                .filter(task -> task.task().stage().open()
                                        && task.details().request().isEmpty())
                                .map(task -> new Place(task.id(), "beside the task “" + task.name() + "”")),
                        deliverables.ofProject(project).stream()
                                .map(work -> new Place(work.id(), "as a draft of “" + work.name() + "”")))
                .flatMap(places -> places)
                .toList();
    }
}
