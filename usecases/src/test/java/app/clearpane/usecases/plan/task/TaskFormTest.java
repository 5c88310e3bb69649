package app.clearpane.usecases.plan.task;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.Priority;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Refused;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A task as it is typed: what is read, and what is said of each thing that cannot be. */
class TaskFormTest {
    private static final ItemId BEFORE = new ItemId(UUID.fromString("0190c0de-0000-7000-8000-000000000001"));

    private static TaskForm form(Map<String, String> typed) {
        return form(typed, List.of(), List.of());
    }

    private static TaskForm form(Map<String, String> typed, List<String> after, List<String> lag) {
        Map<String, String> all = new HashMap<>(Map.of("name", "Draw the map", "days", "3", "priority", "USUAL"));
        all.putAll(typed);
        return new TaskForm(
                of(all, "name"),
                "",
                of(all, "days"),
                of(all, "notBefore"),
                of(all, "effort"),
                of(all, "phase"),
                of(all, "milestone"),
                of(all, "priority"),
                of(all, "labels"),
                of(all, "notes"),
                of(all, "remaining"),
                after,
                lag,
                of(all, "began"),
                of(all, "done"),
                null,
                null,
                null,
                1);
    }

    private static String of(Map<String, String> typed, String field) {
        return typed.getOrDefault(field, "");
    }

    private static DueForm due(Map<String, String> typed) {
        return new DueForm(typed.get("due"), typed.get("dueHour"), typed.get("dueDays"), typed.get("dueBefore"));
    }

    private static List<String> wrong(TaskForm form, Stage stage) {
        return wrong(form, stage, DueForm.NONE);
    }

    private static List<String> wrong(TaskForm form, Stage stage, DueForm due) {
        Refused refused = catchThrowableOfType(Refused.class, () -> form.read(stage, due, AgainForm.ONCE));
        return refused == null ? List.of() : refused.sentences();
    }

    @ParameterizedTest(name = "“{0}” is {1} minutes")
    @CsvSource({
        "2.5h, 150",
        "'2,5 h', 150",
        "2h, 120",
        "90m, 90",
        "1h 30m, 90",
        "1h30m, 90",
        "1H 30M, 90",
        "' 1 h  5 m ', 65",
        "0.1h, 6",
        "0h, 0",
        "0m, 0",
        "'', 0",
        "2, 0",
        "h, 0",
        "2.55h, 0",
        "-1h, 0",
        "30m 1h, 0",
        "99999h, 5999940",
        "100000h, 0",
        "two hours, 0"
    })
    void anEstimateIsHoursAndMinutes(String typed, int minutes) {
        assertThat(app.clearpane.core.plan.Effort.minutes(typed)).isEqualTo(minutes);
    }

    @Test
    void whatIsTypedIsRead() {
        Map<String, String> typed = allFieldsTyped();
        assertThat(form(typed, List.of(BEFORE.toString(), "", BEFORE.toString()), List.of("2", "9", "5"))
                        .read(Stage.UNDER_WAY, due(typed), rule("rrule:freq=weekly;byday=fr")))
                .isEqualTo(new TaskForm.Read(
                        "Draw the map",
                        4,
                        Optional.of(LocalDate.of(2027, 3, 1)),
                        Due.on(LocalDate.of(2027, 3, 5)),
                        OptionalInt.of(90),
                        Priority.HIGH,
                        List.of("print", "map"),
                        "One.\nTwo.",
                        "FREQ=WEEKLY;BYDAY=FR",
                        OptionalInt.of(2),
                        List.of(new Task.After(BEFORE, 2)),
                        Optional.of(LocalDate.of(2027, 3, 2)),
                        Optional.empty(),
                        new TaskForm.Where(
                                Optional.of(BEFORE.value()), Optional.of(BEFORE), Optional.empty(), List.of())));
    }

