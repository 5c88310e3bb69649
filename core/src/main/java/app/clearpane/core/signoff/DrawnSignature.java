package app.clearpane.core.signoff;

import app.clearpane.core.markup.Place.Spot;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A signature drawn beside a typed name. As text: strokes separated by semicolons, each a list of spots,
 * {@code "0.1,0.5 0.2,0.4;0.3,0.3"}, in fractions of a field three times as wide as high.
 *
 * @param strokes each of one spot or more
 */
public record DrawnSignature(List<List<Spot>> strokes) {
    /** How much wider than high the field is. */
    public static final double RATIO = 3;
    /** More spots than this are no signature. */
    public static final int MOST_SPOTS = 4_000;

    public DrawnSignature {
        strokes = strokes.stream().map(List::copyOf).toList();
    }

    /**
     * Reads one.
     *
     * @return empty if nothing was drawn
     * @throws IllegalArgumentException if it is no such text, leaves the field, or is longer than a signature
     */
    public static Optional<DrawnSignature> read(@Nullable String text) {
        if (text == null || text.isBlank()) {
            return Optional.empty();
        }
        if (text.length() > MOST_SPOTS * 16) {
            throw new IllegalArgumentException("a signature has up to %,d spots".formatted(MOST_SPOTS));
        }
        List<List<Spot>> strokes = new ArrayList<>();
        int spots = 0;
        for (String stroke : text.strip().split(";")) {
            List<Spot> read = Arrays.stream(stroke.strip().split("\\s+"))
                    .map(DrawnSignature::spot)
                    .toList();
            spots += read.size();
            strokes.add(read);
        }
        if (spots > MOST_SPOTS) {
            throw new IllegalArgumentException("a signature has up to %,d spots".formatted(MOST_SPOTS));
        }
        return Optional.of(new DrawnSignature(strokes));
    }

    private static Spot spot(String pair) {
        int comma = pair.indexOf(',');
        if (comma < 1) {
            throw new IllegalArgumentException("spots are written as 0.1,0.2");
        }
        double x = Double.parseDouble(pair.substring(0, comma));
        double y = Double.parseDouble(pair.substring(comma + 1));
        if (!(x >= 0 && x <= 1 && y >= 0 && y <= 1)) {
            throw new IllegalArgumentException("a spot lies outside the field");
        }
        return new Spot(x, y);
    }

    /** As text, with four decimals. */
    public String text() {
        return strokes.stream()
                .map(stroke -> stroke.stream()
                        .map(spot -> String.format(Locale.ROOT, "%.4f,%.4f", spot.x(), spot.y()))
                        .collect(Collectors.joining(" ")))
                .collect(Collectors.joining(";"));
    }

    /** As the data of an SVG path in a field of this width. */
    public String path(double width) {
        StringBuilder path = new StringBuilder();
        for (List<Spot> stroke : strokes) {
            for (int i = 0; i < stroke.size(); i++) {
                path.append(i == 0 ? 'M' : 'L')
                        .append(String.format(
                                Locale.ROOT,
                                "%.1f %.1f",
                                stroke.get(i).x() * width,
                                stroke.get(i).y() * width / RATIO));
            }
            if (stroke.size() == 1) {
                path.append("h0.1");
            }
        }
        return path.toString();
    }
}
