package app.clearpane.core.supply.question;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A questionnaire as somebody types it. Questions stand apart by an empty line; the first line of each is what is
 * asked, with a star at its end if it has to be answered, and the lines below say how:
 *
 * <pre>
 * # The evenings
 * What we would like to know before we draw.
 *
 * Who comes at night? *
 * - Families
 * - Schools
 * several
 * help: Think of a usual week.
 *
 * How many on a full night?
 * a number of people, 0 to 400
 * only if Who comes at night? is Families
 * </pre>
 *
 * What is asked for as a file is no question: it is a part of the request beside the questions.
 *
 * @param files what is wanted as files, a line each
 * @param wrong what could not be read, a sentence each, with the number of its line
 */
public record QuestionLines(Questionnaire questionnaire, List<String> files, List<String> wrong) {
    /** The most questions that one questionnaire has. */
    public static final int MOST = 120;

    private static final int LONGEST = 400;
    private static final int LONGEST_HELP = 1_000;
    private static final int MOST_OPTIONS = 60;
    private static final Pattern SCALE =
            Pattern.compile("(?i)from (-?\\d{1,3}) to (-?\\d{1,3})(?:,\\s*(.+?)\\s+to\\s+(.+))?");
    private static final Pattern LONG = Pattern.compile("(?i)(long|short)(?:,\\s*at most (\\d{1,4}) words)?");
    private static final String FIGURE = "(-?\\d{1,9}(?:[.]\\d{1,3})?)";
    private static final Pattern NUMBER = Pattern.compile("(?i)a number(?: of ([^,]+))?(?:,\\s*(?:" + FIGURE + " to "
            + FIGURE + "|at least " + FIGURE + "|at most " + FIGURE + "))?");
    private static final Pattern MONEY = Pattern.compile("(?i)a money range(?: in ([a-z]{3}))?");
    private static final Pattern HOLDS = Pattern.compile("(?i)(is at least|is at most|is not|is|≥|≤|=) (.+)");

    public QuestionLines {
        files = List.copyOf(files);
        wrong = List.copyOf(wrong);
    }

