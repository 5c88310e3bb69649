package app.clearpane.core.plan;

import static app.clearpane.core.plan.Plans.LINE;
import static app.clearpane.core.plan.Plans.START;
import static app.clearpane.core.plan.Plans.begun;
import static app.clearpane.core.plan.Plans.done;
import static app.clearpane.core.plan.Plans.id;
import static app.clearpane.core.plan.Plans.ours;
import static app.clearpane.core.plan.Plans.worked;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.calendar.Timeline;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SlipLedgerTest {
    private static final LocalDate AGREED = LocalDate.of(2027, 3, 30);
    private static final Timeline EASTER = new Timeline(
            new WorkingCalendar(
                    WorkingCalendar.weekdays(ZoneOffset.UTC).hours(),
                    Set.of(LocalDate.of(2027, 3, 26), LocalDate.of(2027, 3, 29)),
                    ZoneOffset.UTC),
            START);

    /**
     * The worked story as known on a morning: all as planned, but the review came back on 24 March and the artwork is
     * found to take a day more on the way.
     */
    private static SlipLedger.State known(LocalDate morning) {
        List<Task> tasks = new ArrayList<>(worked());
        happened(tasks, morning, 0, START, LocalDate.of(2027, 3, 5));
        happened(tasks, morning, 1, LocalDate.of(2027, 2, 26), LocalDate.of(2027, 3, 3));
        happened(tasks, morning, 2, LocalDate.of(2027, 3, 8), LocalDate.of(2027, 3, 17));
        happened(tasks, morning, 3, LocalDate.of(2027, 3, 17), LocalDate.of(2027, 3, 24));
        happened(tasks, morning, 4, LocalDate.of(2027, 3, 25), LocalDate.of(2027, 4, 2));
        Map<ItemId, Side> holders = morning.isAfter(LocalDate.of(2027, 3, 17))
                ? Map.of(id("R"), Side.CLIENTS, id("B"), Side.CLIENTS)
                : Map.of(id("B"), Side.CLIENTS);
        return new SlipLedger.State(morning, EASTER, new Network(tasks), holders, false);
    }

    private static void happened(List<Task> tasks, LocalDate morning, int at, LocalDate began, LocalDate ended) {
        tasks.set(
                at,
                ended.isBefore(morning)
                        ? done(tasks.get(at), began, ended)
                        : began.isBefore(morning) ? begun(tasks.get(at), began) : tasks.get(at));
    }

    private static List<SlipLedger.State> until(LocalDate last) {
        List<SlipLedger.State> states = new ArrayList<>();
        for (int offset = 0; !EASTER.day(offset).isAfter(last); offset++) {
            states.add(known(EASTER.day(offset)));
        }
        return states;
    }

    @Test
    void splitsTheWorkedStory() {
        SlipLedger ledger = SlipLedger.of(until(LocalDate.of(2027, 4, 5)), AGREED);
        assertThat(ledger.reserve()).isZero();
        assertThat(ledger.sum()).isEqualTo(new Slip(2, 1, 0));
        assertThat(ledger.days().get(ledger.days().size() - 1).finish()).isEqualTo(LocalDate.of(2027, 4, 2));
        assertThat(ledger.days().stream().filter(day -> day.slip().total() != 0))
                .extracting(
                        SlipLedger.Day::on, day -> day.because().orElseThrow().name())
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(LocalDate.of(2027, 3, 22), "R"),
                        org.assertj.core.groups.Tuple.tuple(LocalDate.of(2027, 3, 23), "R"),
                        org.assertj.core.groups.Tuple.tuple(LocalDate.of(2027, 4, 1), "Dd"));
    }

    @Test
    void countsDaysThatNobodyCouldWorkOnForNobody() {
        assertThat(SlipLedger.of(until(LocalDate.of(2027, 3, 22)), AGREED).sum())
                .isEqualTo(Slip.NONE);
    }

    @Test
    void callsAnEditAChangeOfThePlan() {
        SlipLedger.State before =
                new SlipLedger.State(START, LINE, new Network(List.of(ours("A", 5))), Map.of(), false);
        SlipLedger.State after = new SlipLedger.State(
                START.plusDays(1), LINE, new Network(List.of(begun(ours("A", 8), START))), Map.of(), false);
        assertThat(SlipLedger.of(List.of(before, after), START.plusDays(8)).sum())
                .isEqualTo(new Slip(0, 0, 3));
        assertThat(SlipLedger.of(List.of(before, after), START.plusDays(8)).reserve())
                .isEqualTo(2);
    }

    @Test
    void callsARestAChangeOfThePlan() {
        SlipLedger.State before = new SlipLedger.State(START, LINE, new Network(List.of(ours("A", 5))), Map.of(), true);
        SlipLedger.State after =
                new SlipLedger.State(START.plusDays(1), LINE, new Network(List.of(ours("A", 5))), Map.of(), true);
        assertThat(SlipLedger.of(List.of(before, after), START).sum()).isEqualTo(new Slip(0, 0, 1));
    }

    @Test
    void callsAHolidayAChangeOfThePlan() {
        SlipLedger.State before = new SlipLedger.State(START, LINE, new Network(worked()), Map.of(), false);
        List<Task> later = new ArrayList<>(worked());
        later.set(0, begun(later.get(0), START));
        SlipLedger.State after = new SlipLedger.State(START.plusDays(1), EASTER, new Network(later), Map.of(), false);
        SlipLedger ledger = SlipLedger.of(List.of(before, after), AGREED);
        assertThat(ledger.sum())
                .as("what was to be done two days before the agreed day is done on it")
                .isEqualTo(new Slip(0, 0, 2));
        assertThat(ledger.reserve()).as("as it was when it was agreed").isEqualTo(2);
        assertThat(ledger.planned()).isEqualTo(LocalDate.of(2027, 3, 26));
    }

    @ParameterizedTest(name = "holidays taken away: {0}")
    @ValueSource(booleans = {true, false})
    void holidaysMoveTheFinishAndNeverTheReserve(boolean away) {
        List<Task> later = new ArrayList<>(worked());
        later.set(0, begun(later.get(0), START));
        SlipLedger ledger = SlipLedger.of(
                List.of(
                        new SlipLedger.State(START, EASTER, new Network(worked()), Map.of(), false),
                        new SlipLedger.State(
                                START.plusDays(1), away ? LINE : EASTER, new Network(later), Map.of(), false)),
                AGREED);
        assertThat(ledger.reserve()).isZero();
        assertThat(ledger.sum()).isEqualTo(new Slip(0, 0, away ? -2 : 0));
    }

    @Test
    void aReviewThatIsOpenedAgainIsTheirs() {
        List<Task> shut = List.of(
                done(Plans.clients("R", 3), LocalDate.of(2027, 2, 26), LocalDate.of(2027, 3, 3)), ours("Dd", 4, "R"));
        List<Task> open = List.of(begun(Plans.clients("R", 3), LocalDate.of(2027, 2, 26)), ours("Dd", 4, "R"));
        LocalDate thursday = LocalDate.of(2027, 3, 4);
        SlipLedger ledger = SlipLedger.of(
                List.of(
                        new SlipLedger.State(thursday, LINE, new Network(shut), Map.of(), false),
                        new SlipLedger.State(
                                thursday.plusDays(1), LINE, new Network(open), Map.of(id("R"), Side.CLIENTS), false)),
                AGREED);
        assertThat(ledger.sum()).isEqualTo(new Slip(2, 0, 0));
    }

    @Test
    void aPlanKnowsWhatWasDoneSinceAndNotWhatWasChangedOfIt() {
        SlipLedger.State friday = new SlipLedger.State(
                START, LINE, new Network(List.of(ours("A", 5), ours("B", 2, "A"))), Map.of(), false);
        SlipLedger.State saturday = new SlipLedger.State(
                START,
                LINE,
                new Network(List.of(begun(ours("A", 8), START), ours("C", 2, "A"))),
                Map.of(id("A"), Side.CLIENTS),
                true);
        SlipLedger.State both = friday.knowing(saturday);
        assertThat(both.activities().activities()).containsExactly(begun(ours("A", 5), START), ours("B", 2, "A"));
        assertThat(both.holders()).isEqualTo(saturday.holders());
        assertThat(both.paused()).isFalse();
    }

    @Test
    void needsAMorning() {
        assertThatIllegalArgumentException().isThrownBy(() -> SlipLedger.of(List.of(), AGREED));
    }

    /** A project as it goes: tasks begin, are handed over, are done, are changed, come and go. */
    private static List<SlipLedger.State> story(Random random) {
        List<Task> tasks = new ArrayList<>(Plans.random(random, 8));
        Map<ItemId, Side> holders = new HashMap<>();
        List<SlipLedger.State> states = new ArrayList<>();
        int added = 100;
        for (int day = 0; day < 40; day++) {
            states.add(new SlipLedger.State(LINE.day(day), LINE, new Network(tasks), holders, random.nextInt(12) == 0));
            for (int i = 0; i < tasks.size(); i++) {
                Task task = tasks.get(i);
                if (task.stage() == Stage.TO_DO && !task.milestone() && random.nextInt(8) == 0) {
                    tasks.set(i, begun(task, LINE.day(day)));
                    holders.put(task.id(), task.side());
                } else if (task.stage() == Stage.UNDER_WAY && random.nextInt(5) == 0) {
                    tasks.set(i, done(task, task.actual().began().orElseThrow(), LINE.day(day)));
                } else if (random.nextInt(30) == 0 && !task.milestone()) {
                    tasks.set(i, Plans.shaped(task, 1 + random.nextInt(6), Optional.empty(), OptionalInt.empty()));
                }
            }
            if (random.nextInt(10) == 0) {
                tasks.add(ours(
                        "t" + added++,
                        1 + random.nextInt(4),
                        tasks.get(random.nextInt(tasks.size())).name()));
            }
        }
        return states;
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {11, 12, 13, 14, 15, 16})
    void addsUpToTheWholeMovement(long seed) {
        Random random = new Random(seed);
        for (int round = 0; round < 40; round++) {
            List<SlipLedger.State> states = story(random);
            SlipLedger ledger = SlipLedger.of(states, AGREED);
            SlipLedger.State last = states.get(states.size() - 1);
            int agreed = Forecast.of(states.get(0).activities(), LINE, 0).finish();
            int today = Forecast.of(last.activities(), LINE, LINE.offset(last.morning()))
                    .finish();
            assertThat(ledger.sum().total()).isEqualTo(today - agreed);
            assertThat(ledger.reserve()).isEqualTo(LINE.offsetAfter(AGREED) - agreed);
            assertThat(ledger.days()).hasSize(states.size() - 1);
        }
    }
}
