package app.clearpane.core.compare;

import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Place;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What differs between a page of one version and a page of another (C3).
 *
 * <p>Regions are in the frame both pages share: as wide as either and as high as the higher one, with each page moved by half of the shift.
 * {@link #before} and {@link #after} bring them onto a page; {@link #across} brings a place from the earlier page onto the later one.
 *
 * @param regions largest first
 * @param share how much of the shared frame differs, 0 to 1
 * @param aligned false if the pages have too little in common to say how they lie on each other
 * @param scaled whether one was made smaller to compare them
 * @param dx by how much the later content lies further right, in page widths
 * @param dy by how much further down, in heights of the shared frame
 * @param beforeHeight the height of the earlier page in heights of the shared frame, above 0 up to 1
 * @param afterHeight that of the later page
 * @param ratio the height of the shared frame over its width
 */
public record ChangeMap(List<Region> regions, double share, boolean aligned, boolean scaled, double dx, double dy, double beforeHeight, double afterHeight, double ratio) {
  private static final double TOLERANCE = 0.02;
  /** Where one was made smaller or both are moved by parts of a pixel: drawing anew softens them differently. */
  private static final double TOLERANCE_WHEN_REDRAWN = 0.06;


  public ChangeMap {
    regions = List.copyOf(regions);
  }

  /** Two pages with the same picture. @param ratio their height over their width */
  public static ChangeMap nothing(double ratio) {
    return new ChangeMap(List.of(), 0, true, false, 0, 0, 1, 1, ratio);
  }

  /** Compares two pages. The same pages the other way round give the same regions. */
  public static ChangeMap of(Raster before, Raster after) {
    return of(Registration.of(before, after));
  }

  /** Compares two pages that lie on each other. */
  public static ChangeMap of(Registration laid) {
    Parts x = Parts.of(laid.dx());
    Parts y = Parts.of(laid.dy());
    Raster a = Moved.by(laid.before(), x.rest / 2, y.rest / 2);
    Raster b = Moved.by(laid.after(), -x.rest / 2, -y.rest / 2);
    boolean redrawn = laid.scaled() || x.rest != 0 || y.rest != 0;
    Bits bits = new PixelDifference(a, b, x.whole, y.whole, redrawn ? TOLERANCE_WHEN_REDRAWN : TOLERANCE).differing();
    double width = a.width();
    double height = Math.max(a.height(), b.height());
    long differing = 0;
    List<Region> regions = new ArrayList<>();
    for (Regions.Piece piece : Regions.of(bits, a.width())) {
      differing += piece.pixels();
      Box box = new Box((piece.left() + x.whole / 2.0) / width, (piece.top() + y.whole / 2.0) / height, (piece.right() - piece.left()) / width,
          (piece.bottom() - piece.top()) / height);
      regions.add(new Region(box, (double) piece.pixels() / piece.area(), false));
    }
    int low = Math.min(a.height(), b.height());
    if (height - low > 1) {
      differing += (long) ((height - low) * width);
      regions.add(new Region(new Box(0, low / height, 1, 1 - low / height), 1, false));
      regions.sort(Comparator.comparingDouble((Region region) -> region.box().area()).reversed());
    }
    return new ChangeMap(regions, differing / (width * height), laid.aligned(), laid.scaled(), laid.dx() / width, laid.dy() / height, a.height() / height, b.height() / height, height / width);
  }

  /** Whether nothing differs. */
  public boolean same() {
    return regions.isEmpty();
  }

  /** With regions for words that differ where no region is yet. @param words boxes in the shared frame */
  public ChangeMap withWords(List<Box> words) {
    List<Region> all = new ArrayList<>(regions);
    for (Box word : words) {
      boolean seen = all.stream().anyMatch(region -> meets(region.box(), word));
      if (!seen) {
        all.add(new Region(word, 1, true));
      }
    }
    all.sort(Comparator.comparingDouble((Region region) -> region.box().area()).reversed());
    return new ChangeMap(all, share, aligned, scaled, dx, dy, beforeHeight, afterHeight, ratio);
  }

  private static boolean meets(Box a, Box b) {
    return a.x() <= b.right() && b.x() <= a.right() && a.y() <= b.bottom() && b.y() <= a.bottom();
  }

  /** What changed where a mark stands on the earlier page (C4). */
  public Touch touch(Place ofBefore) {
    return Touch.of(ofBefore, regions.stream().map(region -> before(region.box())).toList(), ratio * beforeHeight);
  }

  /** The regions at which none of these places on the earlier page asked for anything. */
  public List<Region> unasked(List<Place> asked) {
    List<Box> boxes = Touch.unasked(asked, regions.stream().map(region -> before(region.box())).toList(), ratio * beforeHeight);
    return regions.stream().filter(region -> boxes.contains(before(region.box()))).toList();
  }

  /** A box of the shared frame on the earlier page, in fractions of it. */
  public Box before(Box box) {
    return new Box(box.x() - dx / 2, (box.y() - dy / 2) / beforeHeight, box.width(), box.height() / beforeHeight).onPage();
  }

  /** A box of the shared frame on the later page, in fractions of it. */
  public Box after(Box box) {
    return new Box(box.x() + dx / 2, (box.y() + dy / 2) / afterHeight, box.width(), box.height() / afterHeight).onPage();
  }

  /** A box of the earlier page in the shared frame. */
  public Box fromBefore(Box box) {
    return new Box(box.x() + dx / 2, box.y() * beforeHeight + dy / 2, box.width(), box.height() * beforeHeight);
  }

  /** A box of the later page in the shared frame. */
  public Box fromAfter(Box box) {
    return new Box(box.x() - dx / 2, box.y() * afterHeight - dy / 2, box.width(), box.height() * afterHeight);
  }

  /** Where a spot of the earlier page is on the later one: both in fractions of their page, 0 to 1. */
  public Place.Spot across(double x, double y) {
    return new Place.Spot(within(x + dx), within((y * beforeHeight + dy) / afterHeight));
  }

  private static double within(double fraction) {
    return Math.min(1, Math.max(0, fraction));
  }

  /** A shift as whole pixels and the rest of at most half a pixel, which is 0 in most cases. */
  private record Parts(int whole, double rest) {
    static Parts of(double pixels) {
      int whole = (int) Math.rint(pixels);
      return new Parts(whole, pixels - whole);
    }
  }
}