    /** What a text says; what cannot be read is left out and said. */
    public static QuestionLines read(String text) {
        Reader reader = new Reader();
        List<String> lines =
                text.replace("\r\n", "\n").replace('\r', '\n').lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            reader.line(i + 1, lines.get(i).strip());
        }
        return reader.done();
    }

    private static final class Reader {
        private final List<Questionnaire.Section> sections = new ArrayList<>();
        private final List<Question> earlier = new ArrayList<>();
        private final List<Question> here = new ArrayList<>();
        private final List<String> files = new ArrayList<>();
        private final List<String> wrong = new ArrayList<>();
        private final List<String> above = new ArrayList<>();
        private String title = "";
        private boolean inHeading;
        private Optional<Block> block = Optional.empty();

        void line(int number, String line) {
            if (line.isEmpty()) {
                endBlock();
                inHeading = false;
            } else if (line.startsWith("#")) {
                endSection();
                title = checked(number, line.replaceFirst("#+\\s*", ""), LONGEST);
                inHeading = true;
            } else if (inHeading) {
                above.add(checked(number, line, LONGEST_HELP));
            } else if (block.isEmpty()) {
                block = Optional.of(new Block(number, checked(number, line, LONGEST)));
            } else {
                block.get().further(this, number, line);
            }
        }

        String checked(int number, String line, int longest) {
            if (line.codePointCount(0, line.length()) <= longest) {
                return line;
            }
            wrong(number, "it is longer than " + longest + " letters.");
            return line.substring(0, line.offsetByCodePoints(0, longest));
        }

        void wrong(int number, String what) {
            wrong.add("Line " + number + ": " + what);
        }

        void endBlock() {
            block.ifPresent(one -> {
                if (!one.files.isEmpty()) {
                    files.addAll(one.files);
                } else if (earlier.size() < MOST) {
                    one.done(this).ifPresent(question -> {
                        here.add(question);
                        earlier.add(question);
                    });
                } else {
                    wrong(one.number, "a questionnaire has at most " + MOST + " questions.");
                }
            });
            block = Optional.empty();
        }

        void endSection() {
            endBlock();
            if (!here.isEmpty() || !title.isEmpty() || !above.isEmpty()) {
                sections.add(new Questionnaire.Section(title, String.join("\n", above), here));
            }
            title = "";
            above.clear();
            here.clear();
        }

        QuestionLines done() {
            endSection();
            return new QuestionLines(new Questionnaire(sections), files, wrong);
        }
    }

    /** A question while it is read. */
    private static final class Block {
        private final int number;
        private final String words;
        private final boolean required;
        private final List<AnswerForm.Option> options = new ArrayList<>();
        private final List<String> files = new ArrayList<>();
        private Optional<AnswerForm> form = Optional.empty();
        private boolean several;
        private boolean inOrder;
        private String help = "";
        private String example = "";
        private Optional<AskIf> askedIf = Optional.empty();

        Block(int number, String line) {
            this.number = number;
            this.required = line.endsWith("*");
            this.words = line.replaceFirst("\\s*\\*$", "");
        }

        void further(Reader reader, int at, String line) {
            String plain = line.toLowerCase(Locale.ROOT);
            if (line.startsWith("- ")) {
                if (options.size() == MOST_OPTIONS) {
                    reader.wrong(at, "at most " + MOST_OPTIONS + " things can be chosen from.");
                } else if (options.size() < MOST_OPTIONS) {
                    options.add(AnswerForm.Option.read(
                            reader.checked(at, line.substring(2).strip(), LONGEST)));
                }
            } else if (plain.equals("several")) {
                several = true;
            } else if (plain.equals("in order")) {
                inOrder = true;
            } else if (plain.startsWith("help:")) {
                help = reader.checked(at, line.substring(5).strip(), LONGEST_HELP);
            } else if (plain.startsWith("example:")) {
                example = reader.checked(at, line.substring(8).strip(), LONGEST_HELP);
            } else if (plain.startsWith("only if ")) {
                condition(reader, at, line);
            } else if (plain.startsWith("file:")) {
                files.add(words + ", " + line.substring(5).strip());
            } else {
                form(reader, at, line);
            }
        }

        private void form(Reader reader, int at, String line) {
            try {
                Optional<AnswerForm> read = way(line);
                if (read.isEmpty()) {
                    reader.wrong(at, "“" + line + "” is no way to answer. " + WAYS);
                }
                form = read.or(() -> form);
            } catch (IllegalArgumentException e) {
                reader.wrong(at, String.valueOf(e.getMessage()));
            }
        }

        private static final String WAYS = "There are: short, long, “- ” and what can be chosen, several, in order, "
                + "from 1 to 5, a day, a number of …, a money range in GBP, and file:";

        private void condition(Reader reader, int at, String line) {
            String said = line.substring("only if ".length()).strip().replaceAll("\\s+", " ");
            Optional<Question> of = reader.earlier.stream()
                    .filter(one -> Question.plain(said).startsWith(Question.plain(one.words()) + " "))
                    .max(Comparator.comparing(one -> one.words().length()));
            if (of.isEmpty()) {
                reader.wrong(
                        at,
                        "“" + said + "” begins with no question above this one. A condition names an earlier "
                                + "question in its own words, like “only if Do you open at night? is Yes”.");
                return;
            }
            Matcher found = HOLDS.matcher(
                    said.substring(Question.plain(of.get().words()).length()).strip());
            if (!found.matches()) {
                reader.wrong(at, "say what it should be: is, is not, is at least or is at most, and what.");
                return;
            }
            AskIf.Holds how =
                    switch (found.group(1).toLowerCase(Locale.ROOT)) {
                        case "is not" -> AskIf.Holds.IS_NOT;
                        case "is at least", "≥" -> AskIf.Holds.AT_LEAST;
                        case "is at most", "≤" -> AskIf.Holds.AT_MOST;
                        default -> AskIf.Holds.IS;
                    };
            askedIf(reader, at, new AskIf(of.get().id(), how, found.group(2).strip()), of.get());
        }

        private void askedIf(Reader reader, int at, AskIf condition, Question of) {
            boolean figures = of.form() instanceof AnswerForm.Number || of.form() instanceof AnswerForm.Scale;
            boolean compares = condition.how() == AskIf.Holds.AT_LEAST || condition.how() == AskIf.Holds.AT_MOST;
            List<String> names =
                    of.form().options().stream().map(AnswerForm.Option::name).toList();
            if (compares && (!figures || !condition.value().matches(FIGURE))) {
                reader.wrong(at, "“" + condition.how().words() + "” needs a question for a number, and a number.");
            } else if (!names.isEmpty() && names.stream().noneMatch(condition.value()::equalsIgnoreCase)) {
                reader.wrong(
                        at,
                        "“" + condition.value() + "” cannot be chosen there; what can is " + String.join(", ", names)
                                + ".");
            } else {
                askedIf = Optional.of(condition);
            }
        }

        Optional<Question> done(Reader reader) {
            if (words.isEmpty()) {
                reader.wrong(number, "the question has no words.");
                return Optional.empty();
            }
            boolean twice = reader.earlier.stream()
                    .anyMatch(one -> Question.plain(one.words()).equals(Question.plain(words)));
            if (twice) {
                reader.wrong(number, "this was asked above already.");
                return Optional.empty();
            }
            try {
                return Optional.of(
                        new Question(UUID.randomUUID(), words, answered(), required, help, example, askedIf));
            } catch (IllegalArgumentException e) {
                reader.wrong(number, String.valueOf(e.getMessage()));
                return Optional.empty();
            }
        }

        private AnswerForm answered() {
            if (inOrder) {
                return new AnswerForm.InOrder(options);
            }
            if (several) {
                return new AnswerForm.SeveralOf(options);
            }
            return options.isEmpty()
                    ? form.orElse(new AnswerForm.Typed(false, OptionalInt.empty()))
                    : new AnswerForm.OneOf(options);
        }
    }

    private static Optional<AnswerForm> way(String line) {
        Matcher typed = LONG.matcher(line);
        if (typed.matches()) {
            return Optional.of(new AnswerForm.Typed(
                    typed.group(1).equalsIgnoreCase("long"),
                    typed.group(2) == null ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(typed.group(2)))));
        }
        Matcher scale = SCALE.matcher(line);
        if (scale.matches()) {
            return Optional.of(new AnswerForm.Scale(
                    Integer.parseInt(scale.group(1)),
                    Integer.parseInt(scale.group(2)),
                    given(scale.group(3)),
                    given(scale.group(4))));
        }
        if (line.equalsIgnoreCase("a day")) {
            return Optional.of(new AnswerForm.OnDay());
        }
        Matcher number = NUMBER.matcher(line);
        if (number.matches()) {
            return Optional.of(new AnswerForm.Number(
                    given(number.group(1)),
                    figure(number.group(2)).or(() -> figure(number.group(4))),
                    figure(number.group(3)).or(() -> figure(number.group(5)))));
        }
        Matcher money = MONEY.matcher(line);
        return money.matches()
                ? Optional.of(new AnswerForm.MoneyRange(
                        money.group(1) == null ? "GBP" : money.group(1).toUpperCase(Locale.ROOT)))
                : Optional.empty();
    }

    private static String given(@org.jspecify.annotations.Nullable String group) {
        return group == null ? "" : group.strip();
    }

    private static Optional<BigDecimal> figure(@org.jspecify.annotations.Nullable String group) {
        return group == null ? Optional.empty() : Optional.of(new BigDecimal(group));
    }

    /** A questionnaire as it would be typed; reading that says the same again. */
    public static String write(Questionnaire questionnaire, List<String> files) {
        List<String> blocks = new ArrayList<>();
        for (Questionnaire.Section section : questionnaire.sections()) {
            if (!section.title().isEmpty() || !section.words().isEmpty()) {
                blocks.add(("# " + section.title() + "\n" + section.words()).strip());
            }
            section.questions().forEach(one -> blocks.add(write(questionnaire, one)));
        }
        files.stream()
                .map(line -> line.split(",\\s*", 2))
                .forEach(line -> blocks.add(line[0] + "\nfile: " + (line.length > 1 ? line[1] : "")));
        return String.join("\n\n", blocks) + "\n";
    }

    private static String write(Questionnaire questionnaire, Question one) {
        List<String> lines = new ArrayList<>();
        lines.add(one.words() + (one.required() ? " *" : ""));
        one.form().options().forEach(option -> lines.add("- " + option.typed()));
        if (one.form() instanceof AnswerForm.SeveralOf) {
            lines.add("several");
        } else if (one.form() instanceof AnswerForm.InOrder) {
            lines.add("in order");
        } else if (one.form().options().isEmpty()) {
            lines.add(one.form().words());
        }
        if (!one.help().isEmpty()) {
            lines.add("help: " + one.help());
        }
        if (!one.example().isEmpty()) {
            lines.add("example: " + one.example());
        }
        one.askedIf()
                .ifPresent(condition -> lines.add("only if "
                        + questionnaire
                                .question(condition.question())
                                .orElseThrow()
                                .words() + " "
                        + condition.how().words() + " " + condition.value()));
        return String.join("\n", lines);
    }
}
