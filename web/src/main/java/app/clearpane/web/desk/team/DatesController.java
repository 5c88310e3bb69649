package app.clearpane.web.desk.team;

import app.clearpane.store.agency.People;
import app.clearpane.store.plan.Agreements;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;

/** The calendar over all projects: by month, or four weeks at a time. */
@TeamController
@ForOutsideMakers
class DatesController {
    private static final int WEEKS = 4;
    /** How many things one day of a month shows before it says how many more there are. */
    private static final int MOST_OF_A_DAY = 5;

    private final AcrossProjects across;
    private final Windows windows;
    private final People people;
    private final Agreements agreements;
    private final TheAgency agency;

    DatesController(AcrossProjects across, Windows windows, People people, Agreements agreements, TheAgency agency) {
        this.across = across;
        this.windows = windows;
        this.people = people;
        this.agreements = agreements;
        this.agency = agency;
    }

    /**
     * What is asked for; what is left out is everything.
     *
     * @param as "month" or "weeks"
     * @param from a day of the month, or of the first week
     * @param who a member of the team, "clients", or "me"
     * @param client whose projects
     * @param what one kind of thing
     */
    record Asked(String as, String from, String who, String client, String what) {
        Asked {
            as = "weeks".equals(as) ? "weeks" : "month";
            from = java.util.Objects.requireNonNullElse(from, "");
            who = java.util.Objects.requireNonNullElse(who, "");
            client = java.util.Objects.requireNonNullElse(client, "");
            what = java.util.Objects.requireNonNullElse(what, "");
        }
    }

    /**
     * A day. @param free what it is called if nobody works then; null on working days, empty on weekends @param more
     * how many of its things are left out
     */
    record Day(
            LocalDate day,
            boolean within,
            boolean now,
            boolean working,
            String free,
            List<AllDates.Dated> dated,
            int more) {}

    @GetMapping("/t/dates")
    String dates(@ModelAttribute("asked") Asked asked, @AuthenticationPrincipal Person.OfTeam me, Model model) {
        AcrossProjects.All all = across.now();
        boolean month = asked.as().equals("month");
        LocalDate from = day(asked.from());
        LocalDate first =
                month ? from.withDayOfMonth(1) : from.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        LocalDate end = month ? first.plusMonths(1) : first.plusWeeks(WEEKS);
        Predicate<AllDates.Dated> wanted = wanted(asked, me);
        Map<LocalDate, List<AllDates.Dated>> byDay =
                all.dated().stream().filter(wanted).collect(Collectors.groupingBy(AllDates.Dated::day));
        List<List<Day>> weeks = weeks(first, end, byDay, month);
        List<AllDates.Dated> shown = weeks.stream()
                .flatMap(List::stream)
                .flatMap(one -> one.dated().stream())
                .toList();
        Map<String, String> clients = new LinkedHashMap<>();
        all.projects().stream()
                .filter(project -> !project.isOwn())
                .forEach(project -> clients.put(project.client().toString(), project.clientName()));
        model.addAttribute("first", first);
        model.addAttribute("before", month ? first.minusMonths(1) : first.minusWeeks(WEEKS));
        model.addAttribute("next", end);
        model.addAttribute("last", end.minusDays(1));
        model.addAttribute("weeks", weeks);
        model.addAttribute("many", shown.size());
        model.addAttribute(
                "windows",
                windows.across(shown.stream()
                        .filter(one -> !one.what().byName())
                        .map(AllDates.Dated::item)
                        .toList()));
        model.addAttribute(
                "byName",
                shown.stream()
                        .filter(one -> one.what().byName())
                        .map(AllDates.Dated::item)
                        .collect(Collectors.toSet()));
        model.addAttribute("clients", clients);
        model.addAttribute("kinds", AllDates.What.values());
        model.addAttribute("team", people.team());
        return "desk/dates";
    }

    private static Predicate<AllDates.Dated> wanted(Asked asked, Person.OfTeam me) {
        String member = asked.who().equals("me") ? me.memberId().toString() : asked.who();
        return one ->
                (asked.client().isEmpty() || one.project().client().toString().equals(asked.client()))
                        && (asked.what().isEmpty() || one.what().name().equals(asked.what()))
                        && (member.isEmpty()
                                || (member.equals("clients")
                                        ? one.client()
                                        : one.with().stream()
                                                .anyMatch(id -> id.toString().equals(member))));
    }

    private LocalDate day(String typed) {
        try {
            LocalDate day = typed.isEmpty()
                    ? agency.today()
                    : typed.length() == 7 ? YearMonth.parse(typed).atDay(1) : LocalDate.parse(typed);
            return day.getYear() < 1901 || day.getYear() > 9_990 ? agency.today() : day;
        } catch (DateTimeException notADay) {
            return agency.today();
        }
    }

    private List<List<Day>> weeks(
            LocalDate first, LocalDate end, Map<LocalDate, List<AllDates.Dated>> byDay, boolean month) {
        Map<LocalDate, String> free = agreements.freeDays();
        List<List<Day>> weeks = new ArrayList<>();
        for (LocalDate monday = first.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
                monday.isBefore(end);
                monday = monday.plusWeeks(1)) {
            LocalDate of = monday;
            weeks.add(IntStream.range(0, 7)
                    .mapToObj(of::plusDays)
                    .map(day -> {
                        List<AllDates.Dated> there = byDay.getOrDefault(day, List.of());
                        int most = month && there.size() > MOST_OF_A_DAY ? MOST_OF_A_DAY - 1 : there.size();
                        return new Day(
                                day,
                                !day.isBefore(first) && day.isBefore(end),
                                day.equals(agency.today()),
                                agency.calendar().isWorkingDay(day),
                                free.getOrDefault(day, ""),
                                there.subList(0, most),
                                there.size() - most);
                    })
                    .toList());
        }
        return weeks;
    }
}
