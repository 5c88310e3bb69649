package app.clearpane.usecases.plan.task;

import app.clearpane.core.agency.Name;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.formats.plan.TaskTable;
import app.clearpane.store.plan.BroughtTables;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Brings tasks along from a table: first it says, row by row, what would become of each; then the good ones are taken
 * in, all or none.
 */
@Component
public class BringTasks {
    /** The most tasks that are taken in at once. */
    public static final int MOST = 2_000;

    private static final int LARGEST = 20_000_000;
    private static final List<DateTimeFormatter> DAYS = List.of(
            DateTimeFormatter.ISO_LOCAL_DATE,
            DateTimeFormatter.ofPattern("d.M.uuuu"),
            DateTimeFormatter.ofPattern("d/M/uuuu"),
            DateTimeFormatter.ofPattern("d MMM uuuu", Locale.UK));
    private final BroughtTables tables;
    private final Projects projects;
    private final Assignees doers;
    private final AuditLog audit;
    private final Clock clock;
    private final AddTask addTask;

    BringTasks(BroughtTables tables, Projects projects, Assignees doers, AuditLog audit, Clock clock, AddTask addTask) {
        this.addTask = addTask;
        this.tables = tables;
        this.projects = projects;
        this.doers = doers;
        this.audit = audit;
        this.clock = clock;
    }

    /** What a column can hold. */
    public enum Field {
        NAME("what is to be done", "task", "name", "title", "what"),
        WHO("who does it", "who", "assignee", "person", "owner", "by"),
        DAYS("working days", "days", "duration", "working days"),
        DUE("due", "due", "due date", "deadline", "until"),
        PHASE("phase", "phase", "section", "group");

        private final String title;
        private final List<String> headings;

        Field(String title, String... headings) {
            this.title = title;
            this.headings = List.of(headings);
        }

        /** How the mapping calls it. */
        public String title() {
            return title;
        }

        /** The column whose heading sounds like it; -1 if none does. */
        int guess(List<String> header) {
            for (int i = 0; i < header.size(); i++) {
                if (headings.contains(header.get(i).toLowerCase(Locale.ROOT))) {
                    return i;
                }
            }
            return -1;
        }
    }

    /** A row that can be taken in, with what would be added. */
    record Good(long line, AddTask.Wanted wanted) {}

    /** A row that cannot, and why. */
    record Bad(long line, String text, String reason) {}

    /**
     * What would happen.
     *
     * @param columns for each field the column it is read from; -1 for none
     */
    public record Preview(
            BroughtTables.Brought brought,
            List<String> header,
            Map<Field, Integer> columns,
            List<Good> good,
            List<Bad> bad) {}

    /** Keeps a table. @return where it waits */
    @Transactional
    public UUID bring(ProjectId project, String fileName, byte[] bytes, Person.OfTeam by) {
        NotFound.unless(projects.find(project));
        if (bytes.length == 0 || bytes.length > LARGEST) {
            throw Refused.because(
                    bytes.length == 0
                            ? "Choose a file first."
                            : "The file is larger than 20 MB. Nothing was saved; bring it in parts.");
        }
        String text = TaskTable.text(bytes);
        try {
            TaskTable.read(text);
        } catch (IllegalArgumentException e) {
            throw Refused.because(
                    "“" + fileName + "” could not be read as a table: " + e.getMessage() + ". Nothing was saved.");
        }
        UUID id = UUID.randomUUID();
        tables.add(
                new BroughtTables.Brought(
                        id, project, fileName.length() > 120 ? fileName.substring(0, 120) : fileName, text),
                by.memberId(),
                clock.instant());
        return id;
    }

    /** What would become of each row. @param asked the column of each field, by its name; what is missing is guessed */
    public Preview preview(UUID id, Map<String, String> asked, Person.OfTeam by) {
        BroughtTables.Brought brought = NotFound.unless(tables.find(id, by.memberId()));
        TaskTable table = TaskTable.read(brought.content());
        Map<Field, Integer> columns = new EnumMap<>(Field.class);
        for (Field field : Field.values()) {
            columns.put(
                    field,
                    asked.containsKey(field.name())
                            ? column(asked.get(field.name()), table.header().size())
                            : field.guess(table.header()));
        }
        List<Good> good = new ArrayList<>();
        List<Bad> bad = new ArrayList<>();
        List<Assignees.Doer> known = doers.ofProject(brought.project());
        List<Phase> phases = projects.phases(brought.project());
        for (TaskTable.Row row : table.rows()) {
            try {
                good.add(new Good(row.line(), wanted(row, columns, known, phases)));
            } catch (IllegalArgumentException e) {
                bad.add(new Bad(
                        row.line(),
                        String.join(" · ", row.cells()),
                        Objects.requireNonNullElse(e.getMessage(), "It cannot be read.")));
            }
        }
        return new Preview(brought, table.header(), columns, good, bad);
    }

