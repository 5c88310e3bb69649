package app.clearpane.core.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.plan.WorkingCalendar;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PhaseTemplateTest {
  private static final WorkingCalendar DAYS = WorkingCalendar.weekdays(ZoneOffset.UTC);
  private static final LocalDate START = LocalDate.of(2027, 3, 6);

  @ParameterizedTest
  @EnumSource(PhaseTemplate.class)
  void fillsTheWorkingDaysWithoutGapOrOverlap(PhaseTemplate template) {
    for (int length = 0; length < 200; length += 7) {
      List<PhaseTemplate.Laid> laid = template.layOut(START, START.plusDays(length), DAYS);
      assertThat(laid).extracting(PhaseTemplate.Laid::name).containsExactlyElementsOf(template.phases());
      assertThat(laid.get(0).startsOn()).isEqualTo(LocalDate.of(2027, 3, 8));
      for (int i = 0; i < laid.size(); i++) {
        assertThat(laid.get(i).endsOn()).isAfterOrEqualTo(laid.get(i).startsOn());
        if (i > 0) {
          assertThat(laid.get(i).startsOn()).isEqualTo(DAYS.rollForward(laid.get(i - 1).endsOn().plusDays(1)));
        }
      }
      if (length > 21) {
        assertThat(laid.get(laid.size() - 1).endsOn()).isBeforeOrEqualTo(START.plusDays(length));
      }
    }
  }

  @ParameterizedTest
  @EnumSource(PhaseTemplate.class)
  void laysItsTasksOverTheSameDays(PhaseTemplate template) {
    for (int length = 60; length < 400; length += 13) {
      LocalDate finish = START.plusDays(length);
      List<PhaseTemplate.LaidTask> tasks = template.tasks(START, finish, DAYS);
      int all = tasks.stream().mapToInt(PhaseTemplate.LaidTask::days).sum();
      assertThat(all).isEqualTo(DAYS.workingDays(START, finish.plusDays(1)));
      for (PhaseTemplate.Laid phase : template.layOut(START, finish, DAYS)) {
        assertThat(tasks.stream().filter(task -> task.phase().equals(phase.name())).mapToInt(PhaseTemplate.LaidTask::days).sum()).isEqualTo(DAYS.workingDays(phase.startsOn(), phase.endsOn().plusDays(1)));
      }
      assertThat(tasks).extracting(PhaseTemplate.LaidTask::days).allMatch(days -> days >= 1);
    }
    assertThat(template.tasks(START, START, DAYS)).extracting(PhaseTemplate.LaidTask::days).containsOnly(1);
  }

  @Test
  void refusesAFinishBeforeTheStart() {
    assertThatIllegalArgumentException().isThrownBy(() -> PhaseTemplate.PRINTED.layOut(START, START.minusDays(1), DAYS));
  }
}
