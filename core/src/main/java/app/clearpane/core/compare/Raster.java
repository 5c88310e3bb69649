package app.clearpane.core.compare;

/**
 * A decoded picture.
 *
 * <p>The array is not copied: whoever makes a raster does not write to it any more.
 *
 * @param width in pixels, above 0
 * @param height in pixels, above 0
 * @param rgb one sRGB colour for each pixel, row by row from the top left, as {@code 0xRRGGBB}; the highest byte is 0
 * @param coloursHalved whether it comes from a file that keeps one colour for several pixels, as most JPEG files do
 */
public record Raster(int width, int height, int[] rgb, boolean coloursHalved) {
    /** A picture that keeps a colour for each pixel. */
    public Raster(int width, int height, int[] rgb) {
        this(width, height, rgb, false);
    }

    public Raster {
        if (width <= 0 || height <= 0 || rgb.length != (long) width * height) {
            throw new IllegalArgumentException(
                    "%d × %d pixels need as many colours, got %d".formatted(width, height, rgb.length));
        }
    }

    /** The colour at a place on it. */
    int at(int x, int y) {
        return rgb[y * width + x];
    }

    /** Whether both have the same pixels. */
    boolean samePixels(Raster other) {
        return width == other.width && height == other.height && java.util.Arrays.equals(rgb, other.rgb);
    }

    /**
     * The same picture at a smaller width, each new pixel the mean of the area it covers; at this width, the picture
     * itself.
     */
    public Raster narrowedTo(int newWidth) {
        return newWidth >= width ? this : AreaMean.of(this, newWidth);
    }
}
