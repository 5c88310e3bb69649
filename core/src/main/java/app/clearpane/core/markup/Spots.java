package app.clearpane.core.markup;

import app.clearpane.core.markup.Place.Spot;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * The spots of a line drawn by hand as text: {@code "0.1,0.2 0.15,0.25"}, fractions of the page with up to six
 * decimals.
 */
public final class Spots {
    private Spots() {}

    /** As text. */
    public static String write(List<Spot> spots) {
        StringBuilder text = new StringBuilder();
        for (Spot spot : spots) {
            text.append(text.isEmpty() ? "" : " ").append(String.format(Locale.ROOT, "%.6f,%.6f", spot.x(), spot.y()));
        }
        return text.toString();
    }

    /**
     * Reads them back.
     *
     * @throws Place.OutOfRange if the text is not a list of spots, or a longer one than a line may have
     */
    public static List<Spot> read(String text) {
        List<Spot> spots = new ArrayList<>();
        String[] pairs = text.strip().split("\\s+", Place.Freehand.MOST_SPOTS + 2);
        if (pairs.length > Place.Freehand.MOST_SPOTS) {
            throw tooManyOrOther();
        }
        try {
            for (String pair : pairs) {
                int comma = pair.indexOf(',');
                spots.add(new Spot(
                        Double.parseDouble(pair.substring(0, comma)), Double.parseDouble(pair.substring(comma + 1))));
            }
        } catch (RuntimeException unreadable) {
            throw tooManyOrOther();
        }
        return spots;
    }

    private static Place.OutOfRange tooManyOrOther() {
        return new Place.OutOfRange("spots are written as 0.1,0.2 0.3,0.4 and so on, up to %,d of them"
                .formatted(Place.Freehand.MOST_SPOTS));
    }
}
