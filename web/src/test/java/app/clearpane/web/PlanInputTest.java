package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.calendar.Today;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Ending;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.HouseTemplates;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.jobs.TurnTheDay;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.plan.ReviewsFollow;
import app.clearpane.usecases.shell.TheAgency;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** What is typed wrongly, too much of or too late on a plan; on a project of its own that is put away again. */
class PlanInputTest extends DemoHouse {
    @Autowired
    private HouseTemplates templates;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Items items;

    @Autowired
    private TheAgency agency;

    @Autowired
    private ReviewsFollow reviewsFollow;

    @Autowired
    private PlanBook book;

    @Autowired
    private TransactionTemplate transactions;

    @Autowired
    private Records records;

    @Autowired
    private TurnTheDay day;

    private ProjectId project;
    private Visitor ines;
    private Visitor teo;

    @BeforeEach
    void aProjectOfItsOwn() throws Exception {
        Project like = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow();
        project = new ProjectId(UUID.randomUUID());
        projects.open(
                new Project(
                        project,
                        like.client(),
                        like.clientName(),
                        like.manager(),
                        "Plans",
                        "night",
                        "GBP",
                        like.taxPercent(),
                        null,
                        today(),
                        today().plusDays(30),
                        null,
                        null,
                        "",
                        null,
                        "",
                        0,
                        1),
                clock.instant());
        ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        teo = Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
    }

    @AfterEach
    void putAway() {
        projects.archive(projects.find(project).orElseThrow(), Ending.FINISHED, "", clock.instant());
    }

    private HttpResponse<String> post(String path, Map<String, String> form) throws Exception {
        return ines.post(path, ines.token(), form);
    }

    private ItemId task(String line) throws Exception {
        HttpResponse<String> added = post("/t/projects/" + project + "/tasks", Map.of("line", line));
        assertThat(added.statusCode()).as(added.body()).isEqualTo(302);
        return ItemId.of(added.headers().firstValue("Location").orElseThrow().replaceAll(".*#task-", ""));
    }

    private Map<String, String> form(ItemId id) {
        PlannedTask task = tasks.find(id).orElseThrow();
        Map<String, String> form = new HashMap<>(Map.of(
                "name",
                task.name(),
                "doer",
                "us",
                "days",
                String.valueOf(task.task().shape().days()),
                "notBefore",
                "",
                "due",
                "",
                "effort",
                "",
                "phase",
                "",
                "milestone",
                "",
                "priority",
                "USUAL",
                "labels",
                ""));
        form.putAll(Map.of(
                "notes",
                "",
                "again",
                "",
                "remaining",
                "",
                "began",
                "",
                "done",
                "",
                "revision",
                String.valueOf(task.revision())));
        return form;
    }

    @ParameterizedTest(name = "{0} = “{1}”: {2}")
    @CsvSource({
        "name, '', 'The task'",
        "days, 10000, 'from 0 to 2500'",
        "days, -1, 'from 0 to 2500'",
        "days, soon, 'from 0 to 2500'",
        "notBefore, 2027-02-30, 'is not a date'",
        "due, 0001-01-01, '1900 to 9999'",
        "effort, much, 'like 2.5h or 90m'",
        "effort, 0h, 'like 2.5h or 90m'",
        "again, FORTNIGHT, 'none of those that can be chosen'",
        "remaining, 9999, 'from 0 to 2500'",
        "labels, 'a,b,c,d,e,f,g,h,i,j,k,l,m', 'up to 12'"
    })
    void saysWhatCannotBeReadAndKeepsTheTask(String field, String typed, String says) throws Exception {
        ItemId id = task("Draw the posts 3d");
        Map<String, String> form = form(id);
        form.put(field, typed);
        HttpResponse<String> answer = post("/t/tasks/" + id, form);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(says);
        assertThat(tasks.find(id).orElseThrow().task().shape().days()).isEqualTo(3);
    }

