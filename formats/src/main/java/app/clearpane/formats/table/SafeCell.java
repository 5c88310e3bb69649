package app.clearpane.formats.table;

/** Text in a cell that no spreadsheet takes for a formula. */
public final class SafeCell {
    private SafeCell() {}

    /** The text, behind an apostrophe where it would begin a formula. */
    public static String of(String text) {
        return text.isEmpty() || "=+-@\t\r".indexOf(text.charAt(0)) < 0 ? text : "'" + text;
    }
}
