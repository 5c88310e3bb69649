package app.clearpane.core.supply;

/** How the colours of a picture are given. */
public enum ColourSpace {
    GREY("grey"),
    RGB("RGB"),
    CMYK("CMYK");

    private final String words;

    ColourSpace(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
