package app.clearpane.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Gathers differing pixels into regions (C3): gaps close, what touches in eight directions belongs together, noise is left out, and regions
 * near each other join.
 *
 * <p><b>Algorithm.</b> Each row becomes runs, runs nearer than the gap being one; a run joins those of the rows below it within the gap that it
 * touches (union-find). Boxes nearer than the joining distance are merged until none is.
 */
final class Regions {
  /** The width of page that the pixel figures below are said for. */
  private static final double FOR_WIDTH = 1_600;
  private static final double GAP = 6;
  private static final double NOISE = 12;
  private static final double JOIN = 16;
  /** More pieces than this are not joined pair by pair: the whole page differs. */
  private static final int MOST_PIECES = 4_000;

  private final Bits bits;
  private final int gap;
  private final double noise;
  private final double join;
  private final IntList runs = new IntList();
  private final int[] firstOfRow;
  private int[] parent = new int[0];

  private Regions(Bits bits, int workingWidth) {
    double scale = workingWidth / FOR_WIDTH;
    this.bits = bits;
    gap = (int) Math.round(GAP * scale);
    noise = NOISE * scale * scale;
    join = JOIN * scale;
    firstOfRow = new int[bits.height() + 1];
  }

  /**
   * A region in pixels; its far edges are exclusive.
   *
   * @param pixels how many differ
   */
  record Piece(int left, int top, int right, int bottom, long pixels) {
    Piece with(Piece other) {
      return new Piece(Math.min(left, other.left), Math.min(top, other.top), Math.max(right, other.right), Math.max(bottom, other.bottom), pixels + other.pixels);
    }

    private boolean within(Piece other, double distance) {
      int across = Math.max(Math.max(left - other.right, other.left - right), 0);
      int down = Math.max(Math.max(top - other.bottom, other.top - bottom), 0);
      return across * across + down * down < distance * distance;
    }

    long area() {
      return (long) (right - left) * (bottom - top);
    }
  }

  /** The regions, largest first. */
  static List<Piece> of(Bits bits, int workingWidth) {
    return new Regions(bits, workingWidth).gather();
  }

  private List<Piece> gather() {
    findRuns();
    connect();
    List<Piece> pieces = pieces();
    return joined(pieces).stream().sorted(Comparator.comparingLong(Piece::area).reversed().thenComparingInt(Piece::top).thenComparingInt(Piece::left)).toList();
  }

  /** Runs of differing pixels, as left, right (exclusive) and how many differ. */
  private void findRuns() {
    for (int y = 0; y < bits.height(); y++) {
      firstOfRow[y] = runs.size() / 3;
      int x = bits.next(y, 0);
      while (x < bits.width()) {
        int left = x;
        int end = bits.nextClear(y, x);
        x = bits.next(y, end);
        while (x < bits.width() && x - end <= gap) {
          end = bits.nextClear(y, x);
          x = bits.next(y, end);
        }
        runs.add(left);
        runs.add(end);
        runs.add(bits.count(y, left, end));
      }
    }
    firstOfRow[bits.height()] = runs.size() / 3;
  }

  private void connect() {
    parent = new int[runs.size() / 3];
    for (int i = 0; i < parent.length; i++) {
      parent[i] = i;
    }
    for (int y = 0; y < bits.height(); y++) {
      for (int below = y + 1; below <= Math.min(bits.height() - 1, y + 1 + gap); below++) {
        connectRows(y, below, below == y + 1 ? 1 : 0);
      }
    }
  }

  private void connectRows(int y, int below, int diagonal) {
    int i = firstOfRow[y];
    int j = firstOfRow[below];
    while (i < firstOfRow[y + 1] && j < firstOfRow[below + 1]) {
      if (runs.get(i * 3) < runs.get(j * 3 + 1) + diagonal && runs.get(j * 3) < runs.get(i * 3 + 1) + diagonal) {
        union(i, j);
      }
      if (runs.get(i * 3 + 1) < runs.get(j * 3 + 1)) {
        i++;
      } else {
        j++;
      }
    }
  }

  private void union(int i, int j) {
    parent[find(j)] = find(i);
  }

  private int find(int i) {
    int at = i;
    while (parent[at] != at) {
      parent[at] = parent[parent[at]];
      at = parent[at];
    }
    return at;
  }

  private List<Piece> pieces() {
    Piece[] byRoot = new Piece[parent.length];
    for (int y = 0; y < bits.height(); y++) {
      for (int i = firstOfRow[y]; i < firstOfRow[y + 1]; i++) {
        int root = find(i);
        Piece run = new Piece(runs.get(i * 3), y, runs.get(i * 3 + 1), y + 1, runs.get(i * 3 + 2));
        byRoot[root] = byRoot[root] == null ? run : byRoot[root].with(run);
      }
    }
    List<Piece> kept = new ArrayList<>();
    for (Piece piece : byRoot) {
      if (piece != null && piece.pixels >= noise) {
        kept.add(piece);
      }
    }
    return kept;
  }

  private List<Piece> joined(List<Piece> pieces) {
    if (pieces.size() > MOST_PIECES) {
      return pieces.stream().reduce(Piece::with).stream().toList();
    }
    List<Piece> left = new ArrayList<>(pieces);
    left.sort(Comparator.comparingInt(Piece::top).thenComparingInt(Piece::left));
    for (int i = 0; i < left.size(); i++) {
      for (int j = 0; j < left.size(); j++) {
        if (i != j && left.get(i).within(left.get(j), join)) {
          left.set(Math.min(i, j), left.get(i).with(left.get(j)));
          left.remove(Math.max(i, j));
          i = -1;
          break;
        }
      }
    }
    return left;
  }

  /** Numbers one after another. */
  private static final class IntList {
    private int[] values = new int[1_024];
    private int size;

    void add(int number) {
      if (size == values.length) {
        values = java.util.Arrays.copyOf(values, size * 2);
      }
      values[size++] = number;
    }

    int get(int at) {
      return values[at];
    }

    int size() {
      return size;
    }
  }
}
