package app.clearpane.core.exposure;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Something about to be shown that is worth a second look (V9). It never stops anybody.
 *
 * @param item what would be shown
 * @param why in which way it stands out
 * @param what the word of its name that made it stand out, or the pane that holds it back
 */
public record SecondLook(Item item, Why why, String what) {
    private static final int SHORTEST_NAME = 4;
    private static final Pattern SAYS = Pattern.compile(
            "(?iu)(?<![\\p{L}\\p{N}])(draft|internal|costs?|margins?|confidential|not for clients?)(?![\\p{L}\\p{N}])");

    /** In which way it stands out. */
    public enum Why {
        /** Its name says that it is not meant for clients. */
        NAME,
        /** Its name names an organisation nobody of which sits at this pane. */
        NAMES_ANOTHER,
        /** Another pane of the project holds it back. */
        HELD_BACK_AT_ANOTHER_PANE
    }

    /**
     * What stands out among the items a check would show; an item may stand out in more than one way.
     *
     * @param others the names of organisations nobody of which sits at this pane; names of fewer than four letters are
     *     passed over
     */
    public static List<SecondLook> at(
            ExposureCheck check, Pane pane, List<Pane> panesOfProject, Collection<String> others) {
        List<SecondLook> found = new ArrayList<>();
        for (Item item : check.items(ExposureCheck.Kind.GAINED)) {
            saying(item.name()).ifPresent(word -> found.add(new SecondLook(item, Why.NAME, word)));
            others.stream()
                    .filter(other -> other.length() >= SHORTEST_NAME && names(item.name(), other))
                    .forEach(other -> found.add(new SecondLook(item, Why.NAMES_ANOTHER, other)));
            panesOfProject.stream()
                    .filter(other -> !other.id().equals(pane.id()))
                    .filter(other -> other.pending().heldBackHere(item))
                    .forEach(other -> found.add(new SecondLook(item, Why.HELD_BACK_AT_ANOTHER_PANE, other.name())));
        }
        return List.copyOf(found);
    }

    private static boolean names(String item, String organisation) {
        return (" " + words(item) + " ").contains(" " + words(organisation) + " ");
    }

    private static String words(String name) {
        return name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ").strip();
    }

    private static Optional<String> saying(String name) {
        Matcher matcher = SAYS.matcher(name.replace('_', ' ').replace('-', ' '));
        return matcher.find() ? Optional.of(matcher.group(1)) : Optional.empty();
    }
}
