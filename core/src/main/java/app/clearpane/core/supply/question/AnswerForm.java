package app.clearpane.core.supply.question;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * In what form a question is answered. An answer is a list of words: one for what is typed, one for each thing that is
 * chosen.
 */
public sealed interface AnswerForm {
    /** The most letters that one typed answer has. */
    int LONGEST = 10_000;

    /**
     * What was typed or chosen, as an answer; empty if that is nothing.
     *
     * @throws IllegalArgumentException with a sentence that says what would do
     */
    List<String> read(List<String> typed);

    /** In a few words, as it is typed: “one of”, “a day”. */
    String words();

    /** Whether something that was answered before would still be an answer. */
    default boolean takes(List<String> said) {
        try {
            return read(said).equals(said);
        } catch (IllegalArgumentException no) {
            return false;
        }
    }

    /** What may be chosen; empty where something is typed. */
    default List<Option> options() {
        return List.of();
    }

    /** Something that may be chosen. @param picture the name of the picture that shows it */
    record Option(String name, Optional<String> picture) {
        private static final String PICTURE = ", picture: ";

        /** As it is typed: “Night blue, picture: night-blue.png”. */
        static Option read(String typed) {
            int at = typed.toLowerCase(Locale.ROOT).indexOf(PICTURE);
            return at < 0
                    ? new Option(typed.strip(), Optional.empty())
                    : new Option(
                            typed.substring(0, at).strip(),
                            Optional.of(typed.substring(at + PICTURE.length()).strip()));
        }

        String typed() {
            return name + picture.map(file -> PICTURE + file).orElse("");
        }
    }

    /** Words. @param most how many of them, at most */
    record Typed(boolean inLines, OptionalInt most) implements AnswerForm {
        @Override
        public List<String> read(List<String> typed) {
            String text = one(typed).replace("\r\n", "\n").replace('\r', '\n').strip();
            if (text.codePointCount(0, text.length()) > LONGEST) {
                throw new IllegalArgumentException("At most %,d letters fit here.".formatted(LONGEST));
            }
            int words = text.isEmpty() ? 0 : text.split("\\s+").length;
            if (most.isPresent() && words > most.getAsInt()) {
                throw new IllegalArgumentException(
                        "At most " + most.getAsInt() + " words, please; these are " + words + ".");
            }
            return text.isEmpty() ? List.of() : List.of(inLines ? text : text.replaceAll("\\s+", " "));
        }

        @Override
        public String words() {
            return (inLines ? "long" : "short") + (most.isPresent() ? ", at most " + most.getAsInt() + " words" : "");
        }
    }

    /** One of several. */
    record OneOf(List<Option> options) implements AnswerForm {
        public OneOf {
            options = checked(options);
        }

        @Override
        public List<String> read(List<String> typed) {
            List<String> said = chosen(options, typed);
            if (said.size() > 1) {
                throw new IllegalArgumentException("Choose one of them.");
            }
            return said;
        }

        @Override
        public String words() {
            return "one of " + options.size();
        }
    }

    /** Any of several; they are kept in the order in which they stand. */
    record SeveralOf(List<Option> options) implements AnswerForm {
        public SeveralOf {
            options = checked(options);
        }

        @Override
        public List<String> read(List<String> typed) {
            return chosen(options, typed);
        }

        @Override
        public String words() {
            return "several of " + options.size();
        }
    }

    /** All of them, in the order that is right. */
    record InOrder(List<Option> options) implements AnswerForm {
        public InOrder {
            options = checked(options);
        }

        @Override
        public List<String> read(List<String> typed) {
            List<String> said = typed.stream().filter(one -> !one.isBlank()).toList();
            chosen(options, said);
            if (!said.isEmpty() && (said.size() != options.size() || new HashSet<>(said).size() != said.size())) {
                throw new IllegalArgumentException("Put all " + options.size() + " of them in order, each once.");
            }
            return said;
        }

        @Override
        public String words() {
            return options.size() + " in order";
        }
    }

    /** A step on a scale. @param low what its lower end means @param high what its upper end means; may be empty */
    record Scale(int from, int to, String low, String high) implements AnswerForm {
        /** The most steps that a scale has. */
        public static final int MOST = 11;

        public Scale {
            if (to <= from || to - from >= MOST) {
                throw new IllegalArgumentException("A scale has 2 to " + MOST + " steps, from low to high.");
            }
        }

        @Override
        public List<String> read(List<String> typed) {
            String text = one(typed).strip();
            if (text.isEmpty()) {
                return List.of();
            }
            if (!text.matches("-?\\d{1,4}") || Integer.parseInt(text) < from || Integer.parseInt(text) > to) {
                throw new IllegalArgumentException("Choose a step from " + from + " to " + to + ".");
            }
            return List.of(String.valueOf(Integer.parseInt(text)));
        }

