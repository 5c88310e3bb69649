package app.clearpane.core.compare;

import app.clearpane.core.compare.AreaMean.Grey;
import app.clearpane.core.compare.PhaseCorrelation.Cut;
import app.clearpane.core.compare.PhaseCorrelation.Found;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * How two pictures lie on each other (C1): both at the smaller width, and by how much the second one's content is moved.
 *
 * <p><b>Algorithm.</b> The shift is estimated on a small picture of how light both are (phase correlation), then refined on the cuts of the
 * pictures themselves where there is most to see. It is kept only if the pictures agree clearly better with it than without: content that
 * moved on a page whose rest stands still is a change, not a shift.
 *
 * @param before the earlier picture at the working width
 * @param after the later one at the working width
 * @param scaled whether one of them was made smaller
 * @param dx by how many pixels of the working width the later content lies further right, in eighths, up to 5 % of the width
 * @param dy by how many further down
 * @param aligned false if they have too little in common to say how they lie on each other
 */
public record Registration(Raster before, Raster after, boolean scaled, double dx, double dy, boolean aligned) {
  private static final int SMALL_WIDTH = 256;
  private static final int SIDE = 256;
  private static final int CUTS = 3;
  /** The largest shift, in widths. */
  private static final double FARTHEST = 0.05;
  /** The peak under which two pictures have nothing in common. */
  private static final double WEAK = 0.1;
  /** The mean difference under which pictures agree as they are, of 255. */
  private static final double AGREE = 6;
  /** How much better they must agree with a shift than without. */
  private static final double CLEARLY = 0.75;
  /** A part of a pixel smaller than this is not worth drawing the pictures anew. */
  private static final double PART = 0.2;

  /** Lays one picture on the other. The same pictures the other way round give the same shift the other way round. */
  public static Registration of(Raster before, Raster after) {
    int width = Math.min(before.width(), after.width());
    Raster a = before.narrowedTo(width);
    Raster b = after.narrowedTo(width);
    boolean scaled = before.width() != after.width();
    boolean turned = Arrays.compare(a.rgb(), b.rgb()) > 0;
    Shift shift = turned ? shift(b, a).back() : shift(a, b);
    return new Registration(a, b, scaled, shift.dx, shift.dy, shift.aligned);
  }

  private record Shift(double dx, double dy, boolean aligned) {
    Shift back() {
      return new Shift(-dx, -dy, aligned);
    }
  }

  private static Shift shift(Raster a, Raster b) {
    if (a.samePixels(b)) {
      return new Shift(0, 0, true);
    }
    int block = Math.max(1, Math.round(a.width() / (float) SMALL_WIDTH));
    Grey small = AreaMean.grey(a, block);
    Grey smallB = AreaMean.grey(b, block);
    Cut whole = new Cut(0, 0, small.width(), Math.min(small.height(), smallB.height()));
    Found coarse = PhaseCorrelation.between(small, smallB, whole, Math.max(1, (int) Math.ceil(FARTHEST * small.width())));
    double still = difference(a, b, 0, 0);
    if (coarse.peak() < WEAK) {
      return new Shift(0, 0, still < AGREE);
    }
    Shift fine = refined(a, b, small, block, (int) Math.round(coarse.dx() * block), (int) Math.round(coarse.dy() * block));
    boolean near = Math.hypot(fine.dx, fine.dy) <= FARTHEST * a.width();
    boolean better = near && difference(a, b, (int) Math.round(fine.dx), (int) Math.round(fine.dy)) < CLEARLY * still;
    return better ? fine : new Shift(0, 0, true);
  }

  /** The middle one of what a few cuts say, each moved by the estimate first. */
  private static Shift refined(Raster a, Raster b, Grey small, int block, int dx, int dy) {
    List<Found> all = new ArrayList<>();
    for (Cut cut : mostToSee(small, block, a, b, dx, dy)) {
      Grey first = cut(a, cut.x(), cut.y(), cut.width(), cut.height());
      Grey second = cut(b, cut.x() + dx, cut.y() + dy, cut.width(), cut.height());
      Found found = PhaseCorrelation.between(first, second, new Cut(0, 0, cut.width(), cut.height()), Math.min(SIDE / 4, 2 * block + 2));
      if (found.peak() >= WEAK) {
        all.add(found);
      }
    }
    if (all.isEmpty()) {
      return new Shift(dx, dy, true);
    }
    return new Shift(eighths(dx + middle(all, Comparator.comparingDouble(Found::dx)).dx()), eighths(dy + middle(all, Comparator.comparingDouble(Found::dy)).dy()), true);
  }

  private static Found middle(List<Found> all, Comparator<Found> order) {
    return all.stream().sorted(order).skip((all.size() - 1) / 2).findFirst().orElseThrow();
  }

  private static double eighths(double pixels) {
    double whole = Math.rint(pixels);
    return Math.abs(pixels - whole) < PART ? whole : Math.rint(pixels * 8) / 8;
  }

  /** The cuts with the strongest edges that lie on both pictures when one is moved. */
  private static List<Cut> mostToSee(Grey small, int block, Raster a, Raster b, int dx, int dy) {
    int side = Math.min(SIDE, Math.min(Math.min(a.width(), b.width()), Math.min(a.height(), b.height())));
    record Weighed(Cut cut, double edges) {}
    List<Weighed> cuts = new ArrayList<>();
    for (int y = Math.max(0, -dy); y + side <= Math.min(a.height(), b.height() - dy); y += side) {
      for (int x = Math.max(0, -dx); x + side <= Math.min(a.width(), b.width() - dx); x += side) {
        cuts.add(new Weighed(new Cut(x, y, side, side), edges(small, x / block, y / block, side / block)));
      }
    }
    return cuts.stream().sorted(Comparator.comparingDouble(Weighed::edges).reversed()).limit(CUTS).map(Weighed::cut).toList();
  }

  private static double edges(Grey picture, int left, int top, int side) {
    double sum = 0;
    for (int y = top + 1; y < Math.min(picture.height(), top + side); y++) {
      for (int x = left + 1; x < Math.min(picture.width(), left + side); x++) {
        float here = picture.light()[y * picture.width() + x];
        sum += Math.abs(here - picture.light()[y * picture.width() + x - 1]) + Math.abs(here - picture.light()[(y - 1) * picture.width() + x]);
      }
    }
    return sum;
  }

  private static Grey cut(Raster picture, int left, int top, int width, int height) {
    float[] light = new float[width * height];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        light[y * width + x] = AreaMean.light(picture.at(left + x, top + y)) / 256f;
      }
    }
    return new Grey(width, height, light);
  }

  /** The mean difference in lightness, of 255, over every third pixel of every third row where both are. */
  private static double difference(Raster a, Raster b, int dx, int dy) {
    long sum = 0;
    long count = 0;
    for (int y = Math.max(0, -dy); y < Math.min(a.height(), b.height() - dy); y += 3) {
      for (int x = Math.max(0, -dx); x < Math.min(a.width(), b.width() - dx); x += 3) {
        sum += Math.abs(AreaMean.light(a.at(x, y)) - AreaMean.light(b.at(x + dx, y + dy)));
        count++;
      }
    }
    return count == 0 ? 255 : sum / 256.0 / count;
  }
}
