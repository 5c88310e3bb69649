package app.clearpane.web.supply;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.supply.Request;
import app.clearpane.core.turns.Turn;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What is asked of clients stands in the plan, and what needs it waits for it. */
class RequestInPlanTest extends AtARequest {
    @Autowired
    private Tasks tasks;

    @Autowired
    private TaskFiles taskFiles;

    @Autowired
    private PlanBook book;

    @Autowired
    private TheAgency agency;

    private PlannedTask press;

    @BeforeEach
    void somethingThatNeedsIt() throws Exception {
        Optional<LocalDate> notBefore = Optional.of(agency.calendar().addWorkingDays(today(), 10));
        Task.Shape later = new Task.Shape(3, notBefore, List.of(), OptionalInt.empty());
        press = changed(task("Go to press " + UUID.randomUUID() + " 3d"), Side.OURS, later);
    }

    @AfterEach
    void restore() throws Exception {
        ines().sends("/t/tasks/" + press.id() + "/stage", "stage=DROPPED&before=TO_DO");
    }

    private PlannedTask task(String line) throws Exception {
        ines().sends("/t/projects/" + mill() + "/tasks", "line=" + line);
        return tasks.ofProject(mill()).stream()
                .filter(one -> line.startsWith(one.name()))
                .findFirst()
                .orElseThrow();
    }

    private PlannedTask changed(PlannedTask task, Side side, Task.Shape shape) {
        Task was = task.task();
        tasks.change(
                task.with(new Task(was.id(), was.parent(), was.name(), side, shape, was.stage(), was.actual())),
                clock.instant());
        return tasks.find(task.id()).orElseThrow();
    }

    private Request neededFor(PlannedTask task, int days) throws Exception {
        return drafts("a photograph", Map.of("needed", task.id().toString(), "before", "" + days));
    }

    private ProjectPlan plan() {
        return book.fresh(mill());
    }

    private Optional<PlannedTask> activity(Request request) {
        return tasks.ofProject(mill()).stream()
                .filter(task -> task.details().request().equals(Optional.of(request.id())))
                .findFirst();
    }

    private Stage stage(Request request) {
        return activity(request).orElseThrow().task().stage();
    }

    @Test
    void whatIsNeededBeforeSomethingBeginsIsDueThenAndHoldsItUp() throws Exception {
        LocalDate begins = plan().firstDay(press.id());
        Request draft = neededFor(press, 3);
        PlannedTask stands = activity(draft).orElseThrow();
        assertThat(stands.name()).isEqualTo(draft.title());
        assertThat(panes.isHeldBackEverywhere(stands.id()))
                .as("only those who are asked know of it")
                .isTrue();
        assertThat(tasks.find(press.id()).orElseThrow().task().shape().after())
                .containsExactly(new Task.After(stands.id(), 2));
        assertThat(plan().firstDay(press.id())).as("there is time").isEqualTo(begins);
        String page = text(ines().get("/t/projects/" + mill() + "/requests").body());
        assertThat(page).contains("3 working days before it is needed", "“" + press.name() + "” waits for it");
        assertThat(text(ines().get("/t/tasks/" + stands.id()).body())).contains("It stands for what was asked");
        ines().sends("/t/requests/" + draft.id() + "/send", "");
        LocalDate last = agency.calendar().workingDaysBefore(begins, 3);
        assertThat(now(draft).sent().orElseThrow().due())
                .isEqualTo(agency.calendar().closes(last));
        assertThat(plan().lastDay(stands.id())).isEqualTo(last);
    }

    @Test
    void theActivityMovesWithTheRequest() throws Exception {
        Request request = neededFor(press, 1);
        assertThat(stage(request)).isEqualTo(Stage.TO_DO);
        ines().sends("/t/requests/" + request.id() + "/send", "");
        assertThat(stage(request)).isEqualTo(Stage.UNDER_WAY);
        assertThat(ProjectPlan.isClientsTurn(activity(request).orElseThrow())).isTrue();
        gives(imre(), request, request.title() + ".jpg", jpeg(31, 17));
        assertThat(now(request).turn()).isEqualTo(Turn.OURS);
        assertThat(stage(request)).isEqualTo(Stage.IN_CHECK);
        assertThat(ProjectPlan.isClientsTurn(activity(request).orElseThrow())).isFalse();
        ines().sends("/t/given/" + last(request).id() + "/again", "why=Too small");
        assertThat(stage(request)).isEqualTo(Stage.UNDER_WAY);
        gives(imre(), request, request.title() + ".jpg", jpeg(37, 19));
        ines().sends("/t/given/" + last(request).id() + "/accept", "");
        assertThat(stage(request)).isEqualTo(Stage.DONE);
        assertThat(activity(request).orElseThrow().task().actual().done()).contains(today());
    }

