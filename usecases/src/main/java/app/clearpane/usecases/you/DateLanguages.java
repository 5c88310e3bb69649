package app.clearpane.usecases.you;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The languages in which dates can be read. */
public final class DateLanguages {
    private static final List<String> TAGS = List.of(
            "en-GB", "en-US", "cs", "cy", "da", "de", "es", "et", "fi", "fr", "ga", "hr", "hu", "is", "it", "lt", "lv",
            "nb", "nl", "pl", "pt", "ro", "sk", "sl", "sv", "tr");

    private DateLanguages() {}

    /** One of them. @param name in the language itself */
    public record Language(String tag, String name) {}

    /** All of them, English first. */
    public static List<Language> all() {
        return TAGS.stream()
                .map(tag -> {
                    Locale locale = Locale.forLanguageTag(tag);
                    String name = locale.getDisplayName(locale);
                    return new Language(tag, name.substring(0, 1).toUpperCase(locale) + name.substring(1));
                })
                .toList();
    }

    /** The one with this tag. */
    static Optional<Locale> find(String tag) {
        return TAGS.contains(tag) ? Optional.of(Locale.forLanguageTag(tag)) : Optional.empty();
    }
}
