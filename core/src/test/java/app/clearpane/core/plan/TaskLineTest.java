package app.clearpane.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.LocalDate;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TaskLineTest {
    private static final LocalDate MONDAY = LocalDate.of(2027, 3, 1);

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "Draw the map @teo 3d fri, Draw the map, teo, 3, 2027-03-05",
        "Call the printers tomorrow, Call the printers, , , 2027-03-02",
        "Proofs +3d, Proofs, , , 2027-03-04",
        "Proofs +6d @wanda, Proofs, wanda, , 2027-03-09",
        "Fri 2d, Fri, , 2, ",
        "Tomorrow, Tomorrow, , , ",
        "Fish on fri mon, Fish on fri, , , 2027-03-08",
        "Cut the 3d letters, Cut the 3d letters, , , ",
        "Launch 2027-05-24, Launch, , , 2027-05-24",
        "Launch 2027-02-30, Launch 2027-02-30, , , ",
        "Ask Wednesday Monday, Ask Wednesday, , , 2027-03-08",
        "Wait 0d, Wait 0d, , , ",
        "Wait 2501d, Wait 2501d, , , ",
        "Look today, Look, , , 2027-03-01",
        "Mail me@here, Mail me@here, , , ",
        "Two @a @b, Two @a, b, , ",
        "Long 2d 3d, Long 2d, , 3, "
    })
    void readsWhoHowLongAndUntilWhen(String line, String name, String who, Integer days, LocalDate due) {
        TaskLine read = TaskLine.parse(line, MONDAY, Plans.LINE.calendar());
        assertThat(read.name()).isEqualTo(name);
        assertThat(read.who().orElse(null)).isEqualTo(who);
        assertThat(read.days().isPresent() ? read.days().getAsInt() : null).isEqualTo(days);
        assertThat(read.due().orElse(null)).isEqualTo(due);
    }

    @ParameterizedTest(name = "“{0}”")
    @ValueSource(strings = {"", "   ", "@teo 3d fri"})
    void wantsAName(String line) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> TaskLine.parse(line, MONDAY, Plans.LINE.calendar()))
                .withMessageContaining("say what is to be done");
    }
}