    @Test
    void anActivityThatIsThereStandsForItAndStaysWhenTheDraftIsTakenAway() throws Exception {
        PlannedTask added = task("Pictures " + UUID.randomUUID() + " 4d");
        PlannedTask theirs = changed(added, Side.CLIENTS, added.task().shape());
        Request draft = drafts("a photograph", Map.of("plan", theirs.id().toString()));
        assertThat(activity(draft)).map(PlannedTask::id).contains(theirs.id());
        ines().sends("/t/requests/" + draft.id() + "/discard", "");
        PlannedTask left = tasks.find(theirs.id()).orElseThrow();
        assertThat(left.details().follows()).isEmpty();
        assertThat(left.task().stage()).isEqualTo(Stage.TO_DO);
        Request own = drafts("a photograph", Map.of("plan", "own"));
        PlannedTask made = activity(own).orElseThrow();
        ines().sends("/t/requests/" + own.id() + "/discard", "");
        assertThat(tasks.find(made.id()).orElseThrow().task().stage()).isEqualTo(Stage.DROPPED);
        ines().sends("/t/tasks/" + theirs.id() + "/stage", "stage=DROPPED&before=TO_DO");
    }

    @Test
    void whatIsAcceptedLiesBesideTheTaskThatNeedsIt() throws Exception {
        Request request = accepted(press.id(), jpeg(41, 23));
        assertThat(taskFiles.filesOf(press.id()))
                .singleElement()
                .satisfies(file ->
                        assertThat(file.sha256()).isEqualTo(last(request).sha256()))
                .satisfies(file -> assertThat(file.teamOnly()).isTrue());
    }

    @Test
    void whatIsAcceptedBecomesADraftOfADeliverable() throws Exception {
        ItemId work = deliverable(ines(), "Made of what they gave", "ALL");
        Request request = accepted(work, jpeg(43, 23));
        Version draft = deliverables.versions(work).stream()
                .filter(version -> version.sha256().equals(last(request).sha256()))
                .findFirst()
                .orElseThrow();
        assertThat(draft.draft()).isTrue();
    }

    private Request accepted(ItemId goesTo, byte[] picture) throws Exception {
        Request draft = drafts("a photograph", Map.of("folder", goesTo.toString()));
        ines().sends("/t/requests/" + draft.id() + "/send", "");
        gives(imre(), draft, draft.title() + ".jpg", picture);
        ines().sends("/t/given/" + last(draft).id() + "/accept", "");
        assertThat(now(draft).isDone()).isTrue();
        return draft;
    }

    @Test
    void whatIsWithdrawnHoldsNothingUp() throws Exception {
        Request request = neededFor(press, 1);
        ines().sends("/t/requests/" + request.id() + "/send", "");
        ines().sends("/t/requests/" + request.id() + "/withdraw", "reason=We found one");
        assertThat(stage(request)).isEqualTo(Stage.DROPPED);
    }

    @Test
    void whatCannotBeIsSaid() throws Exception {
        String at = "/t/projects/" + mill() + "/requests";
        String form = "title=Late&wanted=a+photograph&needed=" + press.id() + "&before=";
        assertThat(text(ines().sends(at, form + "200").body())).contains("before it begins is past");
        assertThat(text(ines().sends(at, form + "soon").body())).contains("The working days before");
        assertThat(text(ines().sends(at, "title=Late&wanted=a+photograph&needed=" + UUID.randomUUID())
                        .body()))
                .contains("is not in the plan any more");
        Request draft = neededFor(press, 1);
        ines().sends("/t/tasks/" + press.id() + "/stage", "stage=UNDER_WAY&before=TO_DO");
        assertThat(text(ines().sends("/t/requests/" + draft.id() + "/send", "").body()))
                .contains("What it is needed for has begun");
        assertThat(now(draft).sent()).isEmpty();
    }
}
