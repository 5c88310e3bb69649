package app.clearpane.formats.supply;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Tells rows of values from running text, since neither says what it is: every row has as many marks between its values
 * as the first. Commas count only where no space follows, as it does in sentences, and where there are three rows.
 */
public final class TypedTable {
    private static final int LOOKED_AT = 50;
    private static final List<Between> BETWEEN =
            List.of(new Between('\t', "\t", 2), new Between(';', ";", 2), new Between(',', ",(?! )", 3));
    private static final Pattern QUOTED = Pattern.compile("\"[^\"]*\"");

    private TypedTable() {}

    /** What may stand between values. @param rows how many there must be, at least */
    private record Between(char sign, Pattern mark, int rows) {
        Between(char sign, String mark, int rows) {
            this(sign, Pattern.compile(mark), rows);
        }

        long in(String row) {
            return mark.matcher(row).results().count();
        }
    }

    /** Whether a text is rows of values. */
    static boolean is(String text) {
        return between(text).isPresent();
    }

    /** What stands between the values of a text that is rows of them. */
    public static Optional<Character> between(String text) {
        List<String> rows = text.lines()
                .filter(line -> !line.isBlank())
                .limit(LOOKED_AT)
                .map(line -> QUOTED.matcher(line).replaceAll("x"))
                .toList();
        return BETWEEN.stream()
                .filter(between -> rows.size() >= between.rows()
                        && between.in(rows.get(0)) > 0
                        && rows.stream().allMatch(row -> between.in(row) == between.in(rows.get(0))))
                .findFirst()
                .map(Between::sign);
    }
}
