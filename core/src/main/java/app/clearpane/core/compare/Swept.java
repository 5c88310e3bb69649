package app.clearpane.core.compare;

import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.PlaceArea;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * How changed pixels lie in an area.
 *
 * <p><b>Algorithm.</b> The area is swept from top to bottom by lines closer than pixels are; on each it is some
 * stretches, and so are the pixels.
 *
 * @param covered the part of the area that they cover together, 0 to 1
 * @param mostOfOne the largest part of any one region that lies in the area, 0 to 1
 */
record Swept(double covered, double mostOfOne) {
    /** How far lines are from each other at most, in page widths. */
    private static final double FINE = 1 / 4_000.0;

    private static final Comparator<double[]> FROM_LEFT = Comparator.comparingDouble(stretch -> stretch[0]);

    /** Sweeps an area. @param regions in fractions of its page @param ratio that page's height over its width */
    static Swept over(PlaceArea area, List<Runs> regions, double ratio) {
        List<Runs> met = regions.stream()
                .filter(region -> couldMeet(area, region, ratio))
                .toList();
        int lines = lines(area);
        double high = (area.bottom() - area.top()) / lines;
        double[] inside = new double[met.size()];
        double covered = 0;
        double all = 0;
        List<double[]> here = new ArrayList<>();
        for (int line = 0; line < lines; line++) {
            double y = area.top() + (line + 0.5) * high;
            double[] stretches = area.stretches(y);
            here.clear();
            for (int i = 0; i < inside.length; i++) {
                inside[i] += high * shared(met.get(i), y / ratio, stretches, here);
            }
            covered += high * together(here);
            for (int i = 0; i + 1 < stretches.length; i += 2) {
                all += high * (stretches[i + 1] - stretches[i]);
            }
        }
        double most = 0;
        for (int i = 0; i < inside.length; i++) {
            most = Math.max(most, inside[i] / (met.get(i).area() * ratio));
        }
        return new Swept(all == 0 ? 0 : Math.min(1, covered / all), Math.min(1, most));
    }

    /** Whether any pixel of a region lies in an area. */
    static boolean meets(PlaceArea area, Runs region, double ratio) {
        if (!couldMeet(area, region, ratio)) {
            return false;
        }
        int lines = lines(area);
        List<double[]> here = new ArrayList<>();
        for (int line = 0; line < lines; line++) {
            double y = area.top() + (line + 0.5) * (area.bottom() - area.top()) / lines;
            if (shared(region, y / ratio, area.stretches(y), here) > 0) {
                return true;
            }
        }
        return false;
    }

    private static boolean couldMeet(PlaceArea area, Runs region, double ratio) {
        Box box = region.box();
        return box.area() > 0
                && box.x() <= area.right()
                && box.right() >= area.left()
                && box.y() * ratio <= area.bottom()
                && box.bottom() * ratio >= area.top();
    }

    private static int lines(PlaceArea area) {
        return (int) Math.max(1, Math.ceil((area.bottom() - area.top()) / FINE));
    }

    /**
     * How long what a region and these stretches share on a line is. @param y in page heights @param here where what
     * they share is added
     */
    private static double shared(Runs region, double y, double[] stretches, List<double[]> here) {
        double sum = 0;
        int first = region.rowAt(y);
        for (int at = first; region.sameRow(at, first); at += Runs.EACH) {
            double from = region.left() + region.spans()[at + 1] * region.across();
            double to = region.left() + region.spans()[at + 2] * region.across();
            for (int i = 0; i + 1 < stretches.length; i += 2) {
                double left = Math.max(from, stretches[i]);
                double right = Math.min(to, stretches[i + 1]);
                if (right > left) {
                    sum += right - left;
                    here.add(new double[] {left, right});
                }
            }
        }
        return sum;
    }

    /** How long stretches are together, where two lie on each other once. */
    private static double together(List<double[]> stretches) {
        double[][] sorted = stretches.toArray(new double[0][]);
        Arrays.sort(sorted, FROM_LEFT);
        double sum = 0;
        double reached = Double.NEGATIVE_INFINITY;
        for (double[] stretch : sorted) {
            sum += Math.max(0, stretch[1] - Math.max(reached, stretch[0]));
            reached = Math.max(reached, stretch[1]);
        }
        return sum;
    }
}
