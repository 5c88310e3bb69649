package app.clearpane.usecases.said;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.Naming;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Some words as a page shows them.
 *
 * @param called whether they call somebody or something by name
 * @param href where they lead; null if they lead nowhere that whoever reads may go
 */
public record Spoken(String text, boolean called, @Nullable String href) {
    /**
     * A text, cut where it calls somebody or something by name.
     *
     * @param with what is called there
     * @param ways the address of a thing; empty if whoever reads does not see it
     */
    public static List<Spoken> of(String text, Mark.With with, Function<ItemId, Optional<String>> ways) {
        List<Naming.Known<Mark.Called>> known = with.references().stream()
                .map(one -> new Naming.Known<>(
                        one.written().charAt(0), one.written().substring(1), one.called()))
                .toList();
        return Naming.cut(text, known).stream()
                .map(piece -> spoken(piece, ways))
                .toList();
    }

    private static Spoken spoken(Naming.Piece<Mark.Called> piece, Function<ItemId, Optional<String>> ways) {
        if (piece.named().isEmpty()) {
            return new Spoken(piece.text(), false, null);
        }
        if (piece.named().get() instanceof Mark.Called.Thing thing) {
            Optional<String> way = ways.apply(thing.id());
            return new Spoken(piece.text(), way.isPresent(), way.orElse(null));
        }
        return new Spoken(piece.text(), true, null);
    }
}
