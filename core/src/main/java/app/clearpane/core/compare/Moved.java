package app.clearpane.core.compare;

/** Moves a picture by a part of a pixel, each new pixel being the weighted mean of the four it lies on. */
final class Moved {
  private Moved() {}

  /**
   * The picture read from a little further on.
   *
   * @param dx how much further right it is read, between -0.5 and 0.5
   * @param dy how much further down
   */
  static Raster by(Raster picture, double dx, double dy) {
    if (dx == 0 && dy == 0) {
      return picture;
    }
    int[] result = new int[picture.rgb().length];
    for (int y = 0; y < picture.height(); y++) {
      for (int x = 0; x < picture.width(); x++) {
        result[y * picture.width() + x] = read(picture, x - dx, y - dy);
      }
    }
    return new Raster(picture.width(), picture.height(), result);
  }

  private static int read(Raster picture, double x, double y) {
    int left = (int) Math.floor(x);
    int top = (int) Math.floor(y);
    int across = (int) Math.round((x - left) * 256);
    int down = (int) Math.round((y - top) * 256);
    int right = Math.min(picture.width() - 1, left + 1);
    int bottom = Math.min(picture.height() - 1, top + 1);
    left = Math.max(0, left);
    top = Math.max(0, top);
    int one = mix(picture.at(left, top), picture.at(right, top), across);
    int two = mix(picture.at(left, bottom), picture.at(right, bottom), across);
    return mix(one, two, down);
  }

  private static int mix(int first, int second, int part) {
    int result = 0;
    for (int shift = 16; shift >= 0; shift -= 8) {
      int a = first >> shift & 255;
      int b = second >> shift & 255;
      result |= (a * (256 - part) + b * part + 128 >> 8) << shift;
    }
    return result;
  }
}
