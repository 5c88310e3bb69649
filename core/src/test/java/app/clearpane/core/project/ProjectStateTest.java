package app.clearpane.core.project;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProjectStateTest {
    @ParameterizedTest(
            name = "archived {0}, paused {1}; {2} items, {3} open, {4} in check, {5} touched, {6} critical, {7} "
                    + "at the client: {8}")
    @CsvSource({
        "true, true, 3, 3, 0, 0, 1, 1, ARCHIVED",
        "false, true, 0, 0, 0, 0, 0, 0, PAUSED",
        "false, false, 0, 0, 0, 0, 0, 0, TO_BE_PLANNED",
        "false, false, 3, 0, 0, 3, 0, 0, COMPLETE",
        "false, false, 3, 3, 0, 0, 1, 0, NOT_STARTED",
        "false, false, 3, 3, 0, 1, 1, 0, UNDER_WAY",
        "false, false, 3, 2, 0, 1, 2, 2, WAITING_ON_THE_CLIENT",
        "false, false, 3, 2, 2, 1, 2, 1, IN_REVIEW",
        "false, false, 3, 2, 1, 1, 2, 1, UNDER_WAY",
        "false, false, 3, 1, 1, 1, 0, 0, IN_REVIEW"
    })
    void isTheFirstThatApplies(
            boolean archived,
            boolean paused,
            int items,
            int open,
            int inCheck,
            int touched,
            int critical,
            int atClient,
            ProjectState standing) {
        assertThat(ProjectState.of(
                        new ProjectState.Facts(archived, paused, items, open, inCheck, touched, critical, atClient)))
                .isEqualTo(standing);
    }

    @ParameterizedTest(name = "complete {0}, {1} days after, past {2}, least float {3}: {4}")
    @CsvSource({
        "true, 0, true, 0, FINISHED_ON_TIME",
        "true, -2, true, 0, FINISHED_ON_TIME",
        "true, 1, true, 0, FINISHED_LATE",
        "false, 0, true, 9, LATE",
        "false, 1, false, 9, AT_RISK",
        "false, 0, false, 1, AT_RISK",
        "false, 0, false, 2, ON_COURSE",
        "false, -3, false, 2147483647, ON_COURSE"
    })
    void saysHowItStandsAgainstTheAgreedFinish(
            boolean complete, int daysAfter, boolean past, int leastFloat, Timing timing) {
        assertThat(Timing.of(new Timing.Facts(complete, daysAfter, past, leastFloat)))
                .isEqualTo(timing);
    }
}
