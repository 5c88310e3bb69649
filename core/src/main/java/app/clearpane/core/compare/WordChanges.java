package app.clearpane.core.compare;

import app.clearpane.core.markup.Box;
import com.github.difflib.DiffUtils;
import com.github.difflib.patch.AbstractDelta;
import com.github.difflib.patch.Patch;
import java.util.ArrayList;
import java.util.List;

/** Which words of two texts differ (Myers, 1986). */
public final class WordChanges {
    private WordChanges() {}

    /** A word and where it stands on its page, in fractions of it. */
    public record Word(String text, Box box) {}

    /**
     * The words that are gone and those that are new.
     *
     * @param gone words of the earlier text, in its order
     * @param added words of the later text, in its order
     */
    public record Changed(List<Word> gone, List<Word> added) {
        public Changed {
            gone = List.copyOf(gone);
            added = List.copyOf(added);
        }
    }

    /** Compares the words of two pages in reading order. */
    public static Changed of(List<Word> before, List<Word> after) {
        Patch<String> patch = DiffUtils.diff(
                before.stream().map(Word::text).toList(),
                after.stream().map(Word::text).toList());
        List<Word> gone = new ArrayList<>();
        List<Word> added = new ArrayList<>();
        for (AbstractDelta<String> delta : patch.getDeltas()) {
            gone.addAll(before.subList(
                    delta.getSource().getPosition(),
                    delta.getSource().getPosition() + delta.getSource().size()));
            added.addAll(after.subList(
                    delta.getTarget().getPosition(),
                    delta.getTarget().getPosition() + delta.getTarget().size()));
        }
        return new Changed(gone, added);
    }
}
