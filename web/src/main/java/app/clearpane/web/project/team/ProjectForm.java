package app.clearpane.web.project.team;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.plan.PhaseTemplate;
import app.clearpane.core.project.Covers;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.project.HouseHabits;
import app.clearpane.usecases.project.OpenProject;
import app.clearpane.usecases.project.Reckoned;
import app.clearpane.usecases.shell.Input;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * The form a project is opened with, as typed. Contacts are lines of "Name, address, what they do". Without a client it
 * is the house's own work.
 */
record ProjectForm(
        String client,
        String name,
        String cover,
        String currency,
        String tax,
        String startsOn,
        String agreedOn,
        String template,
        @Nullable Boolean tasks,
        String contacts,
        @Nullable String like,
        @Nullable Boolean people) {

    /** The template that is another project. */
    static final String LIKE = "LIKE";

    /** One that nothing was typed into. */
    static ProjectForm empty(LocalDate today, HouseHabits.Reckoning usual, String template) {
        return new ProjectForm(
                "",
                "",
                Covers.ALL.get(0),
                usual.currency(),
                usual.taxPercent().stripTrailingZeros().toPlainString(),
                today.toString(),
                "",
                template,
                true,
                "",
                "",
                true);
    }

    /**
     * What it asks for. Where a day is left out, the usual days of the template are counted from the other one.
     *
     * @param hidden what is not there for whoever asks
     * @param known the house's templates by identifier
     * @throws app.clearpane.usecases.shell.Refused with everything that is wrong
     */
    OpenProject.Wanted wanted(
            Predicate<ProjectId> hidden, Function<UUID, Optional<PhaseTemplate>> known, WorkingCalendar calendar) {
        Input input = new Input();
        Optional<Name> clientName = client.isBlank() ? Optional.empty() : input.name("The client", client);
        Optional<Name> projectName = input.name("The project", name);
        boolean likeAnother = LIKE.equals(template) && like != null && !like.isBlank();
        input.require(!LIKE.equals(template) || likeAnother, "Choose the project that it is to be like.");
        Optional<PhaseTemplate> phases = LIKE.equals(template)
                ? Optional.empty()
                : input.one("The phases", template, UUID::fromString).flatMap(known);
        input.require(LIKE.equals(template) || phases.isPresent(), "Choose a template; that one is not kept any more.");
        Days days = days(input, phases, calendar);
        input.require(Covers.ALL.contains(cover), "Choose one of the covers.");
        Reckoned.requireCurrency(input, currency);
        Optional<BigDecimal> percent = Reckoned.tax(input, tax);
        List<OpenProject.NewContact> contactsTyped = contacts(input);
        Optional<ProjectId> other = likeAnother
                ? input.one("The project that it is to be like", Objects.requireNonNullElse(like, ""), ProjectId::of)
                        .filter(hidden.negate())
                : Optional.empty();
        input.require(!likeAnother || other.isPresent(), "Choose the project that it is to be like.");
        input.allGood();
        return new OpenProject.Wanted(
                clientName,
                projectName.orElseThrow(),
                cover,
                currency,
                percent.orElseThrow(),
                days.start().orElseThrow(),
                days.finish().orElseThrow(),
                phases,
                Boolean.TRUE.equals(tasks),
                contactsTyped,
                other.map(project -> new OpenProject.Like(project, Boolean.TRUE.equals(people), startsOn.isBlank())));
    }

    private record Days(Optional<LocalDate> start, Optional<LocalDate> finish) {}

    private Days days(Input input, Optional<PhaseTemplate> phases, WorkingCalendar calendar) {
        Optional<LocalDate> start = startsOn.isBlank() ? Optional.empty() : input.day("The start", startsOn);
        Optional<LocalDate> finish = agreedOn.isBlank() ? Optional.empty() : input.day("The agreed finish", agreedOn);
        if (startsOn.isBlank() && agreedOn.isBlank()) {
            input.require(false, "Write the start, the agreed finish, or both.");
        } else if (startsOn.isBlank()) {
            start = finish.map(day ->
                    phases.map(template -> template.startFor(day, calendar)).orElse(day));
        } else if (agreedOn.isBlank()) {
            input.require(phases.isPresent(), "Write the agreed finish.");
            finish = start.flatMap(day -> phases.map(template -> template.finishFrom(day, calendar)));
        }
        input.require(
                start.isEmpty() || finish.isEmpty() || !finish.get().isBefore(start.get()),
                "The agreed finish is before the start.");
        input.require(
                start.isEmpty()
                        || finish.isEmpty()
                        || finish.get().isBefore(start.get().plusYears(10)),
                "The agreed finish is more than ten years after the start.");
        return new Days(start, finish);
    }

    private List<OpenProject.NewContact> contacts(Input input) {
        List<OpenProject.NewContact> people = new ArrayList<>();
        int number = 0;
        for (String line : contacts.split("\\R")) {
            number++;
            if (!line.isBlank()) {
                contact(input, line, "Contact in line " + number).ifPresent(people::add);
            }
        }
        return people;
    }

    static Optional<OpenProject.NewContact> contact(Input input, String line, String what) {
        String[] parts = line.split(",", 3);
        if (parts.length < 2) {
            input.require(false, what + ": write the name, a comma and the mail address.");
            return Optional.empty();
        }
        Optional<Name> name = input.name(what, parts[0]);
        Optional<EmailAddress> email = input.email(what, parts[1]);
        String occupation = input.text(what, parts.length > 2 ? parts[2] : "", Name.LONGEST);
        return name.flatMap(n -> email.map(e -> new OpenProject.NewContact(n, e, occupation)));
    }
}