    /**
     * What is due so many days before something begins moves with it, and the Record says with what; a deleted one
     * leaves it where it is.
     */
    @Test
    void whatIsDueBeforeSomethingMovesWithIt() throws Exception {
        ItemId print = task("Print the signs 4d");
        ItemId words = task("Send the words");
        Map<String, String> before = form(words);
        before.putAll(Map.of("due", "2027-01-01", "dueHour", "15:00", "dueDays", "2", "dueBefore", print.toString()));
        assertThat(post("/t/tasks/" + words, before).statusCode()).isEqualTo(302);
        LocalDate begins = agency.calendar().rollForward(today());
        assertThat(due(words))
                .isEqualTo(new Due(
                        Optional.of(agency.calendar().workingDaysBefore(begins, 2)),
                        Optional.of(LocalTime.of(15, 0)),
                        Optional.of(new Due.Before(print, 2))));
        assertThat(Texts.of(ines.get("/t/tasks/" + words).body()))
                .contains(", 15:00, 2 working days before “Print the signs” begins");
        LocalDate later = agency.calendar().addWorkingDays(today(), 9);
        Map<String, String> moved = form(print);
        moved.put("notBefore", later.toString());
        assertThat(post("/t/tasks/" + print, moved).statusCode()).isEqualTo(302);
        assertThat(due(words).day()).contains(agency.calendar().workingDaysBefore(later, 2));
        itsMoveIsTold(words, later);
        Map<String, String> itself = form(words);
        itself.putAll(Map.of("dueDays", "1", "dueBefore", words.toString()));
        assertThat(post("/t/tasks/" + words, itself).body()).contains("not in this plan any more");
        post("/t/tasks/" + print + "/delete", Map.of());
        assertThat(due(words).day()).contains(agency.calendar().workingDaysBefore(later, 2));
        assertThat(Texts.of(ines.get("/t/tasks/" + words).body())).contains("not in the plan any more");
    }

    private void itsMoveIsTold(ItemId words, LocalDate later) throws Exception {
        assertThat(told(words, "task.due-moved")
                        .get(told(words, "task.due-moved").size() - 1))
                .startsWith("house")
                .contains(
                        "Print the signs",
                        agency.calendar().workingDaysBefore(later, 2).toString());
    }

    @Test
    void whatComesIntoSightBecauseADueDayMovedOvernightIsToldAsAnArrival() throws Exception {
        ItemId print = task("Print the labels 2d");
        ItemId words = task("Write the labels");
        isDueTheDayBefore(print, words);
        PaneId pane = panes.add(project, "Label makers", "", clock.instant());
        transactions.executeWithoutResult(status -> {
            tasks.dueMoved(words, today().plusDays(60), clock.instant());
            panes.setAperture(pane, ContentKind.TASKS, Aperture.FILTERED);
            panes.setFilters(pane, ContentKind.TASKS, Set.of("DUE_WITHIN_5"));
            panes.publish(panes.find(pane).orElseThrow(), clock.instant());
        });
        try {
            assertThat(told(words, "item.arrived-shown")).isEmpty();
            day.turnTo(agency.day());
            day.turnTo(new Today(agency.today().plusDays(1), agency.calendar()));
            assertThat(told(words, "item.arrived-shown"))
                    .singleElement()
                    .asString()
                    .startsWith("house")
                    .contains("Label makers");
        } finally {
            day.turnTo(agency.day());
            panes.remove(panes.find(pane).orElseThrow());
        }
    }

    private void isDueTheDayBefore(ItemId print, ItemId words) throws Exception {
        Map<String, String> later = form(print);
        later.put("notBefore", agency.calendar().addWorkingDays(today(), 4).toString());
        assertThat(post("/t/tasks/" + print, later).statusCode()).isEqualTo(302);
        Map<String, String> before = form(words);
        before.putAll(Map.of("dueHour", "", "dueDays", "1", "dueBefore", print.toString()));
        assertThat(post("/t/tasks/" + words, before).statusCode()).isEqualTo(302);
    }

    private Due due(ItemId task) {
        return tasks.find(task).orElseThrow().details().by();
    }

    private List<String> told(ItemId item, String act) {
        return records.whole(project.value())
                .filter(line -> line.about().equals(item.value())
                        && line.stored().entry().act().equals(act))
                .map(line -> line.stored().entry().actor() + " "
                        + line.stored().payload().orElseThrow())
                .toList();
    }

    @Test
    void namesTheCircleAndSavesNothing() throws Exception {
        ItemId posts = task("Draw the posts");
        ItemId marks = task("Measure the marks");
        Map<String, String> after = form(marks);
        after.put("after", posts.toString());
        assertThat(post("/t/tasks/" + marks, after).statusCode()).isEqualTo(302);
        Map<String, String> circle = form(posts);
        circle.put("after", marks.toString());
        HttpResponse<String> refused = post("/t/tasks/" + posts, circle);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains("wait for each other")
                .containsAnyOf(
                        "Draw the posts → Measure the marks → Draw the posts",
                        "Measure the marks → Draw the posts → Measure the marks");
        assertThat(tasks.find(posts).orElseThrow().task().shape().after()).isEmpty();
    }

