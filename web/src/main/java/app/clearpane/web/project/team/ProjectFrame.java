package app.clearpane.web.project.team;

import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.project.ProjectState;
import app.clearpane.core.turns.TurnTally;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.project.StandingWords;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Words;
import app.clearpane.web.shell.frame.ActiveProjects;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The band with a project's name, the sentence that says how it stands, and its places. */
@Component
public class ProjectFrame {
    private final Projects projects;
    private final ActiveProjects workedOn;
    private final PlanBook plans;
    private final StandingWords standings;
    private final Words words;

    ProjectFrame(Projects projects, ActiveProjects workedOn, PlanBook plans, StandingWords standings, Words words) {
        this.projects = projects;
        this.workedOn = workedOn;
        this.plans = plans;
        this.standings = standings;
        this.words = words;
    }

    /**
     * What the band shows.
     *
     * @param place the place one is at
     */
    public record Frame(Project project, String sentence, String place) {}

    /** Puts a project's band above a page. @throws NotFound if there is no such project */
    public Project above(Model model, ProjectId id, String place) {
        Project project = workedOn.projects().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseGet(() -> NotFound.unless(projects.find(id)));
        model.addAttribute(
                "frame", new Frame(project, sentence(project, plans.planOf(project), workedOn.in(project)), place));
        return project;
    }

    /** How a project stands, in one sentence or two. */
    public String sentence(Project project, ProjectPlan plan, TurnTally turns) {
        ProjectState standing = plan.standing(turns);
        int waiting = turns.allClients();
        String atClient = words.count(waiting, "thing", "things");
        Optional<String> own = standings.own(standing).map(ProjectFrame::capital);
        if (own.isPresent()) {
            return own.get()
                    + (standing == ProjectState.PAUSED
                            ? ", since " + words.dayOf(Objects.requireNonNull(project.pausedAt())) + ": "
                                    + project.pausedBecause()
                            : (waiting > 0 ? ", with " + atClient + " at the client. " : ". ")
                                    + timing(plan, standing));
        }
        return switch (standing) {
            case ARCHIVED -> ended(project);
            case PAUSED ->
                "Paused since " + words.dayOf(Objects.requireNonNull(project.pausedAt())) + ": "
                        + project.pausedBecause();
            case TO_BE_PLANNED -> "To be planned. " + timing(plan, standing);
            case COMPLETE -> "Complete. " + timing(plan, standing);
            case NOT_STARTED ->
                (project.startsOn().isAfter(plan.today())
                                ? "Starts on "
                                : waiting > 0
                                        ? "Nothing is begun yet, with " + atClient
                                                + " at the client; it was to start on "
                                        : "Nothing is sent or begun yet; it was to start on ")
                        + words.day(project.startsOn()) + ". " + timing(plan, standing);
            case WAITING_ON_THE_CLIENT -> "Waiting on the client for " + atClient + ". " + timing(plan, standing);
            case IN_REVIEW ->
                "In review" + (waiting > 0 ? ", with " + atClient + " at the client" : "") + ". "
                        + timing(plan, standing);
            case UNDER_WAY ->
                "Under way" + (waiting > 0 ? ", with " + atClient + " at the client" : "") + ". "
                        + timing(plan, standing);
        };
    }

    private static String capital(String text) {
        return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }

    /** How a project ended that was put away, in a sentence. */
    public String ended(Project project) {
        String how = Objects.requireNonNull(project.ended()).word();
        return capital(how) + ", and put away on " + words.dayOf(Objects.requireNonNull(project.archivedAt()))
                + (project.endedBecause().isEmpty() ? "." : ": " + project.endedBecause());
    }

    private String timing(ProjectPlan plan, ProjectState standing) {
        int after = plan.daysAfterAgreed();
        String days = words.count(Math.abs(after), "working day", "working days");
        String agreed = words.day(plan.agreedFinish());
        return switch (plan.timing(standing)) {
            case FINISHED_ON_TIME ->
                plan.isPlanned()
                        ? "Finished on time, on " + words.day(plan.finish()) + "."
                        : "Agreed for " + agreed + ".";
            case FINISHED_LATE -> "Finished " + days + " late, on " + words.day(plan.finish()) + ".";
            case LATE ->
                plan.isPlanned()
                        ? "Late: agreed for " + agreed + ", forecast " + words.day(plan.finish()) + ", " + days
                                + " after."
                        : "Late: agreed for " + agreed + ".";
            case AT_RISK ->
                after > 0
                        ? "Forecast " + words.day(plan.finish()) + ", " + days + " after the date agreed."
                        : "At risk: something is behind, and there is hardly a day to spare before " + agreed + ".";
            case ON_COURSE ->
                !plan.isPlanned()
                        ? "Agreed for " + agreed + "."
                        : after == 0
                                ? "On course for " + agreed + ", the date agreed."
                                : "On course: forecast " + words.day(plan.finish()) + ", " + days
                                        + " before the date agreed.";
        };
    }
}
