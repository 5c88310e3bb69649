package app.clearpane.formats.compare;

import app.clearpane.core.compare.Raster;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.nio.file.Path;
import javax.imageio.ImageIO;

/** Decodes drawn pages for comparing. */
public final class Rasters {
  private Rasters() {}

  /**
   * A picture, laid on white where one can see through it.
   *
   * @throws IOException if it cannot be read
   */
  public static Raster read(Path picture) throws IOException {
    BufferedImage decoded = ImageIO.read(picture.toFile());
    if (decoded == null) {
      throw new IOException("not a picture: " + picture);
    }
    BufferedImage plain = new BufferedImage(decoded.getWidth(), decoded.getHeight(), BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = plain.createGraphics();
    graphics.drawImage(decoded, 0, 0, Color.WHITE, null);
    graphics.dispose();
    int[] rgb = ((DataBufferInt) plain.getRaster().getDataBuffer()).getData();
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] &= 0xFFFFFF;
    }
    return new Raster(plain.getWidth(), plain.getHeight(), rgb);
  }
}