    @Test
    void oneOfTwoWhoDragTheSameTaskIsToldSo() throws Exception {
        ItemId id = task("Draw the posts 2d");
        Map<String, String> drag = Map.of(
                "task",
                id.toString(),
                "from",
                today().plusDays(7).toString(),
                "to",
                today().plusDays(10).toString(),
                "revision",
                "1");
        assertThat(post("/t/projects/" + project + "/plan/shape", drag).statusCode())
                .isEqualTo(302);
        assertThat(teo.post("/t/projects/" + project + "/plan/shape", teo.token(), drag)
                        .statusCode())
                .isEqualTo(409);
        HttpResponse<String> far = post(
                "/t/projects/" + project + "/plan/shape",
                Map.of("task", id.toString(), "from", today().toString(), "to", "9999-12-31", "revision", "2"));
        assertThat(far.statusCode()).isEqualTo(422);
        assertThat(far.body()).contains("1 to 2500 working days");
        assertThat(post(
                                "/t/projects/" + project + "/plan/shape",
                                Map.of("task", id.toString(), "from", "soon", "to", "later", "revision", "2"))
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void saysWhatMovingWouldDoWithoutDoingIt() throws Exception {
        ItemId id = task("Draw the posts 2d");
        String answer = ines.get("/t/tasks/" + id + "/if?from=" + today().plusDays(70) + "&to=" + today().plusDays(80))
                .body();
        assertThat(answer).contains("Draw the posts: ").contains("The finish moves to");
        assertThat(tasks.find(id).orElseThrow().task().shape().days()).isEqualTo(2);
    }

    @Test
    void gathersWhatItsPartsComeTo() throws Exception {
        ItemId whole = task("Panel texts");
        assertThat(post("/t/tasks/" + whole + "/parts", Map.of("line", "Write them 2d"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(post("/t/tasks/" + whole + "/parts", Map.of("line", "Set them"))
                        .statusCode())
                .isEqualTo(302);
        List<PlannedTask> parts = tasks.ofProject(project).stream()
                .filter(task -> task.task().parent().filter(whole::equals).isPresent())
                .toList();
        assertThat(parts).hasSize(2);
        post("/t/tasks/" + parts.get(0).id() + "/stage", Map.of("stage", "DONE"));
        assertThat(tasks.find(whole).orElseThrow().task().stage()).isEqualTo(Stage.UNDER_WAY);
        post("/t/tasks/" + parts.get(1).id() + "/stage", Map.of("stage", "DROPPED"));
        assertThat(tasks.find(whole).orElseThrow().task().stage()).isEqualTo(Stage.DONE);
        assertThat(ines.get("/t/projects/" + project + "/plan?as=lines").body()).contains("Panel texts");
        post("/t/tasks/" + whole + "/delete", Map.of());
        assertThat(ines.get("/t/projects/" + project + "/plan?as=lines").body())
                .as("its parts are gone with it")
                .doesNotContain("Write them");
        post("/t/tasks/" + whole + "/restore", Map.of());
        assertThat(ines.get("/t/projects/" + project + "/plan?as=lines").body()).contains("Write them");
    }

    @Test
    void whatRepeatsComesAgainWhenItIsDone() throws Exception {
        ItemId id = task("Water the models fri");
        Map<String, String> form = form(id);
        form.put("due", LocalDate.of(2027, 3, 5).toString());
        form.putAll(Map.of("again", "WEEK", "every", "2", "on", "FRIDAY", "until", "2027-04-30"));
        assertThat(post("/t/tasks/" + id, form).statusCode()).isEqualTo(302);
        assertThat(ines.get("/t/tasks/" + id).body()).contains("It comes every 2 weeks on Friday, until 30 Apr 2027.");
        post("/t/tasks/" + id + "/stage", Map.of("stage", "DONE"));
        assertThat(tasks.ofProject(project))
                .filteredOn(task -> task.task().stage() == Stage.TO_DO)
                .singleElement()
                .satisfies(next -> assertThat(next.details().due()).hasValue(LocalDate.of(2027, 3, 19)));
    }

    @Test
    void onlyManagersGiveTasksToClients() throws Exception {
        ItemId id = tasks
                .ofProject(projects.active().stream()
                        .filter(one -> one.name().equals("Visitor centre"))
                        .findFirst()
                        .orElseThrow()
                        .id())
                .stream()
                .filter(task -> task.name().equals("Map artwork"))
                .findFirst()
                .orElseThrow()
                .id();
        Map<String, String> form = form(id);
        form.put(
                "doer",
                "c:"
                        + tasks.ofProject(tasks.find(id).orElseThrow().project()).stream()
                                .filter(task -> task.name().equals("Opening hours for the leaflet"))
                                .findFirst()
                                .orElseThrow()
                                .hands()
                                .contact()
                                .orElseThrow());
        HttpResponse<String> refused = teo.post("/t/tasks/" + id, teo.token(), form);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Only managers and owners give tasks");
    }

    @Test
    void restsForAReasonAndGoesOn() throws Exception {
        assertThat(post("/t/projects/" + project + "/pause", Map.of("because", " "))
                        .statusCode())
                .isEqualTo(422);
        assertThat(post("/t/projects/" + project + "/pause", Map.of("because", "The roof leaks."))
                        .statusCode())
                .isEqualTo(302);
        assertThat(ines.get("/t/projects/" + project + "/plan").body())
                .contains("Paused since")
                .contains("The roof leaks.");
        assertThat(post("/t/projects/" + project + "/go-on", Map.of()).statusCode())
                .isEqualTo(302);
        assertThat(ines.get("/t/projects/" + project + "/plan").body()).doesNotContain("Paused since");
    }

    @Test
    void datesAreAgreedOnAndKeptAsPapers() throws Exception {
        task("Draw the posts 4d");
        assertThat(ines.get("/t/projects/" + project + "/slip").body()).contains("Nothing was agreed on yet");
        assertThat(post("/t/projects/" + project + "/agreements", Map.of("finish", "1999-01-01"))
                        .body())
                .contains("before the project’s start");
        assertThat(post(
                                "/t/projects/" + project + "/agreements",
                                Map.of("finish", today().plusDays(20).toString(), "withClient", "true"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(ines.get("/t/projects/" + project + "/slip").body()).contains("No day was lost");
        assertThat(ines.get("/t/projects/" + project + "/slip.csv").body())
                .startsWith("day,client,team,plan change")
                .contains("sum,0,0,0");
        assertThat(ines.get("/t/projects/" + project + "/slip.pdf").body()).startsWith("%PDF");
    }

    @Test
    void thePlanIsHeldAgainstAnEarlierAgreementAndItsDaysAreCountedOn() throws Exception {
        ItemId long1 = task("Cut the plates 5d");
        post(
                "/t/projects/" + project + "/agreements",
                Map.of("finish", today().plusDays(20).toString()));
        Map<String, String> longer = form(long1);
        longer.put("days", "8");
        post("/t/tasks/" + long1, longer);
        post(
                "/t/projects/" + project + "/agreements",
                Map.of("finish", today().plusDays(25).toString()));
        String lines = ines.get("/t/projects/" + project + "/plan?as=lines").body();
        assertThat(lines).contains("against ").contains("No day lost");
        String first = lines.replaceAll("(?s).*<option value=\"([0-9a-f-]{36})\"[^>]*>against .*", "$1");
        assertThat(ines.get("/t/projects/" + project + "/plan?as=lines&against=" + first)
                        .body())
                .contains("3 days lost")
                .containsPattern("reserve \\d+: (\\d+ days? (to spare|late)|on the date agreed)")
                .contains("3 days behind")
                .contains("since=" + first + "&amp;on=true");
        daysAreCountedOn(first);
        assertThat(ines.get("/t/projects/" + project + "/plan?as=lines&against=nothing")
                        .statusCode())
                .isEqualTo(200);
    }

    private void daysAreCountedOn(String first) throws Exception {
        assertThat(ines.get("/t/projects/" + project + "/slip?since=" + first + "&on=true")
                        .body())
                .contains("3 working days were lost")
                .contains("counted on to today all the same")
                .containsPattern("3 less a reserve of \\d+: it ends ");
        assertThat(ines.get("/t/projects/" + project + "/slip?since=" + first).body())
                .contains("this account ended there");
    }

    @Test
    void stepsHaveNamesOfTheTeamsOwnWithinTheStages() throws Exception {
        ItemId id = task("Cut the plates 5d");
        String named = "/t/projects/" + project + "/steps";
        assertThat(post(named, Map.of("IN_CHECK", "read, Read")).body())
                .contains("Two steps are called “Read”")
                .contains("Nothing was changed");
        assertThat(post(named, Map.of("IN_CHECK", "with the proofreader, at the printers", "DONE", "delivered"))
                        .statusCode())
                .isEqualTo(302);
        String columns = ines.get("/t/projects/" + project + "/plan?as=columns").body();
        assertThat(columns)
                .contains("with the proofreader", "at the printers", "delivered", "under way")
                .doesNotContain("in check");
        String printers =
                columns.replaceAll("(?s).*<option value=\"(IN_CHECK\\.[0-9a-f-]{36})\"[^>]*>at the printers.*", "$1");
        HttpResponse<String> moved = post("/t/tasks/" + id + "/stage", Map.of("stage", printers));
        assertThat(moved.headers().firstValue("Location").orElseThrow()).endsWith("&was=TO_DO");
        assertThat(tasks.find(id).orElseThrow().task().stage()).isEqualTo(Stage.IN_CHECK);
        assertThat(ines.get("/t/tasks/" + id).body()).containsPattern("selected=\"selected\">at the printers");
        goesOnAndComesBack(id, printers);
        aStepThatIsGoneIsRefused(id, named, printers);
    }

    private void goesOnAndComesBack(ItemId id, String printers) throws Exception {
        post("/t/tasks/" + id + "/stage", Map.of("stage", "DONE"));
        assertThat(ines.get("/t/tasks/" + id).body()).containsPattern("selected=\"selected\">delivered");
        assertThat(post("/t/tasks/" + id + "/stage", Map.of("stage", printers))
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .contains("&was=DONE.");
    }

    private void aStepThatIsGoneIsRefused(ItemId id, String named, String printers) throws Exception {
        assertThat(post(named, Map.of("IN_CHECK", "with the proofreader")).statusCode())
                .isEqualTo(302);
        assertThat(ines.get("/t/tasks/" + id).body())
                .as("its step is gone")
                .containsPattern("selected=\"selected\">with the proofreader");
        HttpResponse<String> late = post("/t/tasks/" + id + "/stage", Map.of("stage", printers));
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("There is no such step any more");
    }

    @Test
    void aTaskStandsUnderSeveralPhasesAndOnSeveralDesksAndIsTheSameThere() throws Exception {
        Phase concept = new Phase(UUID.randomUUID(), "Concept", today(), today().plusDays(5), Phase.Stage.TO_DO, 1);
        Phase design = new Phase(UUID.randomUUID(), "Design", today(), today().plusDays(9), Phase.Stage.TO_DO, 1);
        projects.addPhase(project, concept, 0);
        projects.addPhase(project, design, 1);
        ItemId id = task("Measure the yard @teo 2d");
        String wanda = ines.get("/t/tasks/" + id)
                .body()
                .replaceAll("(?s).*name=\"alsoMember\" value=\"(m:[0-9a-f-]{36})\"[^>]*> <span>Wanda.*", "$1");
        Map<String, String> form = form(id);
        form.putAll(Map.of(
                "doer",
                "us",
                "phase",
                concept.id().toString(),
                "alsoPhase",
                design.id().toString(),
                "alsoMember",
                wanda));
        assertThat(post("/t/tasks/" + id, form).statusCode()).isEqualTo(302);
        standsInBothPhases(id);
        Visitor herself = Visitor.by(address(), linkOfTeam("wanda@marram-finch.example"));
        assertThat(herself.get("/t?whose=mine").body()).contains("Measure the yard");
        assertThat(ines.get("/t?whose=mine").body()).doesNotContain("Measure the yard");
        post("/t/tasks/" + id + "/stage", Map.of("stage", "DONE"));
        assertThat(herself.get("/t?whose=mine").body()).doesNotContain("Measure the yard");
    }

    private void standsInBothPhases(ItemId id) throws Exception {
        String lines = ines.get("/t/projects/" + project + "/plan?as=lines").body();
        assertThat(lines.split("data-task=\"" + id)).as("in both phases").hasSize(3);
        assertThat(lines.split("id=\"task-" + id)).as("once at its own place").hasSize(2);
        assertThat(lines).contains("also in Design", "also in Concept", "with Wanda Achterberg");
        assertThat(ines.get("/t/projects/" + project + "/plan?as=lines&by=person")
                        .body()
                        .split("data-task=\"" + id))
                .hasSize(3);
        assertThat(ines.get("/t/projects/" + project + "/plan?as=columns&by=phase")
                        .body())
                .contains("Measure the yard");
    }

    @Test
    void aCalendarHoldsWhatItIsForUntilItIsTakenBack() throws Exception {
        task("Draw the posts @ines 4d");
        String page =
                post("/t/calendar/feeds", Map.of("project", project.toString())).body();
        String address = page.replaceAll("(?s).*<code[^>]*>([^<]+)</code>.*", "$1");
        Visitor program = new Visitor(address());
        String path = address.replaceAll("https?://[^/]+", "");
        HttpResponse<String> calendar = program.get(path);
        assertThat(calendar.headers().firstValue("Content-Type").orElse("")).startsWith("text/calendar");
        assertThat(calendar.body()).contains("BEGIN:VCALENDAR").contains("SUMMARY:Draw the posts");
        String revoke = ines.get("/t/calendar")
                .body()
                .replaceAll("(?s).*Plans</td>.*?(/t/calendar/feeds/[0-9a-f-]+/revoke).*", "$1");
        assertThat(post(revoke, Map.of()).statusCode()).isEqualTo(302);
        assertThat(program.get(path).statusCode()).isEqualTo(404);
        assertThat(program.get(path).body())
                .isEqualTo(program.get("/p/calendar/no-such-key").body());
    }

    @Test
    void freeDaysCountForEveryPlanAndNeverAllOfThem() throws Exception {
        LocalDate day = today().plusDays(400);
        assertThat(post("/t/calendar/free", Map.of("day", day.toString(), "name", "Fair day"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(ines.get("/t/calendar").body()).contains("Fair day");
        assertThat(post("/t/calendar/working", Map.of("day", day.toString())).statusCode())
                .isEqualTo(302);
        assertThat(ines.get("/t/calendar").body()).doesNotContain("Fair day");
        assertThat(post("/t/calendar/free", Map.of("day", "soon", "name", "")).statusCode())
                .isEqualTo(422);
    }

    /** What a page says, in the letters it says it in. */
    private String page(String path) throws Exception {
        return new String(ines.get(path).body().getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.UTF_8);
    }

    private String bring(String name, byte[] bytes) throws Exception {
        HttpResponse<String> brought = ines.upload(
                "/t/projects/" + project + "/tables",
                ines.token(),
                name,
                () -> new ByteArrayInputStream(bytes),
                Map.of());
        return brought.statusCode() == 302
                ? brought.headers().firstValue("Location").orElseThrow().replaceAll("https?://[^/]+", "")
                : brought.body();
    }

    @Test
    void aTableIsLookedAtRowByRowBeforeItIsTakenIn() throws Exception {
        String table = sixRows();
        String page = page(table);
        assertThat(page)
                .contains("2 tasks would be added")
                .contains("4 rows left out")
                .contains("nobody here is called “Nobody”")
                .contains("“soon” should be 1 to 2500 working days")
                .contains("“30 Feb” is not a date")
                .contains("Café sign");
        assertThat(tasks.ofProject(project)).isEmpty();
        String others = page(table + "?NAME=1&WHO=-1&DAYS=-1&DUE=-1&PHASE=-1");
        assertThat(others).as("another column as the name").contains("3 tasks would be added");
        assertThat(teo.get(table).statusCode()).as("somebody else’s table").isEqualTo(404);
        assertThat(post(table, Map.of()).statusCode()).isEqualTo(302);
        assertThat(tasks.ofProject(project))
                .extracting(PlannedTask::name)
                .containsExactly("Draw the posts", "Café sign");
        assertThat(tasks.ofProject(project).get(0).hands().name()).isEqualTo("Teo Brandt");
        assertThat(post(table, Map.of()).statusCode()).as("twice").isEqualTo(404);
        assertThat(ines.get("/t/projects/" + project + "/tasks.csv").body())
                .startsWith("Task,Phase,Who")
                .contains("Draw the posts,,Teo Brandt,to do,3,2027-03-24");
    }

    private String sixRows() throws Exception {
        String table = bring(
                "tasks.csv",
                ("Task;Who;Days;Due\r\nDraw the " + "posts;Teo;3;24.3.2027\r\nAsk;Nobody;;\r\n;Teo;;\r\n"
                                + "Cut;;soon;\r\nPaint;;2;30 Feb\r\nCafé sign;;;\r\n")
                        .getBytes("windows-1252"));
        return table;
    }

    @Test
    void aLongTableIsReadAndItsBadRowsAreListed() throws Exception {
        StringBuilder rows = new StringBuilder("Task,Days\n");
        for (int i = 0; i < 50_000; i++) {
            rows.append("Task ").append(i).append(i % 1_000 == 7 ? ",never\n" : ",1\n");
        }
        String page = page(bring("long.csv", rows.toString().getBytes("UTF-8")));
        assertThat(page)
                .contains("49950 tasks would be added")
                .contains("50 rows left out")
                .contains("“never” should be 1 to 2500 working days")
                .contains("Up to 2000 can be taken in at once");
        assertThat(bring("longer.csv", (rows + "one more,1\n").getBytes("UTF-8")))
                .contains("more than 50,000 rows");
        assertThat(bring("empty.csv", new byte[0])).contains("Choose a file first");
        assertThat(bring("picture.csv", "Task".getBytes("UTF-8"))).contains("no row below its first one");
    }

    @Test
    void thePlanFollowsADeliverable() throws Exception {
        ItemId work = items.add(project, ContentKind.DELIVERABLES, "Path signs", Optional.empty(), clock.instant());
        ItemId making = of(work, task("Draw the signs 5d"), "us", "");
        ItemId review = of(work, task("The parish looks 3d"), "them", making.toString());
        ItemId print = of(null, task("Print the signs 4d"), "us", review.toString());
        transactions.executeWithoutResult(
                status -> reviewsFollow.sent(project, work, Optional.empty(), Acting.team("Ines")));
        assertThat(tasks.find(making).orElseThrow().task().stage()).isEqualTo(Stage.DONE);
        assertThat(tasks.find(review).orElseThrow().task().stage()).isEqualTo(Stage.IN_CHECK);
        transactions.executeWithoutResult(
                status -> reviewsFollow.closed(project, work, 1, false, Acting.team("Ottoline")));
        assertThat(tasks.find(review).orElseThrow().task().stage()).isEqualTo(Stage.DONE);
        PlannedTask again = tasks.ofProject(project).stream()
                .filter(task -> task.name().equals("The parish looks, round 2"))
                .findFirst()
                .orElseThrow();
        PlannedTask fix = tasks.ofProject(project).stream()
                .filter(task -> task.name().equals("Changes: The parish looks, round 2"))
                .findFirst()
                .orElseThrow();
        waitsForTheNextRound(print, again, fix);
        endsWhenItIsAgreed(work, again, fix);
    }

    private void waitsForTheNextRound(ItemId print, PlannedTask again, PlannedTask fix) throws Exception {
        assertThat(again.task().side()).isEqualTo(Side.CLIENTS);
        assertThat(again.task().shape().after()).containsExactly(new Task.After(fix.id(), 0));
        assertThat(tasks.find(print).orElseThrow().task().shape().after())
                .as("what waited for the review waits for the next one")
                .containsExactly(new Task.After(again.id(), 0));
    }

    private void endsWhenItIsAgreed(ItemId work, PlannedTask again, PlannedTask fix) throws Exception {
        transactions.executeWithoutResult(
                status -> reviewsFollow.sent(project, work, Optional.empty(), Acting.team("Ines")));
        assertThat(tasks.find(fix.id()).orElseThrow().task().stage()).isEqualTo(Stage.DONE);
        transactions.executeWithoutResult(
                status -> reviewsFollow.closed(project, work, 2, true, Acting.team("Ottoline")));
        assertThat(tasks.find(again.id()).orElseThrow().task().stage()).isEqualTo(Stage.DONE);
        assertThat(tasks.ofProject(project))
                .filteredOn(task -> task.name().contains("round 3"))
                .isEmpty();
    }

    @Test
    void thePlanFollowsWhenAVersionIsRecalled() throws Exception {
        ItemId work = items.add(project, ContentKind.DELIVERABLES, "Gate signs", Optional.empty(), clock.instant());
        ItemId making = of(work, task("Draw the gate 5d"), "us", "");
        ItemId review = of(work, task("The parish looks at the gate 3d"), "them", making.toString());
        LocalDate last = agency.calendar().addWorkingDays(today(), 6);
        transactions.executeWithoutResult(
                status -> reviewsFollow.sent(project, work, Optional.of(last), Acting.team("Ines")));
        assertThat(book.planOf(projects.find(project).orElseThrow()).lastDay(review))
                .as("as long as they were given")
                .isEqualTo(last);
        transactions.executeWithoutResult(status -> reviewsFollow.recalled(project, work, Acting.team("Ines")));
        assertThat(tasks.find(making).orElseThrow().task().stage()).isEqualTo(Stage.UNDER_WAY);
        assertThat(tasks.find(review).orElseThrow().task().stage()).isEqualTo(Stage.TO_DO);
        assertThat(tasks.find(review).orElseThrow().task().actual()).isEqualTo(Task.Actual.NONE);
    }

    private ItemId of(@Nullable ItemId work, ItemId id, String doer, String after) throws Exception {
        Map<String, String> form = form(id);
        form.put("doer", doer);
        form.put("after", after);
        form.put("deliverable", work == null ? "" : work.toString());
        assertThat(post("/t/tasks/" + id, form).statusCode()).isEqualTo(302);
        return id;
    }

    @Test
    void aProjectOpenedWithItsUsualTasksEndsOnItsAgreedDay() throws Exception {
        Map<String, String> form = formOfBridgePlates();
        String opened =
                post("/t/projects", form).headers().firstValue("Location").orElseThrow();
        ProjectId id = ProjectId.of(opened.replaceAll(".*/projects/([^/]+)/.*", "$1"));
        try {
            String plan = page("/t/projects/" + id + "/plan?as=lines");
            assertThat(plan)
                    .contains("Write the brief")
                    .contains("Send words and pictures")
                    .contains("client, not sent")
                    .containsAnyOf("On course for", "On course: forecast");
            assertThat(tasks.ofProject(id))
                    .hasSizeGreaterThan(8)
                    .filteredOn(task -> task.details().milestone().isPresent())
                    .hasSize(1);
            assertThat(page("/t/projects/" + id + "/plan?as=time")).contains("Print and bind");
            assertThat(page("/t/projects/" + id + "/plan?as=month&month=9999-12"))
                    .contains("Mon");
            assertThat(page("/t/projects/" + id + "/plan?as=lines&who=nobody&phase=x&month=x"))
                    .contains("Nothing passes these filters");
        } finally {
            projects.archive(projects.find(id).orElseThrow(), Ending.FINISHED, "", clock.instant());
        }
    }

    private Map<String, String> formOfBridgePlates() throws Exception {
        LocalDate finish = today().plusDays(91);
        Map<String, String> form = new HashMap<>(Map.of(
                "client",
                "Lower Brede Parish",
                "name",
                "Bridge plates",
                "cover",
                "mill",
                "currency",
                "GBP",
                "tax",
                "20",
                "startsOn",
                today().toString(),
                "agreedOn",
                finish.toString(),
                "template",
                templates.all().stream()
                        .filter(kept -> kept.template().name().equals("Something printed"))
                        .findFirst()
                        .orElseThrow()
                        .id()
                        .toString()));
        form.putAll(Map.of("contacts", "", "tasks", "true"));
        return form;
    }

    private HttpResponse<String> openLike(String like) throws Exception {
        String form = "client=Penwether Observatory Trust&name=Input, again&cover=night&currency=GBP&tax=20&startsOn="
                + "&agreedOn=2027-11-26&template=LIKE&contacts=&like=";
        return post("/t/projects", Visitor.fields(form + like));
    }

    @Test
    void aProjectThatIsToBeLikeAnotherNeedsOne() throws Exception {
        assertThat(openLike("").body()).contains("Choose the project that it is to be like");
    }

    @Test
    void aProjectIsOpenedLikeAnEarlierOneCountedBackFromItsFinish() throws Exception {
        Project earlier = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow();
        String location = openLike(earlier.id().toString())
                .headers()
                .firstValue("Location")
                .orElseThrow();
        ProjectId again = ProjectId.of(location.replaceAll(".*/projects/([0-9a-f-]+)/.*", "$1"));
        String dates = ines.get("/t/projects/" + again + "/plan?as=dates").body();
        Project opened = projects.find(again).orElseThrow();
        List<String> phases = projects.phases(again).stream().map(Phase::name).toList();
        List<PlannedTask> copies = tasks.ofProject(again);
        projects.archive(opened, Ending.FINISHED, "", clock.instant());
        WorkingCalendar days = agency.calendar();
        assertThat(days.workingDays(opened.startsOn(), opened.agreedOn().plusDays(1)))
                .isEqualTo(
                        days.workingDays(earlier.startsOn(), earlier.agreedOn().plusDays(1)));
        assertThat(dates).contains("value=\"looked over here, on the spot\"");
        assertThat(phases)
                .isEqualTo(
                        projects.phases(earlier.id()).stream().map(Phase::name).toList());
        areAsNew(copies, tasks.ofProject(earlier.id()));
    }

    private static int dependencies(List<PlannedTask> tasks) {
        return tasks.stream()
                .mapToInt(task -> task.task().shape().after().size())
                .sum();
    }

    private static void areAsNew(List<PlannedTask> copies, List<PlannedTask> all) {
        List<PlannedTask> originals = all.stream()
                .filter(task -> task.task().stage() != Stage.DROPPED)
                .toList();
        assertThat(copies)
                .extracting(PlannedTask::name)
                .containsExactlyInAnyOrderElementsOf(
                        originals.stream().map(PlannedTask::name).toList());
        assertThat(copies).allSatisfy(task -> {
            assertThat(task.task().stage()).isEqualTo(Stage.TO_DO);
            assertThat(task.hands()).isEqualTo(PlannedTask.Hands.NOBODY);
        });
        assertThat(dependencies(copies)).isPositive().isEqualTo(dependencies(originals));
    }
}
