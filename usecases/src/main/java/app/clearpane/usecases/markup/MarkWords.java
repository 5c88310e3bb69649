package app.clearpane.usecases.markup;

import app.clearpane.core.compare.ChangeMap;
import app.clearpane.core.compare.Touch;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.TimeCode;

/** What marks are called on screens. */
public final class MarkWords {
    /** What need not be said, in sheets. */
    private static final double A_LITTLE = 0.0005;

    private static final int QUOTED = 90;

    private MarkWords() {}

    /** How far a mark is. */
    public static String progress(MarkupProgress progress) {
        return switch (progress) {
            case OPEN -> "open";
            case TAKEN_ON -> "taken on";
            case FIXED -> "fixed";
            case CONFIRMED -> "confirmed";
            case SET_ASIDE -> "set aside";
            case WITHDRAWN -> "withdrawn";
        };
    }

    /** What a mark wants. */
    public static String intent(Intent intent) {
        return switch (intent) {
            case CHANGE -> "change";
            case QUESTION -> "question";
            case IDEA -> "idea";
            case KEEP -> "keep";
        };
    }

    /** What was done, after a name: "Teo took it on". */
    public static String done(MarkupProgress.Act act) {
        return switch (act) {
            case TAKE_ON -> "took it on";
            case FIX -> "fixed it";
            case SET_ASIDE -> "set it aside";
            case CONFIRM -> "confirmed it";
            case REOPEN -> "reopened it";
            case WITHDRAW -> "withdrew it";
        };
    }

    /** How two sheets lie on each other; empty where they simply do. */
    public static String laid(ChangeMap map) {
        if (!map.aligned()) {
            return "They have too little in common to be laid on each other exactly.";
        }
        return switch (map.size()) {
            case SCALED -> "One is larger as a whole; they are compared at the size of the smaller.";
            case CUT ->
                "The sheet was " + (map.afterAt().area() < map.beforeAt().area() ? "cut" : "extended")
                        + "; what is on it kept its size.";
            case SAME ->
                Math.hypot(map.dx(), map.dy()) > A_LITTLE
                        ? "The whole sheet moved a little; that is taken into account."
                        : "";
        };
    }

    public static String touch(Touch touch) {
        return switch (touch.kind()) {
            case TOUCHED -> "changed here";
            case NEARBY -> "changed nearby";
            case UNTOUCHED -> "nothing changed here";
        };
    }

    /** Where a mark is: "sheet 2", "“these words”", "at 0:07.40". */
    public static String where(Place place) {
        if (place instanceof Place.TextRange range) {
            return "“"
                    + (range.quote().length() > QUOTED
                            ? range.quote().substring(0, QUOTED).strip() + "…"
                            : range.quote())
                    + "”";
        }
        return place instanceof Place.Moment moment ? "at " + TimeCode.of(moment) : "sheet " + place.page();
    }

    /** Whether there is a picture to be cut out of where it stands. */
    public static boolean pictured(Place place) {
        return ShapeOnSheet.pictured(place);
    }

    /** What a button says. */
    public static String button(MarkupProgress.Act act) {
        return switch (act) {
            case TAKE_ON -> "Take on";
            case FIX -> "Fixed";
            case SET_ASIDE -> "Set aside";
            case CONFIRM -> "Confirm";
            case REOPEN -> "Reopen";
            case WITHDRAW -> "Withdraw";
        };
    }
}
