package app.clearpane.core.project;

import java.util.List;

/** The covers that come with the house, by name. */
public final class Covers {
    /** All of them, the usual one first. */
    public static final List<String> ALL = List.of("night", "shore", "mill", "garden", "paper");

    private Covers() {}
}
