package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.WorkKind;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.Spots;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Refused;
import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A mark as it comes from a page. Numbers are fractions of the sheet; of a rectangle and an ellipse the second pair is
 * its width and height, of an arrow and a line its other end.
 *
 * @param shape "TEXT" for a stretch of a text, "NONE" for a moment without a shape
 * @param spots of a line drawn by hand, as {@link Spots} writes them; missing for other shapes
 * @param audience "team" keeps it from clients
 * @param start of a stretch of a text, its first character; missing if only its words are given
 * @param quote the words of that stretch
 * @param instead the wording asked for in their place; may be empty or missing
 * @param from of a moment, in seconds
 * @param to of a span; missing for a moment
 */
public record MarkForm(
        int page,
        String shape,
        double x1,
        double y1,
        double x2,
        double y2,
        @Nullable String spots,
        String intent,
        String note,
        String audience,
        @Nullable Integer start,
        @Nullable String quote,
        @Nullable String instead,
        @Nullable Double from,
        @Nullable Double to) {
    static final int LONGEST_NOTE = 2_000;
    static final int LONGEST_QUOTE = 4_000;

    /** A mark on a sheet. */
    public static MarkForm onSheet(
            int page,
            String shape,
            double x1,
            double y1,
            double x2,
            double y2,
            String intent,
            String note,
            String audience) {
        return new MarkForm(page, shape, x1, y1, x2, y2, null, intent, note, audience, null, null, null, null, null);
    }

    /** Where it is. @param text of the version, if it is one */
    Place place(WorkKind kind, Optional<String> text) {
        if (kind == WorkKind.TEXT) {
            return range(text.orElseThrow());
        }
        if (!kind.played()) {
            return shapeOnSheet();
        }
        try {
            return new Place.Moment(
                    from == null ? 0 : from,
                    to == null ? from == null ? 0 : from : to,
                    shape.equals("NONE") ? Optional.empty() : Optional.of(shapeOnSheet()));
        } catch (Place.OutOfRange outside) {
            throw Refused.because(
                    "The mark ends before it begins, or lies outside what is played. Nothing was saved; place "
                            + "it again.");
        }
    }

    private Place range(String text) {
        String words = quote == null ? "" : quote.replace("\r\n", "\n");
        if (words.isBlank() || words.length() > LONGEST_QUOTE) {
            throw Refused.because(
                    words.isBlank()
                            ? "Choose the words that you mean first."
                            : "Up to %,d characters can be marked at a time; these are %,d. Nothing was saved."
                                    .formatted(LONGEST_QUOTE, words.length()));
        }
        int at = start != null && text.startsWith(words, start) ? start : text.indexOf(words);
        if (at < 0) {
            throw Refused.because(
                    "These words are not in this version. Nothing was saved; choose them in the text once more.");
        }
        return Place.TextRange.in(text, at, at + words.length());
    }

    /** The wording asked for; null if none is given. */
    @Nullable
    String replacement() {
        Input input = new Input();
        String words = input.text("The wording", instead == null ? "" : instead, LONGEST_NOTE);
        input.allGood();
        return words.isEmpty() || !"TEXT".equals(shape) ? null : words;
    }

    private Place shapeOnSheet() {
        try {
            return switch (shape) {
                case "POINT" -> new Place.Point(page, x1, y1);
                case "RECTANGLE" -> new Place.Rectangle(page, x1, y1, x2, y2);
                case "ELLIPSE" -> new Place.Ellipse(page, x1, y1, x2, y2);
                case "LINE" -> new Place.Line(page, x1, y1, x2, y2);
                case "FREEHAND" -> Place.Freehand.drawn(page, Spots.read(spots == null ? "" : spots));
                case "ARROW" -> new Place.Arrow(page, x1, y1, x2, y2);
                default ->
                    throw Refused.because("This kind of mark is not known. Use one of the tools above the sheet.");
            };
        } catch (Place.OutOfRange outside) {
            throw Refused.because(
                    "The mark lies outside the sheet, or is a longer line than the %,d spots that one mark may "
                            + "have. Nothing was saved; place it again.".formatted(Place.Freehand.MOST_SPOTS));
        }
    }

    Intent intended() {
        return Arrays.stream(Intent.values())
                .filter(known -> known.name().equals(intent))
                .findFirst()
                .orElseThrow(() ->
                        Refused.because("Say what the mark is: a change, a question, an idea, or something to keep."));
    }

    String said() {
        Input input = new Input();
        String said = input.text("The note", note, LONGEST_NOTE);
        input.require(!said.isEmpty() || replacement() != null, "Write a note to the mark first.");
        input.allGood();
        return said;
    }

    boolean forTeam() {
        return "team".equals(audience);
    }
}
