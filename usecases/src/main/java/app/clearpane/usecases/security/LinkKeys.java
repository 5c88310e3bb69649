package app.clearpane.usecases.security;

import app.clearpane.core.files.Sha256;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.usecases.HouseSettings;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import org.springframework.stereotype.Component;

/** Makes links that stand for one person's mailbox. A key has 128 random bits and is kept only as its digest. */
@Component
public class LinkKeys {
    private static final int KEY_BYTES = 16;
    private static final Duration GOOD_FOR = Duration.ofDays(14);
    private static final Duration DEMO_GOOD_FOR = Duration.ofDays(400);
    private static final SecureRandom RANDOM = new SecureRandom();
    private final SignInLinks signInLinks;
    private final HouseSettings house;
    private final Clock clock;

    LinkKeys(SignInLinks signInLinks, HouseSettings house, Clock clock) {
        this.signInLinks = signInLinks;
        this.house = house;
        this.clock = clock;
    }

    /** A link that opens a page once for a contact, within two weeks. */
    public String forContact(app.clearpane.core.agency.ContactId contact, String leadsTo) {
        Instant now = clock.instant();
        return keep(new SignInLinks.Grant(contact, null, leadsTo, now.plus(GOOD_FOR), false));
    }

    /** A link that opens a page for one of the team once. */
    public String forMember(app.clearpane.core.agency.TeamMemberId member, String leadsTo) {
        return keep(new SignInLinks.Grant(null, member, leadsTo, clock.instant().plus(GOOD_FOR), false));
    }

    /** A link of the demo, which may be used again and again. */
    public String lasting(SignInLinks.Grant grant) {
        return keep(new SignInLinks.Grant(
                grant.contact(),
                grant.member(),
                grant.leadsTo(),
                clock.instant().plus(DEMO_GOOD_FOR),
                true));
    }

    /**
     * A key that stands for nobody's mailbox.
     *
     * @param address with the key in it, to be given away
     * @param hash to be kept
     */
    public record Loose(String address, Sha256 hash) {}

    /** Makes a key that is kept elsewhere. */
    public Loose loose() {
        String key = key();
        return new Loose(house.address() + "/p/" + key, Sha256.ofText(key));
    }

    private static String key() {
        return random();
    }

    /** A key of 128 random bits. */
    public static String random() {
        byte[] bytes = new byte[KEY_BYTES];
        RANDOM.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    private String keep(SignInLinks.Grant grant) {
        String key = key();
        signInLinks.add(Sha256.ofText(key), grant, clock.instant());
        return house.address() + "/p/" + key;
    }
}