        @Override
        public String words() {
            return "from " + from + " to " + to + (low.isEmpty() ? "" : ", " + low + " to " + high);
        }
    }

    /** A day. */
    record OnDay() implements AnswerForm {
        @Override
        public List<String> read(List<String> typed) {
            String text = one(typed).strip();
            if (text.isEmpty()) {
                return List.of();
            }
            try {
                LocalDate day = LocalDate.parse(text);
                if (day.getYear() >= 1900 && day.getYear() <= 9999) {
                    return List.of(day.toString());
                }
            } catch (DateTimeParseException e) {
                // said below
            }
            throw new IllegalArgumentException("Choose a day, or type it as 2027-03-24.");
        }

        @Override
        public String words() {
            return "a day";
        }
    }

    /** A number. @param unit of what, may be empty */
    record Number(String unit, Optional<BigDecimal> least, Optional<BigDecimal> most) implements AnswerForm {
        @Override
        public List<String> read(List<String> typed) {
            String text = one(typed).strip();
            if (text.isEmpty()) {
                return List.of();
            }
            BigDecimal number =
                    figure(text).orElseThrow(() -> new IllegalArgumentException("Type a number, like 40 or 2.5."));
            if (least.filter(limit -> number.compareTo(limit) < 0).isPresent()
                    || most.filter(limit -> number.compareTo(limit) > 0).isPresent()) {
                throw new IllegalArgumentException(
                        "It should be " + between(least, most) + (unit.isEmpty() ? "" : " " + unit) + ".");
            }
            return List.of(plain(number));
        }

        @Override
        public String words() {
            String limits = least.isEmpty() && most.isEmpty() ? "" : ", " + between(least, most);
            return "a number" + (unit.isEmpty() ? "" : " of " + unit) + limits;
        }

        private static String between(Optional<BigDecimal> least, Optional<BigDecimal> most) {
            if (least.isPresent() && most.isPresent()) {
                return plain(least.get()) + " to " + plain(most.get());
            }
            return least.map(limit -> "at least " + plain(limit))
                    .orElseGet(() -> "at most " + plain(most.orElse(BigDecimal.ZERO)));
        }
    }

    /** From how much money to how much. @param currency as ISO 4217 has it, “GBP” */
    record MoneyRange(String currency) implements AnswerForm {
        @Override
        public List<String> read(List<String> typed) {
            List<String> both = typed.stream()
                    .map(String::strip)
                    .filter(one -> !one.isEmpty())
                    .toList();
            if (both.isEmpty()) {
                return List.of();
            }
            List<BigDecimal> read = both.stream()
                    .flatMap(one -> figure(one).stream())
                    .filter(one -> one.signum() >= 0)
                    .toList();
            if (both.size() != 2 || read.size() != 2 || read.get(0).compareTo(read.get(1)) > 0) {
                throw new IllegalArgumentException("Type two amounts, the lower one first, like 2000 and 3500.");
            }
            return read.stream().map(AnswerForm::plain).toList();
        }

        @Override
        public String words() {
            return "a money range in " + currency;
        }
    }

    private static List<Option> checked(List<Option> options) {
        if (options.size() < 2) {
            throw new IllegalArgumentException("There should be two things or more to choose from.");
        }
        if (options.stream().map(Option::name).distinct().count() < options.size()) {
            throw new IllegalArgumentException("Two of what can be chosen are the same.");
        }
        return List.copyOf(options);
    }

    private static String one(List<String> typed) {
        return typed.isEmpty() ? "" : typed.get(0);
    }

    private static List<String> chosen(List<Option> options, List<String> typed) {
        List<String> said = typed.stream().filter(one -> !one.isBlank()).toList();
        List<String> names = options.stream().map(Option::name).toList();
        if (!names.containsAll(said)) {
            throw new IllegalArgumentException("Choose of what stands there.");
        }
        return names.stream().filter(said::contains).toList();
    }

    private static Optional<BigDecimal> figure(String text) {
        return text.replace(" ", "").matches("-?\\d{1,12}(?:[.]\\d{1,6})?|-?\\d{1,3}(?:,\\d{3}){1,3}(?:[.]\\d{1,6})?")
                ? Optional.of(new BigDecimal(text.replace(" ", "").replace(",", "")))
                : Optional.empty();
    }

    private static String plain(BigDecimal number) {
        return number.signum() == 0 ? "0" : number.stripTrailingZeros().toPlainString();
    }
}
