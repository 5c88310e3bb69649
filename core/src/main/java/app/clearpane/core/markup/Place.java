package app.clearpane.core.markup;

import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Where a mark is (M1): a page and a shape on it, in fractions of the upright page from its top left corner; a stretch
 * of a text; or a moment or span of what is played, with a shape on its picture or without. Texts and what is played
 * are one page.
 */
public sealed interface Place {
    /** The page, from 1. */
    int page();

    /** The smallest box around it, in fractions of the page. */
    Box bounds();

    /** The height at which its note wants to stand, in fractions of the page's height. */
    default double centreY() {
        return bounds().y() + bounds().height() / 2;
    }

    /** The middle from left to right, in fractions of the page's width. */
    default double centreX() {
        return bounds().x() + bounds().width() / 2;
    }

    /**
     * The same shape on another page, each of its spots brought there.
     *
     * @param bring may not leave the page
     * @return a point where a box would have no size any more
     */
    Place brought(int toPage, UnaryOperator<Spot> bring);

    /** A spot. */
    record Point(int page, double x, double y) implements Place {
        public Point {
            onPage(page, x, y);
        }

        @Override
        public Box bounds() {
            return new Box(x, y, 0, 0);
        }

        @Override
        public Place brought(int toPage, UnaryOperator<Spot> bring) {
            Spot spot = bring.apply(new Spot(x, y));
            return new Point(toPage, spot.x, spot.y);
        }
    }

    /**
     * A rectangle with its sides along the page's.
     *
     * @param width above 0; the right edge may not leave the page
     * @param height above 0; the lower edge may not leave the page
     */
    record Rectangle(int page, double x, double y, double width, double height) implements Place {
        public Rectangle {
            inBox("a rectangle", page, new Box(x, y, width, height));
        }

        @Override
        public Box bounds() {
            return new Box(x, y, width, height);
        }

        @Override
        public Place brought(int toPage, UnaryOperator<Spot> bring) {
            return broughtBox(bounds(), bring)
                    .<Place>map(box -> new Rectangle(toPage, box.x(), box.y(), box.width(), box.height()))
                    .orElseGet(() -> new Point(toPage, x, y).brought(toPage, bring));
        }
    }

    /**
     * An ellipse in a box with its sides along the page's.
     *
     * @param width above 0; the right edge may not leave the page
     * @param height above 0; the lower edge may not leave the page
     */
    record Ellipse(int page, double x, double y, double width, double height) implements Place {
        public Ellipse {
            inBox("an ellipse", page, new Box(x, y, width, height));
        }

        @Override
        public Box bounds() {
            return new Box(x, y, width, height);
        }

        @Override
        public Place brought(int toPage, UnaryOperator<Spot> bring) {
            return broughtBox(bounds(), bring)
                    .<Place>map(box -> new Ellipse(toPage, box.x(), box.y(), box.width(), box.height()))
                    .orElseGet(() -> new Point(toPage, x, y).brought(toPage, bring));
        }
    }

    /** A straight line between two spots. */
    record Line(int page, double fromX, double fromY, double toX, double toY) implements Place {
        public Line {
            onPage(page, fromX, fromY, toX, toY);
        }

        @Override
        public Box bounds() {
            return Box.between(fromX, fromY, toX, toY);
        }

        @Override
        public Place brought(int toPage, UnaryOperator<Spot> bring) {
            Spot from = bring.apply(new Spot(fromX, fromY));
            Spot to = bring.apply(new Spot(toX, toY));
            return new Line(toPage, from.x, from.y, to.x, to.y);
        }
    }

    /**
     * A line drawn by hand.
     *
     * @param spots in the order they were drawn, 2 to 10,000
     */
    record Freehand(int page, List<Spot> spots) implements Place {
        /** The most spots one line may have. */
        public static final int MOST_SPOTS = 10_000;

        public Freehand {
            spots = List.copyOf(spots);
            if (spots.size() < 2 || spots.size() > MOST_SPOTS) {
                throw new OutOfRange("a line drawn by hand has 2 to " + MOST_SPOTS + " spots, got " + spots.size());
            }
            spots.forEach(spot -> onPage(page, spot.x, spot.y));
        }

        /** The line as it was drawn, without the spots that are not needed to tell its course. */
        public static Freehand drawn(int page, List<Spot> spots) {
            return new Freehand(page, Simplified.of(spots));
        }

        @Override
        public Box bounds() {
            DoubleSummaryStatistics across = spots.stream().mapToDouble(Spot::x).summaryStatistics();
            DoubleSummaryStatistics down = spots.stream().mapToDouble(Spot::y).summaryStatistics();
            return Box.between(across.getMin(), down.getMin(), across.getMax(), down.getMax());
        }

        @Override
        public Place brought(int toPage, UnaryOperator<Spot> bring) {
            return new Freehand(toPage, spots.stream().map(bring).toList());
        }
    }

    /** A spot on a page, in fractions of its width and height. */
    record Spot(double x, double y) {}

    /** An arrow from its tail to its tip. What it is about lies at the tip. */
    record Arrow(int page, double fromX, double fromY, double toX, double toY) implements Place {
        public Arrow {
            onPage(page, fromX, fromY, toX, toY);
        }

