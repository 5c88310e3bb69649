package app.clearpane.core.files;

import java.util.ArrayList;
import java.util.List;

/**
 * What stands in a file that has no pages to draw, as far as it is shown.
 *
 * @param parts in their order: the sheets of a table, the slides, or one part for a text or an archive
 * @param more whether there is more than is shown
 */
public record Inside(Shape shape, List<Part> parts, boolean more) {
    /** Most rows of all parts together. */
    public static final int MOST_ROWS = 400;

    private static final int MOST_PARTS = 60;
    private static final int MOST_CELLS = 20;
    private static final int LONGEST_CELL = 600;

    public Inside {
        parts = List.copyOf(parts);
    }

    /** What it is. */
    public enum Shape {
        TEXT,
        TABLE,
        SLIDES,
        ARCHIVE;

        public boolean isTable() {
            return this == TABLE;
        }

        public boolean isArchive() {
            return this == ARCHIVE;
        }
    }

    /**
     * A part of it.
     *
     * @param title of a sheet; empty where it has none
     * @param rows of a table its cells; of a text one cell a paragraph; of an archive the way to a file and its size
     */
    public record Part(String title, List<List<String>> rows) {
        public Part {
            rows = rows.stream().map(List::copyOf).toList();
        }

        /** How many cells its longest row has. */
        public int width() {
            return rows.stream().mapToInt(List::size).max().orElse(0);
        }
    }

    /** Whether there is nothing in it to show. */
    public boolean isEmpty() {
        return parts.stream().allMatch(part -> part.rows().isEmpty());
    }

    /** Takes what is read row by row, until there is enough of it. */
    public static final class Reader {
        private final Shape shape;
        private final List<Part> parts = new ArrayList<>();
        private String title = "";
        private List<List<String>> rows = new ArrayList<>();
        private int taken;
        private boolean more;

        public Reader(Shape shape) {
            this.shape = shape;
        }

        /** Begins a further part. @return false if that is one too many */
        public boolean begins(String named) {
            end();
            if (parts.size() >= MOST_PARTS || taken >= MOST_ROWS) {
                more = true;
                return false;
            }
            title = shortened(named.strip());
            return true;
        }

        /** Takes a row; an empty one at the end of a part is left out. @return false if that is one too many */
        public boolean row(List<String> cells) {
            if (taken >= MOST_ROWS) {
                more = true;
                return false;
            }
            taken++;
            more |= cells.size() > MOST_CELLS;
            rows.add(withoutEmptyEnd(
                    cells.stream().limit(MOST_CELLS).map(this::shortened).toList()));
            return true;
        }

        /** A row of one cell; blank text is left out. @return false if that is one too many */
        public boolean line(String text) {
            return text.isBlank() || row(List.of(text.strip()));
        }

        private String shortened(String text) {
            if (text.codePointCount(0, text.length()) <= LONGEST_CELL) {
                return text;
            }
            more = true;
            return text.substring(0, text.offsetByCodePoints(0, LONGEST_CELL - 1)) + "…";
        }

        private static List<String> withoutEmptyEnd(List<String> cells) {
            int last = cells.size();
            while (last > 0 && cells.get(last - 1).isBlank()) {
                last--;
            }
            return cells.subList(0, last);
        }

        private void end() {
            while (!rows.isEmpty() && rows.get(rows.size() - 1).isEmpty()) {
                rows.remove(rows.size() - 1);
            }
            if (!rows.isEmpty()) {
                parts.add(new Part(title, rows));
            }
            title = "";
            rows = new ArrayList<>();
        }

        /** What was read. */
        public Inside whole() {
            end();
            return new Inside(shape, parts, more);
        }
    }
}
