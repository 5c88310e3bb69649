package app.clearpane.core.plan;

import app.clearpane.core.agency.Name;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.supply.UsualSupply;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What a kind of work usually has.
 *
 * @param finish what its last day is called
 * @param parts its phases, one at least, one after another
 * @param steps what the steps of its tasks are called, by stage; a stage that is missing goes by its own name
 * @param checklist what is looked at before anything of it is released
 * @param supply what it needs of the client
 */
public record PhaseTemplate(
        String name,
        String finish,
        List<Part> parts,
        Map<Stage, List<String>> steps,
        List<String> checklist,
        UsualSupply supply) {
    /** The most phases, and the most tasks of one. */
    public static final int MOST = 60;

    private static final int MOST_DAYS = 1_000;
    private static final Pattern LINE = Pattern.compile("(?<name>.+?)(?:,\\s*(?<days>\\d{1,4})(?:\\s*days?)?)?");
    private static final Pattern CLIENTS = Pattern.compile("(?i)client(?:[’']s)?\\s*:\\s*");

    public PhaseTemplate {
        parts = List.copyOf(parts);
        steps = Map.copyOf(steps);
        checklist = List.copyOf(checklist);
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("A template needs a phase at least.");
        }
    }

    /** One that needs nothing of the client. */
    public PhaseTemplate(
            String name, String finish, List<Part> parts, Map<Stage, List<String>> steps, List<String> checklist) {
        this(name, finish, parts, steps, checklist, UsualSupply.NONE);
    }

    /** A phase. @param days its usual working days, 1 or more @param usual its tasks, one after another */
    public record Part(String name, int days, List<Usual> usual) {
        public Part {
            usual = List.copyOf(usual);
        }
    }

    /**
     * A task that a phase usually has. @param days its usual working days, 1 or more; they count against each other
     * where the phase is longer or shorter
     */
    public record Usual(String name, Side side, int days) {}

    /**
     * A task as it is laid out, to be done after the one before it.
     *
     * @param phase its phase
     * @param days working days, 1 or more
     */
    public record LaidTask(String phase, String name, Side side, int days) {}

    /**
     * A phase with its days.
     *
     * @param startsOn its first working day
     * @param endsOn its last working day
     */
    public record Laid(String name, LocalDate startsOn, LocalDate endsOn) {}

    /** A phase with its share of the working days, 1 or more. */
    public record Share(String name, int share) {}

    /**
     * Reads phases and tasks as they are typed: a line for each phase, "Concept, 9 days", and below it its tasks, "-
     * Draw directions, 7" or "- client: Choose a direction, 2". Without a number it is one day; a phase without one
     * takes as long as its tasks.
     *
     * @throws IllegalArgumentException saying in which line what is wrong
     */
    public static List<Part> read(String outline) {
        List<Part> parts = new ArrayList<>();
        List<Usual> usual = new ArrayList<>();
        List<String> lines = outline.lines().map(String::strip).toList();
        for (int i = 0; i < lines.size(); i++) {
            String line = lines.get(i);
            String where = "Line " + (i + 1) + ": ";
            if (line.startsWith("-")) {
                require(!parts.isEmpty(), where + "a task stands in a phase; write the phase before it.");
                String task = line.substring(1).strip();
                Matcher clients = CLIENTS.matcher(task);
                boolean theirs = clients.lookingAt();
                Matcher said = said(theirs ? task.substring(clients.end()) : task, where);
                usual.add(new Usual(
                        name(said, where), theirs ? Side.CLIENTS : Side.OURS, Math.max(1, days(said, where))));
                require(usual.size() <= MOST, where + "a phase has up to " + MOST + " tasks.");
            } else if (!line.isEmpty()) {
                close(parts, usual);
                Matcher said = said(line, where);
                String name = name(said, where);
                require(
                        parts.stream().noneMatch(part -> part.name().equalsIgnoreCase(name)),
                        where + "there is a phase “" + name + "” already.");
                parts.add(new Part(name, days(said, where), List.of()));
                require(parts.size() <= MOST, where + "up to " + MOST + " phases are possible.");
            }
        }
        close(parts, usual);
        require(!parts.isEmpty(), "Write one phase at least, as in “Concept, 9 days”.");
        return parts;
    }

    private static void close(List<Part> parts, List<Usual> usual) {
        if (!parts.isEmpty()) {
            Part last = parts.remove(parts.size() - 1);
            int days = last.days() > 0
                    ? last.days()
                    : Math.max(1, usual.stream().mapToInt(Usual::days).sum());
            parts.add(new Part(last.name(), days, usual));
            usual.clear();
        }
    }

    private static Matcher said(String text, String where) {
        Matcher said = LINE.matcher(text);
        require(said.matches(), where + "a name is missing.");
        return said;
    }

    private static String name(Matcher said, String where) {
        try {
            return new Name(said.group("name")).value();
        } catch (IllegalArgumentException unusable) {
            throw new IllegalArgumentException(where + unusable.getMessage(), unusable);
        }
    }

    private static int days(Matcher said, String where) {
        int days = said.group("days") == null ? 0 : Integer.parseInt(said.group("days"));
        require(
                said.group("days") == null || days >= 1 && days <= MOST_DAYS,
                where + "it takes from 1 to " + MOST_DAYS + " working days.");
        return days;
    }

    private static void require(boolean holds, String sentence) {
        if (!holds) {
            throw new IllegalArgumentException(sentence);
        }
    }

    /** Its phases and tasks as {@link #read} takes them. */
    public String outline() {
        return parts.stream()
                .map(part -> part.name() + ", " + part.days() + (part.days() == 1 ? " day" : " days")
                        + part.usual().stream()
                                .map(usual -> "\n- " + (usual.side() == Side.CLIENTS ? "client: " : "") + usual.name()
                                        + ", " + usual.days())
                                .collect(Collectors.joining()))
                .collect(Collectors.joining("\n"));
    }

    /** The same under another name. */
    public PhaseTemplate called(String other) {
        return new PhaseTemplate(other, finish, parts, steps, checklist, supply);
    }

    /** The names of its phases. */
    public List<String> phases() {
        return parts.stream().map(Part::name).toList();
    }

    /** How long it usually takes, in working days. */
    public int days() {
        return parts.stream().mapToInt(Part::days).sum();
    }

    /** The last day of one that begins on a day. */
    public LocalDate finishFrom(LocalDate start, WorkingCalendar calendar) {
        return calendar.addWorkingDays(start, days() - 1);
    }

    /** The first day of one that is to end on a day: the latest that leaves its usual days. */
    public LocalDate startFor(LocalDate finish, WorkingCalendar calendar) {
        return startFor(finish, days(), calendar);
    }

    /** The latest day from which there are so many working days until a finish, the finish among them. */
    public static LocalDate startFor(LocalDate finish, int days, WorkingCalendar calendar) {
        LocalDate start = finish;
        while (calendar.workingDays(start, finish.plusDays(1)) < days) {
            start = start.minusDays(1);
        }
        return start;
    }

    /** Its phases laid out, as {@link #layOut(List, LocalDate, LocalDate, WorkingCalendar)} does. */
    public List<Laid> layOut(LocalDate start, LocalDate finish, WorkingCalendar calendar) {
        return layOut(
                parts.stream().map(part -> new Share(part.name(), part.days())).toList(), start, finish, calendar);
    }

    /**
     * Lays phases out over the working days from a start to a finish, one after another, each with its share and at
     * least a day. Where there are fewer working days than phases, the last ones run past the finish.
     *
     * @param finish the last day; not before {@code start}
     */
    public static List<Laid> layOut(List<Share> phases, LocalDate start, LocalDate finish, WorkingCalendar calendar) {
        if (finish.isBefore(start)) {
            throw new IllegalArgumentException("the finish " + finish + " is before the start " + start);
        }
        int[] days =
                shareOut(phases.stream().map(Share::share).toList(), calendar.workingDays(start, finish.plusDays(1)));
        List<Laid> laid = new ArrayList<>();
        LocalDate first = calendar.rollForward(start);
        for (int i = 0; i < days.length; i++) {
            LocalDate last = calendar.addWorkingDays(first, days[i] - 1);
            laid.add(new Laid(phases.get(i).name(), first, last));
            first = calendar.rollForward(last.plusDays(1));
        }
        return laid;
    }

    /** Shares days out, at least one each. */
    private static int[] shareOut(List<Integer> shares, int days) {
        int all = shares.stream().mapToInt(Integer::intValue).sum();
        int[] out = new int[shares.size()];
        int before = 0;
        int used = 0;
        for (int i = 0; i < out.length; i++) {
            before += shares.get(i);
            int until = Math.max(used + 1, Math.round((float) days * before / all));
            out[i] = until - used;
            used = until;
        }
        return out;
    }

    /**
     * The usual tasks one after another, each phase's working days shared out among its own, at least a day each. Where
     * there are too few days they run past the finish.
     */
    public List<LaidTask> tasks(LocalDate start, LocalDate finish, WorkingCalendar calendar) {
        List<Laid> laid = layOut(start, finish, calendar);
        List<LaidTask> tasks = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            List<Usual> usual = parts.get(i).usual();
            int[] days = shareOut(
                    usual.stream().map(Usual::days).toList(),
                    calendar.workingDays(
                            laid.get(i).startsOn(), laid.get(i).endsOn().plusDays(1)));
            for (int task = 0; task < days.length; task++) {
                tasks.add(new LaidTask(
                        parts.get(i).name(),
                        usual.get(task).name(),
                        usual.get(task).side(),
                        days[task]));
            }
        }
        return tasks;
    }
}