        @Override
        public Box bounds() {
            return Box.between(fromX, fromY, toX, toY);
        }

        @Override
        public Place brought(int toPage, UnaryOperator<Spot> bring) {
            Spot from = bring.apply(new Spot(fromX, fromY));
            Spot to = bring.apply(new Spot(toX, toY));
            return new Arrow(toPage, from.x, from.y, to.x, to.y);
        }
    }

    /**
     * A stretch of a text, by its characters (UTF-16), with what stands around it, so that it can be found again when
     * the text moves.
     *
     * @param start of the first character, from 0
     * @param end after the last character; above {@code start}
     * @param quote the stretch itself
     * @param before up to 32 characters before it
     * @param after up to 32 characters after it
     */
    record TextRange(int start, int end, String quote, String before, String after) implements Place {
        /** The most characters of what stands around it. */
        public static final int CONTEXT = 32;

        public TextRange {
            if (start < 0 || end - start != quote.length() || quote.isEmpty()) {
                throw new OutOfRange("a stretch of a text has at least one character and is as long as its quote, got "
                        + start + " to " + end);
            }
        }

        /**
         * The stretch of a text between two characters, the second not counted. @throws OutOfRange if they are not in
         * the text, in this order
         */
        public static TextRange in(String text, int start, int end) {
            if (start < 0 || end > text.length() || start >= end) {
                throw new OutOfRange("a stretch lies within its text of " + text.length() + " characters, got " + start
                        + " to " + end);
            }
            return new TextRange(
                    start,
                    end,
                    text.substring(start, end),
                    text.substring(Math.max(0, start - CONTEXT), start),
                    text.substring(end, Math.min(text.length(), end + CONTEXT)));
        }

        /** Whether the two share a character. */
        public boolean shares(TextRange other) {
            return start < other.end && other.start < end;
        }

        @Override
        public int page() {
            return 1;
        }

        @Override
        public Box bounds() {
            return new Box(0, 0, 1, 1);
        }

        @Override
        public Place brought(int toPage, UnaryOperator<Spot> bring) {
            return this;
        }
    }

    /**
     * A moment of what is played, or a span of it.
     *
     * @param from in seconds from its beginning
     * @param to the same for a moment; not before {@code from}
     * @param shape on the picture; empty if the whole is meant
     */
    record Moment(double from, double to, Optional<Place> shape) implements Place {
        /** The longest that anything may be played, in seconds: ten hours. */
        public static final double LONGEST = 36_000;
        /**
         * Somebody who means a moment does not stop at the same picture as somebody else: so far from each other, in
         * seconds, two moments are one.
         */
        private static final double ABOUT = 0.5;

        public Moment {
            if (!(from >= 0 && to >= from && to <= LONGEST)) {
                throw new OutOfRange("a span lies within what is played and does not end before it begins, got " + from
                        + " to " + to);
            }
            if (shape.filter(inner -> inner instanceof Moment || inner instanceof TextRange || inner.page() != 1)
                    .isPresent()) {
                throw new OutOfRange("the shape of a moment lies on its picture");
            }
        }

        /** Whether it is a span and not a moment. */
        public boolean isSpan() {
            return to > from;
        }

        /** Whether the two are about the same time. */
        public boolean meets(Moment other) {
            return from <= other.to + (isSpan() && other.isSpan() ? 0 : ABOUT)
                    && other.from <= to + (isSpan() && other.isSpan() ? 0 : ABOUT);
        }

        @Override
        public int page() {
            return 1;
        }

        @Override
        public Box bounds() {
            return shape.map(Place::bounds).orElse(new Box(0, 0, 1, 1));
        }

        @Override
        public Place brought(int toPage, UnaryOperator<Spot> bring) {
            return new Moment(from, to, shape.map(inner -> inner.brought(1, bring)));
        }
    }

    /** A place that is not on a page. */
    final class OutOfRange extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        OutOfRange(String message) {
            super(message);
        }
    }

    private static void inBox(String what, int page, Box box) {
        onPage(page, box.x(), box.y(), box.right(), box.bottom());
        if (box.width() <= 0 || box.height() <= 0) {
            throw new OutOfRange(
                    what + " needs a width and a height above 0, got " + box.width() + " × " + box.height());
        }
    }

    /** A box on another page; empty where it would have no size any more. */
    private static Optional<Box> broughtBox(Box box, UnaryOperator<Spot> bring) {
        Spot from = bring.apply(new Spot(box.x(), box.y()));
        Spot to = bring.apply(new Spot(box.right(), box.bottom()));
        return to.x > from.x && to.y > from.y
                ? Optional.of(new Box(from.x, from.y, to.x - from.x, to.y - from.y))
                : Optional.empty();
    }

    private static void onPage(int page, double... fractions) {
        if (page < 1) {
            throw new OutOfRange("pages count from 1, got " + page);
        }
        for (double fraction : fractions) {
            if (!(fraction >= 0 && fraction <= 1 + 1e-9)) {
                throw new OutOfRange("a place lies between 0 and 1 of its page, got " + fraction);
            }
        }
    }
}
