package app.clearpane.core.supply;

/**
 * The size of a picture as it is seen, turned as it says.
 *
 * @param width in pixels, at least 1
 * @param height in pixels, at least 1
 */
public record Pixels(int width, int height) {
    public Pixels {
        if (width < 1 || height < 1) {
            throw new IllegalArgumentException("a picture has pixels, got " + width + " × " + height);
        }
    }

    public int longSide() {
        return Math.max(width, height);
    }

    public int shortSide() {
        return Math.min(width, height);
    }

    /** “1,600 × 1,200 px”. */
    public String words() {
        return Figures.grouped(width) + " × " + Figures.grouped(height) + " px";
    }
}
