package app.clearpane.core.compare;

import app.clearpane.core.markup.Box;

/**
 * A part of a page that differs between two versions.
 *
 * @param box around it, in fractions of the page both versions share
 * @param share how much of the box differs, above 0 up to 1
 * @param words whether only its words say so: text that differs where the pixels do not, or too little to count
 * @param pixels those that differ, small gaps in a row closed; the whole box where only words say so
 */
public record Region(Box box, double share, boolean words, Runs pixels) {

    /** A word that differs. */
    static Region ofWord(Box box) {
        return new Region(box, 1, true, Runs.of(box));
    }
}
