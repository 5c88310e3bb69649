package app.clearpane.web.markup;

import app.clearpane.store.deliverable.Drawings;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A spot chosen on the plain picture of a sheet, for those without scripts: fractions of the sheet. */
public record ChosenSpot(double x, double y) {
    /** The width at which the plain picture is shown, in CSS pixels. */
    public static final int PLAIN_WIDTH = 640;

    /** The spot under these CSS pixels of the plain picture; empty if there are none. */
    public static Optional<ChosenSpot> of(@Nullable Integer x, @Nullable Integer y, LightTable table) {
        if (x == null || y == null || table.sheet().isEmpty()) {
            return Optional.empty();
        }
        Drawings.Sheet sheet = table.sheet().get();
        return Optional.of(new ChosenSpot(
                within(x / (double) PLAIN_WIDTH),
                within(y / (PLAIN_WIDTH * sheet.size().ratio()))));
    }

    private static double within(double fraction) {
        return Math.max(0, Math.min(1, fraction));
    }
}