    private static int column(String typed, int count) {
        try {
            int column = Integer.parseInt(typed);
            return column >= 0 && column < count ? column : -1;
        } catch (NumberFormatException notAColumn) {
            return -1;
        }
    }

    private static AddTask.Wanted wanted(
            TaskTable.Row row, Map<Field, Integer> columns, List<Assignees.Doer> known, List<Phase> phases) {
        String name = new Name(row.cell(Objects.requireNonNull(columns.get(Field.NAME)))).value();
        Assignees.Doer doer = doer(row.cell(Objects.requireNonNull(columns.get(Field.WHO))), known);
        Optional<UUID> phase = phase(row.cell(Objects.requireNonNull(columns.get(Field.PHASE))), phases);
        return new AddTask.Wanted(
                name,
                Optional.empty(),
                phase,
                days(row.cell(Objects.requireNonNull(columns.get(Field.DAYS)))),
                day(row.cell(Objects.requireNonNull(columns.get(Field.DUE)))),
                doer.side(),
                doer.hands(),
                List.of(),
                Optional.empty());
    }

    private static Assignees.Doer doer(String who, List<Assignees.Doer> known) {
        List<Assignees.Doer> found = known.stream()
                .filter(doer -> who.isEmpty()
                        ? doer.value().equals("us")
                        : doer.name().toLowerCase(Locale.ROOT).startsWith(who.toLowerCase(Locale.ROOT)))
                .toList();
        if (found.size() != 1) {
            throw new IllegalArgumentException(
                    found.isEmpty() ? "nobody here is called “" + who + "”" : "“" + who + "” may be more than one");
        }
        return found.get(0);
    }

    private static Optional<UUID> phase(String name, List<Phase> phases) {
        if (name.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(phases.stream()
                .filter(phase -> phase.name().equalsIgnoreCase(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("there is no phase “" + name + "”"))
                .id());
    }

    private static int days(String typed) {
        if (typed.isEmpty()) {
            return 1;
        }
        String digits = typed.replaceFirst("\\s*(d|days?)$", "");
        if (!digits.matches("\\d{1,4}") || Integer.parseInt(digits) < 1 || Integer.parseInt(digits) > Task.MOST_DAYS) {
            throw new IllegalArgumentException("“" + typed + "” should be 1 to " + Task.MOST_DAYS + " working days");
        }
        return Integer.parseInt(digits);
    }

    private static Optional<LocalDate> day(String typed) {
        if (typed.isEmpty()) {
            return Optional.empty();
        }
        for (DateTimeFormatter format : DAYS) {
            try {
                return Optional.of(LocalDate.parse(typed, format))
                        .filter(day -> day.getYear() >= 1900 && day.getYear() <= 9999);
            } catch (DateTimeParseException another) {
                // The next way of writing days is tried.
            }
        }
        throw new IllegalArgumentException("“" + typed + "” is not a date");
    }

    /** Takes the good ones in. @return the project */
    @Transactional
    public ProjectId take(UUID id, Map<String, String> asked, Person.OfTeam by) {
        Preview preview = preview(id, asked, by);
        if (preview.good().isEmpty()) {
            throw Refused.because("No row can be taken in. Nothing was saved; choose other columns.");
        }
        if (preview.good().size() > MOST) {
            throw Refused.because(
                    "%,d tasks are too many at once; up to %,d can be taken in. Nothing was saved; bring the table "
                            + "in parts.".formatted(preview.good().size(), MOST));
        }
        if (!tables.forget(id, by.memberId())) {
            throw Refused.changedMeanwhile("This table was taken in already. Nothing was added twice.");
        }
        addTask.addAll(
                preview.brought().project(),
                preview.good().stream().map(Good::wanted).toList(),
                by);
        audit.append(
                preview.brought().project(),
                preview.brought().project().value(),
                new PlanActs.TasksBrought(
                        by.actor(),
                        preview.brought().name(),
                        preview.good().size(),
                        preview.bad().size()));
        return preview.brought().project();
    }
}