    private Map<String, String> allFieldsTyped() {
        Map<String, String> typed = new HashMap<>(Map.of(
                "days",
                " 4 ",
                "notBefore",
                "2027-03-01",
                "due",
                "2027-03-05",
                "effort",
                "1h 30m",
                "priority",
                "HIGH",
                "labels",
                " print, map ,print,, ",
                "notes",
                "One.\r\nTwo.",
                "remaining",
                "2",
                "began",
                "2027-03-02"));
        typed.putAll(Map.of("phase", BEFORE.toString(), "milestone", BEFORE.toString()));
        return typed;
    }

    /**
     * So many working days before something begins beats a day that was left in its field; without a number it is
     * refused.
     */
    @Test
    void aTaskIsDueBeforeSomethingBegins() {
        Map<String, String> typed =
                Map.of("due", "2027-03-05", "dueHour", "15:00", "dueDays", "3", "dueBefore", BEFORE.toString());
        assertThat(form(Map.of()).read(Stage.TO_DO, due(typed), AgainForm.ONCE).due())
                .isEqualTo(new Due(
                        Optional.empty(), Optional.of(LocalTime.of(15, 0)), Optional.of(new Due.Before(BEFORE, 3))));
        assertThat(form(Map.of())
                        .read(Stage.TO_DO, due(Map.of("due", "2027-03-05", "dueHour", "15:00")), AgainForm.ONCE)
                        .due()
                        .hour())
                .contains(LocalTime.of(15, 0));
        assertThat(wrong(form(Map.of()), Stage.TO_DO, due(Map.of("dueBefore", BEFORE.toString()))))
                .containsExactly("Working days before: “” should be a whole number from 0 to 2500.");
    }

    @Test
    void theDayItWasDoneCountsOnlyOnceItIs() {
        Map<String, String> days = Map.of("began", "2027-03-05", "done", "2027-03-04");
        assertThat(form(days)
                        .read(Stage.UNDER_WAY, DueForm.NONE, AgainForm.ONCE)
                        .done())
                .isEmpty();
        assertThat(wrong(form(days), Stage.DONE))
                .containsExactly("It was done before it began. Change one of the two days.");
        assertThat(form(Map.of("began", "2027-03-05", "done", "2027-03-05"))
                        .read(Stage.DONE, DueForm.NONE, AgainForm.ONCE)
                        .done())
                .hasValue(LocalDate.of(2027, 3, 5));
    }

