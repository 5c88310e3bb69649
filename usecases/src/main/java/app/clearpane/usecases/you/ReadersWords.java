package app.clearpane.usecases.you;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.ContactWishes;
import app.clearpane.store.agency.OwnThings;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** How dates and times are written for a contact: where they are, in the language in which they read dates. */
@Component
public class ReadersWords {
    /** For how long another node may write to them as they wished before. */
    private static final Duration KEPT = Duration.ofMinutes(10);

    private static final int MOST = 2_000;
    private final LoadingCache<ContactId, Words> known;

    ReadersWords(OwnThings own, TheAgency agency) {
        this.known = Caffeine.newBuilder()
                .maximumSize(MOST)
                .expireAfterWrite(KEPT)
                .build(contact -> new Words(agency, reader(own.wishes(contact))));
    }

    private static Words.Reader reader(ContactWishes wishes) {
        return new Words.Reader(wishes.zone(), wishes.dates().orElse(Locale.UK));
    }

    /** The words for a contact; for whoever never said, and for guests, the house's own. */
    public Words wordsFor(ContactId contact) {
        return known.get(contact);
    }

    /** Reads anew what a contact wishes. */
    void changed(ContactId contact) {
        known.invalidate(contact);
    }
}
