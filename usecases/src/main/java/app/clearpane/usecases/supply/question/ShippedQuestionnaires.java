package app.clearpane.usecases.supply.question;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The questionnaires that ship, to begin from. */
@Component
public class ShippedQuestionnaires {
    private static final List<String> KEYS =
            List.of("first-talk", "website", "printed-thing", "place", "names-and-tone");
    private final List<Shipped> all =
            KEYS.stream().map(ShippedQuestionnaires::read).toList();

    /** One of them. @param typed as somebody would type it */
    public record Shipped(String key, String name, String typed) {}

    public List<Shipped> all() {
        return all;
    }

    /** The one of that key. */
    public Optional<Shipped> find(String key) {
        return all.stream().filter(one -> one.key().equals(key)).findFirst();
    }

    private static Shipped read(String key) {
        try (InputStream in = Objects.requireNonNull(
                ShippedQuestionnaires.class.getResourceAsStream("/questionnaires/" + key + ".txt"))) {
            String name = key.replace('-', ' ');
            return new Shipped(
                    key,
                    name.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + name.substring(1),
                    new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