    @ParameterizedTest(name = "{0} “{1}”: {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "name      | ''                        | The task: A name is needed.",
                "days      | -1                        | Working days: “-1” should be a whole number from 0 to 2500.",
                "days      | 2501                      | Working days: “2501” should be a whole number from 0 to 2500.",
                "days      | two                       | Working days: “two” should be a whole number from 0 to 2500.",
                "notBefore | 2027-02-30                | Not before: “2027-02-30” is not a date. Choose one, or "
                        + "type it as 2027-03-24.",
                "due       | Friday                    | Due: “Friday” is not a date. Choose one, or type it as "
                        + "2027-03-24.",
                "dueHour   | noon                      | The hour it is due: “noon” is not an hour like 15:00.",
                "dueHour   | 15:00                     | Due: an hour needs a day, or something it is due before.",
                "dueBefore | Printing                  | What it is due before: “Printing” is none of those that "
                        + "can be chosen.",
                "began     | 1066-10-14                | Began: “1066-10-14” lies outside the years 1900 to 9999.",
                "effort    | a while                   | Estimate: “a while” is not a time like 2.5h or 90m.",
                "effort    | 0h                        | Estimate: “0h” is not a time like 2.5h or 90m.",
                "remaining | -2                        | Days remaining: “-2” should be a whole number from 0 to 2500.",
                "priority  | HUGE                      | Priority: “HUGE” is none of those that can be chosen.",
                "priority  | ''                        | Priority: “” is none of those that can be chosen.",
                "phase     | Design                    | The phase: “Design” is none of those that can be chosen.",
                "milestone | Opening                   | The milestone: “Opening” is none of those that can be chosen.",
                "labels    | a,b,c,d,e,f,g,h,i,j,k,l,m | Labels: up to 12, each of up to 40 characters.",
                "labels    | fortyonefortyonefortyonefortyonefortyonef | Labels: up to 12, each of up to 40 characters."
            })
    void whatCannotBeReadIsSaid(String field, String typed, String sentence) {
        assertThat(wrong(form(Map.of(field, typed)), Stage.TO_DO, due(Map.of(field, typed))))
                .containsExactly(sentence);
    }

    private static AgainForm rule(String typed) {
        return new AgainForm("RULE", null, null, null, null, null, typed);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "-|-|-|-|-|''",
                "WEEK|2|FRIDAY|-|2027-06-04|FREQ=WEEKLY;INTERVAL=2;BYDAY=FR;UNTIL=20270604",
                "WEEK|-|-|-|-|FREQ=WEEKLY",
                "MONTH|1|FRIDAY|-|-|FREQ=MONTHLY",
                "MONTH|1|FRIDAY|-1|-|FREQ=MONTHLY;BYDAY=-1FR",
                "YEAR|1|FRIDAY|2|-|FREQ=YEARLY"
            })
    void whatIsChosenBecomesARule(String unit, String every, String day, String nth, String until, String rule) {
        Input input = new Input();
        assertThat(new AgainForm(unit, every, day == null ? null : List.of(day), nth, day, until, "").rule(input))
                .isEqualTo(rule);
        input.allGood();
        if (!rule.isEmpty()) {
            AgainForm again = AgainForm.of(rule);
            assertThat(again.rule(input)).as("and comes back as it was").isEqualTo(rule);
        }
    }

    @ParameterizedTest(name = "{0} {1} {2} {3}: {4}")
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "FORTNIGHT|1|-|-|Comes again: “FORTNIGHT” is none of those that can be chosen.",
                "WEEK|0|-|-|Comes again every: “0” should be a whole number from 1 to 366.",
                "WEEK|1|SOMEDAY|-|The days of the week: “SOMEDAY” is none of those that can be chosen.",
                "MONTH|1|MONDAY|9|Which of them in the month: “9” is none of those that can be chosen.",
                "MONTH|1|SOMEDAY|1|The day of the week: “SOMEDAY” is none of those that can be chosen."
            })
    void whatCannotBeChosenIsSaid(String unit, String every, String day, String nth, String sentence) {
        Input input = new Input();
        new AgainForm(unit, every, day == null ? null : List.of(day), nth, day, "", "").rule(input);
        assertThat(catchThrowableOfType(Refused.class, input::allGood).sentences())
                .containsExactly(sentence);
        Input other = new Input();
        rule("every Friday").rule(other);
        assertThat(catchThrowableOfType(Refused.class, other::allGood).sentences())
                .containsExactly("Comes again: “every Friday” is not a rule like FREQ=WEEKLY;BYDAY=FR.");
    }

    @Test
    void allThatIsWrongIsSaidAtOnce() {
        TaskForm form = form(
                Map.of("name", " ", "days", "x", "due", "x", "effort", "x", "notes", "x".repeat(8_001)),
                List.of("nowhere", BEFORE.toString()),
                List.of("0", "2501"));
        assertThat(wrong(form, Stage.TO_DO, due(Map.of("due", "x"))))
                .containsExactly(
                        "The task: A name is needed.",
                        "Working days: “x” should be a whole number from 0 to 2500.",
                        "Due: “x” is not a date. Choose one, or type it as 2027-03-24.",
                        "Estimate: “x” is not a time like 2.5h or 90m.",
                        "What it waits for: “nowhere” is none of those that can be chosen.",
                        "Days between: “2501” should be a whole number from 0 to 2500.",
                        "The notes: 8,000 characters are allowed; this has 8,001.");
    }
}
