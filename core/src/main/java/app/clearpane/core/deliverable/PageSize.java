package app.clearpane.core.deliverable;

/**
 * The size of an upright page or picture, in points or pixels: only the ratio matters to marks.
 *
 * @param width above 0
 * @param height above 0
 */
public record PageSize(double width, double height) {
    public PageSize {
        if (!(width > 0 && height > 0)) {
            throw new IllegalArgumentException(
                    "a page needs a width and a height above 0, got " + width + " × " + height);
        }
    }

    /** Height over width. */
    public double ratio() {
        return height / width;
    }
}
