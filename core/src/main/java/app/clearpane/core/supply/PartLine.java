package app.clearpane.core.supply;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * One thing that is wanted, as somebody types it in a line: “3 photographs of the dome, 200 dpi at A2, landscape, not
 * from a phone”. What stands first says how many and what; each further phrase is what is asked of it. What every check
 * says of itself is read as that check. A phrase that is none of these is kept as words for whoever is asked.
 *
 * @param good phrases that are no checks
 * @param bad of those, what begins with “not”
 */
public record PartLine(
        String name, Takes takes, int wanted, List<Check> checks, List<String> choices, String good, String bad) {
    /** The most that may be wanted of one thing. */
    public static final int MOST = 1_000;

    private static final Pattern BETWEEN_PHRASES = Pattern.compile("\\s*(?:[,;](?!\\d{3}(?!\\d)))\\s*");
    private static final List<String> NUMBERS =
            List.of("one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");
    private static final Pattern COUNTED =
            Pattern.compile("(?i)(\\d{1,4}|an?|" + String.join("|", NUMBERS) + ")\\s+(.+)");
    private static final Map<String, FileKind> KINDS = kinds();
    private static final Pattern KIND = Pattern.compile("(?i)(" + String.join("|", KINDS.keySet()) + ")(?![\\w-]).*");
    private static final Pattern EITHER = Pattern.compile("(?i)\\s+or\\s+");
    private static final Pattern ARTICLE = Pattern.compile("(?i)^(?:an?|as an?|as)\\s+");
    private static final String NUMBER = "([\\d,]{1,11})";
    private static final Pattern PIXELS =
            Pattern.compile("(?i)(?:at least )?" + NUMBER + "\\s*[x×*]\\s*" + NUMBER + "\\s*(?:px|pixels?)");
    private static final Pattern DPI_AT =
            Pattern.compile("(?i)(?:at least )?(\\d{2,4})\\s*dpi\\s+(?:at|for|on)\\s+(.+)");
    private static final Pattern AT_DPI =
            Pattern.compile("(?i)(.+?)\\s+(?:at|with)\\s+(?:at least )?(\\d{2,4})\\s*dpi");
    private static final Pattern SHEET = Pattern.compile(
            "(?i)(.+?)(?:\\s+with\\s+(\\d{1,3}(?:\\.\\d)?)\\s*mm(?:\\s+(?:of\\s+)?(?:bleed|around it)))?");
    private static final String RANGE = "(?:at most |up to )?" + NUMBER + "(?:\\s*(?:to|-|–)\\s*" + NUMBER + ")?\\s+";
    private static final Pattern PAGES = Pattern.compile("(?i)" + RANGE + "pages?");
    private static final Pattern WORDS = Pattern.compile("(?i)" + RANGE + "words?");
    private static final Pattern AT_MOST = Pattern.compile("(?i)(?:at most|up to) .*");
    private static final Pattern PLAYED =
            Pattern.compile("(?i)(\\d{1,2}(?::\\d{2}){1,2}) to (\\d{1,2}(?::\\d{2}){1,2})(?: long)?");
    private static final Pattern PLAYED_AT_MOST =
            Pattern.compile("(?i)(?:at most|up to) (\\d{1,4}) (seconds?|s|minutes?|min)(?: long)?");
    private static final Pattern ONE_OF = Pattern.compile("(?i)one of:?\\s+(.+/.+)");
    private static final Set<String> FONTS =
            Set.of("every font within it", "fonts within", "fonts embedded", "all fonts embedded");
    private static final Map<String, Takes> FORMS = Map.ofEntries(
            Map.entry("typed here", Takes.TEXT),
            Map.entry("typed", Takes.TEXT),
            Map.entry("an address", Takes.ADDRESS),
            Map.entry("address", Takes.ADDRESS),
            Map.entry("access details", Takes.ACCESS),
            Map.entry("sealed", Takes.ACCESS),
            Map.entry("a day", Takes.DAY),
            Map.entry("a date", Takes.DAY),
            Map.entry("a link", Takes.LINK));

    public PartLine {
        checks = List.copyOf(checks);
        choices = List.copyOf(choices);
    }

    private static Map<String, FileKind> kinds() {
        Map<String, FileKind> kinds = new LinkedHashMap<>();
        Stream.of("photographs?", "photos?", "pictures?").forEach(noun -> kinds.put(noun, FileKind.PHOTOGRAPH));
        Stream.of("vector drawings?", "vectors?").forEach(noun -> kinds.put(noun, FileKind.DRAWING));
        kinds.put("pdfs?", FileKind.PDF);
        Stream.of("documents?", "texts? as a file").forEach(noun -> kinds.put(noun, FileKind.TEXT));
        Stream.of("tables?", "spreadsheets?").forEach(noun -> kinds.put(noun, FileKind.TABLE));
        kinds.put("slides", FileKind.SLIDES);
        Stream.of("films?", "videos?").forEach(noun -> kinds.put(noun, FileKind.FILM));
        Stream.of("sounds?", "recordings?").forEach(noun -> kinds.put(noun, FileKind.SOUND));
        kinds.put("archives?", FileKind.ARCHIVE);
        return kinds;
    }

    /** What a line says; empty if it says nothing. */
    public static Optional<PartLine> read(String line) {
        List<String> phrases = Arrays.stream(BETWEEN_PHRASES.split(line.strip()))
                .filter(phrase -> !phrase.isBlank())
                .toList();
        if (phrases.isEmpty()) {
            return Optional.empty();
        }
        Reading reading = new Reading();
        reading.first(phrases.get(0));
        phrases.stream().skip(1).forEach(reading::further);
        return Optional.of(reading.done());
    }

    /** A line while it is read. */
    private static final class Reading {
        private String name = "";
        private int wanted = 1;
        private Optional<Takes> takes = Optional.empty();
        private final Map<Class<?>, Check> checks = new LinkedHashMap<>();
        private final List<String> choices = new ArrayList<>();
        private final List<String> good = new ArrayList<>();
        private final List<String> bad = new ArrayList<>();

        void first(String phrase) {
            String what = phrase;
            Matcher counted = COUNTED.matcher(phrase);
            if (counted.matches()) {
                wanted = Math.max(1, Math.min(MOST, number(counted.group(1))));
                what = counted.group(2);
            }
            Matcher kind = KIND.matcher(what);
            if (kind.matches()) {
                put(new Check.OfKind(Set.of(kind(kind.group(1)).orElseThrow())));
            }
            name = what.substring(0, 1).toUpperCase(Locale.ROOT) + what.substring(1);
        }

        private static int number(String said) {
            int word = NUMBERS.indexOf(said.toLowerCase(Locale.ROOT));
            return word >= 0 ? word + 1 : Character.isDigit(said.charAt(0)) ? Integer.parseInt(said) : 1;
        }

        void further(String phrase) {
            String plain = phrase.toLowerCase(Locale.ROOT);
            Optional<Check> check = check(phrase);
            Matcher oneOf = ONE_OF.matcher(phrase);
            if (check.isPresent()) {
                put(check.get());
            } else if (FORMS.containsKey(plain)) {
                takes = Optional.ofNullable(FORMS.get(plain));
            } else if (oneOf.matches()) {
                takes = Optional.of(Takes.CHOICE);
                Arrays.stream(oneOf.group(1).split("/"))
                        .map(String::strip)
                        .filter(choice -> !choice.isEmpty())
                        .forEach(choices::add);
            } else {
                (plain.startsWith("not ") ? bad : good).add(phrase);
            }
        }

        private void put(Check check) {
            checks.put(check.getClass(), check);
        }

        PartLine done() {
            Takes form = takes.orElse(
                    checks.containsKey(Check.WordsBetween.class) && !checks.containsKey(Check.OfKind.class)
                            ? Takes.TEXT
                            : Takes.FILES);
            List<Check> kept = new ArrayList<>(checks.values());
            if (form == Takes.FILES) {
                kept.add(new Check.Unlocked());
                kept.add(new Check.WithoutMacros());
            } else {
                kept.removeIf(check -> form != Takes.TEXT || !(check instanceof Check.WordsBetween));
            }
            return new PartLine(
                    name, form, form == Takes.FILES ? wanted : 1, kept, choices, sentence(good), sentence(bad));
        }

        private static String sentence(List<String> phrases) {
            String joined = String.join(", ", phrases);
            return joined.isEmpty() ? "" : joined.substring(0, 1).toUpperCase(Locale.ROOT) + joined.substring(1);
        }
    }

    /** What a phrase asks of a file, if it asks anything that can be found out. */
    static Optional<Check> check(String phrase) {
        String plain = phrase.toLowerCase(Locale.ROOT);
        if (plain.equals("no password") || plain.equals("no macros")) {
            return Optional.of(plain.equals("no macros") ? new Check.WithoutMacros() : new Check.Unlocked());
        }
        if (FONTS.contains(plain)) {
            return Optional.of(new Check.FontsWithin());
        }
        return pixels(phrase)
                .or(() -> sharp(phrase))
                .or(() -> counted(phrase))
                .or(() -> played(phrase))
                .or(() -> sheet(phrase))
                .or(() -> colours(phrase))
                .or(() -> ofKind(phrase));
    }

    private static Optional<Check> pixels(String phrase) {
        Matcher found = PIXELS.matcher(phrase);
        return found.matches() && figure(found.group(1)) > 0 && figure(found.group(2)) > 0
                ? Optional.of(new Check.AtLeast(new Pixels(figure(found.group(1)), figure(found.group(2)))))
                : Optional.empty();
    }

    private static Optional<Check> sharp(String phrase) {
        Matcher first = DPI_AT.matcher(phrase);
        if (first.matches()) {
            int dpi = Integer.parseInt(first.group(1));
            return PrintSize.read(first.group(2)).map(size -> new Check.Sharp(dpi, size));
        }
        Matcher last = AT_DPI.matcher(phrase);
        if (last.matches()) {
            int dpi = Integer.parseInt(last.group(2));
            return PrintSize.read(last.group(1)).map(size -> new Check.Sharp(dpi, size));
        }
        return Optional.empty();
    }

    private static Optional<Check> counted(String phrase) {
        Matcher pages = PAGES.matcher(phrase);
        if (pages.matches() && most(pages) > 0) {
            return Optional.of(new Check.PagesBetween(least(phrase, pages), most(pages)));
        }
        Matcher words = WORDS.matcher(phrase);
        return words.matches() && most(words) > 0
                ? Optional.of(new Check.WordsBetween(least(phrase, words), most(words)))
                : Optional.empty();
    }

    private static int least(String phrase, Matcher range) {
        return AT_MOST.matcher(phrase).matches() ? 0 : Math.min(figure(range.group(1)), most(range));
    }

    private static int most(Matcher range) {
        return range.group(2) == null
                ? figure(range.group(1))
                : Math.max(figure(range.group(1)), figure(range.group(2)));
    }

    private static Optional<Check> played(String phrase) {
        Matcher both = PLAYED.matcher(phrase);
        if (both.matches()) {
            return Optional.of(new Check.PlaysFor(length(both.group(1)), length(both.group(2))));
        }
        Matcher most = PLAYED_AT_MOST.matcher(phrase);
        if (most.matches()) {
            long number = Long.parseLong(most.group(1));
            boolean minutes = most.group(2).toLowerCase(Locale.ROOT).startsWith("m");
            return Optional.of(new Check.PlaysFor(
                    Duration.ZERO, minutes ? Duration.ofMinutes(number) : Duration.ofSeconds(number)));
        }
        return Optional.empty();
    }

    private static Duration length(String typed) {
        long seconds = 0;
        for (String part : typed.split(":")) {
            seconds = seconds * 60 + Long.parseLong(part);
        }
        return Duration.ofSeconds(seconds);
    }

    private static Optional<Check> sheet(String phrase) {
        Matcher found = SHEET.matcher(phrase);
        return found.matches()
                ? PrintSize.read(found.group(1))
                        .map(size -> new Check.Trimmed(
                                size, found.group(2) == null ? 0 : Double.parseDouble(found.group(2))))
                : Optional.empty();
    }

    private static Optional<Check> colours(String phrase) {
        EnumSet<ColourSpace> wanted = EnumSet.noneOf(ColourSpace.class);
        boolean all = eachIs(
                phrase,
                one -> Arrays.stream(ColourSpace.values())
                        .filter(space -> space.words().equalsIgnoreCase(one))
                        .findFirst(),
                wanted::add);
        return all ? Optional.of(new Check.InColours(wanted)) : Optional.empty();
    }

    private static Optional<Check> ofKind(String phrase) {
        EnumSet<FileKind> wanted = EnumSet.noneOf(FileKind.class);
        boolean all = eachIs(
                phrase,
                one -> Arrays.stream(FileKind.values())
                        .filter(kind -> kind.words().equalsIgnoreCase(one))
                        .findFirst()
                        .or(() -> kind(ARTICLE.matcher(one).replaceFirst(""))),
                wanted::add);
        return all ? Optional.of(new Check.OfKind(wanted)) : Optional.empty();
    }

    private static Optional<FileKind> kind(String noun) {
        return KINDS.entrySet().stream()
                .filter(kind -> noun.toLowerCase(Locale.ROOT).matches(kind.getKey()))
                .map(Map.Entry::getValue)
                .findFirst();
    }

    private interface Known<T> {
        Optional<T> find(String word);
    }

    /** Whether each of the things between “or” is known; those that are, are taken. */
    private static <T> boolean eachIs(String phrase, Known<T> known, Consumer<T> take) {
        for (String one : EITHER.split(phrase.strip())) {
            Optional<T> found = known.find(one);
            if (found.isEmpty()) {
                return false;
            }
            take.accept(found.get());
        }
        return true;
    }

    private static int figure(String grouped) {
        String digits = grouped.replace(",", "");
        return digits.isEmpty() || digits.length() > 8 ? 0 : Integer.parseInt(digits);
    }
}
