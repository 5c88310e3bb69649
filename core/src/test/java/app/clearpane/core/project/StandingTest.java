package app.clearpane.core.project;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StandingTest {
  @ParameterizedTest(name = "archived {0}, paused {1}, begun {2}; {3} items, {4} open, {5} in check, {6} touched, {7} critical, {8} at the client: {9}")
  @CsvSource({"true, true, true, 3, 3, 0, 0, 1, 1, ARCHIVED", "false, true, true, 0, 0, 0, 0, 0, 0, PAUSED", "false, false, true, 0, 0, 0, 0, 0, 0, TO_BE_PLANNED", "false, false, false, 3, 0, 0, 3, 0, 0, COMPLETE",
      "false, false, false, 3, 3, 0, 0, 1, 0, NOT_STARTED", "false, false, false, 3, 3, 0, 1, 1, 0, UNDER_WAY", "false, false, true, 3, 2, 0, 1, 2, 2, WAITING_ON_THE_CLIENT", "false, false, true, 3, 2, 2, 1, 2, 1, IN_REVIEW",
      "false, false, true, 3, 2, 1, 1, 2, 1, UNDER_WAY", "false, false, true, 3, 1, 1, 1, 0, 0, IN_REVIEW"})
  void isTheFirstThatApplies(boolean archived, boolean paused, boolean begun, int items, int open, int inCheck, int touched, int critical, int atClient, Standing standing) {
    assertThat(Standing.of(new Standing.Facts(archived, paused, begun, items, open, inCheck, touched, critical, atClient))).isEqualTo(standing);
  }

  @ParameterizedTest(name = "complete {0}, {1} days after, past {2}, least float {3}: {4}")
  @CsvSource({"true, 0, true, 0, FINISHED_ON_TIME", "true, -2, true, 0, FINISHED_ON_TIME", "true, 1, true, 0, FINISHED_LATE", "false, 0, true, 9, LATE", "false, 1, false, 9, AT_RISK", "false, 0, false, 1, AT_RISK",
      "false, 0, false, 2, ON_COURSE", "false, -3, false, 2147483647, ON_COURSE"})
  void saysHowItStandsAgainstTheAgreedFinish(boolean complete, int daysAfter, boolean past, int leastFloat, Timing timing) {
    assertThat(Timing.of(new Timing.Facts(complete, daysAfter, past, leastFloat))).isEqualTo(timing);
  }
}
