package app.clearpane.formats.compare;

import app.clearpane.core.compare.Raster;
import app.clearpane.formats.deliverable.SheetPicture;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.nio.file.Path;

/** Decodes drawn pages for comparing. */
public final class Rasters {
  private Rasters() {}

  /**
   * A picture, laid on white where one can see through it.
   *
   * @throws IOException if it cannot be read
   */
  public static Raster read(Path picture) throws IOException {
    BufferedImage plain = SheetPicture.read(picture);
    int[] rgb = ((DataBufferInt) plain.getRaster().getDataBuffer()).getData();
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] &= 0xFFFFFF;
    }
    return new Raster(plain.getWidth(), plain.getHeight(), rgb);
  }
}
