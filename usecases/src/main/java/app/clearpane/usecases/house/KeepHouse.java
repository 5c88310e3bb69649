package app.clearpane.usecases.house;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectState;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.core.signoff.SigningTerms;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.store.project.HouseHabits;
import app.clearpane.usecases.project.Reckoned;
import app.clearpane.usecases.project.StandingWords;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.signoff.ChangeSigning.SigningForm;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sets what every project begins with, and what states and steps are called. */
@Component
public class KeepHouse {
    /** The states that can be called otherwise; what was put away is called by how it ended. */
    public static final List<ProjectState> NAMEABLE = Arrays.stream(ProjectState.values())
            .filter(standing -> standing != ProjectState.ARCHIVED)
            .toList();

    private static final int LONGEST = 40;
    private static final int MOST_STEPS = 12;
    private final HouseHabits habits;
    private final SigningDefaults signing;
    private final StandingWords standings;
    private final TheAgency agency;
    private final AuditLog audit;

    KeepHouse(HouseHabits habits, SigningDefaults signing, StandingWords standings, TheAgency agency, AuditLog audit) {
        this.habits = habits;
        this.signing = signing;
        this.standings = standings;
        this.agency = agency;
        this.audit = audit;
    }

    /** Sets what a project begins with; those that are there stay as they are, but where they follow the house. */
    @Transactional
    public void usual(UsualForm form, SigningForm signs, Actor by) {
        Input input = new Input();
        Reckoned.requireCurrency(input, form.currency());
        Optional<BigDecimal> tax = Reckoned.tax(input, form.tax());
        Optional<Integer> days =
                input.number("The days until an invoice is due", form.paymentDays(), 0, Reckoned.MOST_PAYMENT_DAYS);
        input.allGood();
        SigningTerms terms = signs.terms();
        habits.reckon(
                new HouseHabits.Reckoning(form.currency(), tax.orElseThrow(), days.orElseThrow(), form.revision()));
        signing.setHouse(new SigningDefaults.House(terms, form.revision() + 1));
        audit.appendOfAgency(
                agency.get().id(),
                new PeopleActs.HouseSays(
                        Act.HOUSE_USUAL,
                        by,
                        "What we usually reckon with",
                        form.currency() + ", tax " + tax.orElseThrow() + " %, " + days.orElseThrow() + " days to pay; "
                                + terms.rule().keptAs() + ", " + terms.reviewDays() + " days to review, "
                                + terms.allowance().rounds() + " rounds, further ones "
                                + terms.allowance().fee().toPlainString()));
    }

    /** Calls states of projects otherwise; an empty one goes by its own name. */
    @Transactional
    public void nameStandings(Map<String, String> typed, Actor by) {
        Input input = new Input();
        Map<ProjectState, String> names = new EnumMap<>(ProjectState.class);
        Set<String> seen = new HashSet<>();
        for (ProjectState standing : NAMEABLE) {
            String name = input.text(
                            "“" + StandingWords.plain(standing) + "”", typed.getOrDefault(standing.name(), ""), LONGEST)
                    .strip();
            if (!name.isEmpty()) {
                input.require(
                        seen.add(name.toLowerCase(Locale.ROOT)),
                        "Two states would be called “" + name + "”; give one of them another name.");
                names.put(standing, name);
            }
        }
        input.allGood();
        habits.nameStandings(names);
        standings.changed();
        audit.appendOfAgency(
                agency.get().id(),
                new PeopleActs.HouseSays(
                        Act.HOUSE_NAMED,
                        by,
                        "The states of projects",
                        names.entrySet().stream()
                                .map(entry -> StandingWords.plain(entry.getKey()) + ": " + entry.getValue())
                                .collect(Collectors.joining("; "))));
    }

    /** Names the steps from a first word to a first project. A client at a step that is there no more is at none. */
    @Transactional
    public void nameProspectSteps(String typed, Actor by) {
        Input input = new Input();
        List<String> names = Arrays.stream(typed.split("[,\\n]"))
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .toList();
        input.require(names.size() <= MOST_STEPS, "Up to " + MOST_STEPS + " steps are possible.");
        names.forEach(name -> input.text("“" + name + "”", name, LONGEST));
        input.require(
                names.stream()
                                .map(name -> name.toLowerCase(Locale.ROOT))
                                .distinct()
                                .count()
                        == names.size(),
                "Two steps have one name.");
        input.allGood();
        habits.nameProspectSteps(names);
        audit.appendOfAgency(
                agency.get().id(),
                new PeopleActs.HouseSays(Act.HOUSE_NAMED, by, "The steps of prospects", String.join(", ", names)));
    }
}
