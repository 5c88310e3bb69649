package app.clearpane.usecases.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Slip;
import app.clearpane.core.plan.SlipLedger;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.plan.PlanText;
import app.clearpane.store.plan.Agreements;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SlipBookTest {
    private static final LocalDate MONDAY = LocalDate.of(2027, 3, 1);
    private static final ItemId CONCEPT = new ItemId(UUID.fromString("11111111-1111-4111-8111-111111111111"));
    private final Agreements agreements = mock(Agreements.class);
    private final TheAgency agency = mock(TheAgency.class);

    private static String plan(int days, Stage stage, Task.Actual actual) {
        Task concept = new Task(
                CONCEPT,
                Optional.empty(),
                "Concept",
                Side.OURS,
                new Task.Shape(days, Optional.empty(), List.of(), OptionalInt.empty()),
                stage,
                actual);
        return new PlanText(MONDAY, Set.of(), false, List.of(concept), Map.of()).write();
    }

    /**
     * The plan of ten days is made two longer on a day; the account tells it on that day, or on the working day after.
     */
    @ParameterizedTest(name = "changed on {0}: told on {1}")
    @CsvSource({"2027-03-05, 2027-03-05", "2027-03-06, 2027-03-08", "2027-03-07, 2027-03-08", "2027-03-08, 2027-03-08"})
    void aChangeOnAFreeDayCountsOnTheNextWorkingDay(LocalDate changed, LocalDate told) {
        Task.Actual began = new Task.Actual(Optional.of(MONDAY), Optional.empty(), Optional.empty());
        TreeMap<LocalDate, String> days = new TreeMap<>(
                Map.of(MONDAY, plan(10, Stage.UNDER_WAY, began), changed, plan(12, Stage.UNDER_WAY, began)));
        ProjectPlan plan = mock(ProjectPlan.class);
        Project project = mock(Project.class);
        when(plan.project()).thenReturn(project);
        when(plan.today()).thenReturn(LocalDate.of(2027, 3, 10));
        when(project.id()).thenReturn(new ProjectId(UUID.randomUUID()));
        when(agency.calendar()).thenReturn(WorkingCalendar.weekdays(ZoneOffset.UTC));
        when(agreements.days(any(), any())).thenReturn(days);
        Agreements.Agreement agreement = new Agreements.Agreement(
                UUID.randomUUID(),
                LocalDate.of(2027, 3, 15),
                MONDAY,
                Actor.kept("Ines"),
                true,
                plan(10, Stage.TO_DO, Task.Actual.NONE));
        SlipLedger ledger =
                new SlipBook(agreements, agency).since(plan, agreement, Optional.of(LocalDate.of(2027, 3, 10)));
        assertThat(ledger.sum()).isEqualTo(new Slip(0, 0, 2));
        assertThat(ledger.days().stream().filter(day -> day.slip().planChange() != 0))
                .extracting(SlipLedger.Day::on)
                .containsExactly(told);
        assertThat(ledger.reserve()).isEqualTo(1);
        assertThat(ledger.late()).isEqualTo(1);
    }
}
