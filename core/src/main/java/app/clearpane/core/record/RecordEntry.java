package app.clearpane.core.record;

import app.clearpane.core.files.Sha256;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * One entry of a Record (X3).
 *
 * <p>Its hash is the SHA-256 of the canonical JSON (RFC 8785) of {@code {act, actor, at, payloadHash, previous,
 * sequence, subject}}, so that no entry can be altered, left out or put in without every later hash changing.
 *
 * @param sequence the place in the chain, from 0
 * @param previous the hash of the entry before; 64 zeros for entry 0
 * @param act what was done, as the {@link Act} is kept
 * @param actor who did it, by kind and id ({@code contact:<id>}); as they were called then, in entries written before
 *     names stood in the payload
 * @param subject what it was done to
 * @param at when, in whole milliseconds of UTC
 * @param payloadHash the digest of the payload's canonical text
 */
public record RecordEntry(
        long sequence, String previous, String act, String actor, String subject, Instant at, Sha256 payloadHash) {
    /** Where a payload says how whoever did it was called then. */
    public static final String ACTOR_NAME = "actorName";

    /** What stands before the first entry. */
    public static final String NOTHING_BEFORE = "0".repeat(64);

    private static final DateTimeFormatter AT =
            DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm:ss.SSS'Z'").withZone(ZoneOffset.UTC);

    /** The entry that follows, or the first one. */
    public static RecordEntry following(long sequence, String previous, What what, Instant at) {
        return new RecordEntry(
                sequence,
                previous,
                what.act(),
                what.actor(),
                what.subject(),
                at,
                Sha256.ofText(what.payload().text()));
    }

    /** What an entry tells, before it has a place in the chain. */
    public record What(String act, String actor, String subject, CanonicalJson payload) {
        /**
         * What somebody did; the payload says how they were called then.
         *
         * @throws IllegalArgumentException if the payload holds something that cannot be written into the Record
         */
        public static What done(Happening happening) {
            return done(happening, Map.of());
        }

        /**
         * The same, with more that belongs to it. @throws IllegalArgumentException if it holds something that cannot be
         * written into the Record
         */
        public static What done(Happening happening, Map<String, ?> more) {
            Map<String, Object> whole = new LinkedHashMap<>(happening.payload());
            whole.putAll(more);
            whole.put(ACTOR_NAME, happening.actor().name());
            if (happening.act().toldOutside() && !happening.leavesTheHouse()) {
                whole.put(BundledEntries.FOR_TEAM, true);
            }
            return new What(
                    happening.act().code(), happening.actor().key(), happening.subject(), CanonicalJson.of(whole));
        }
    }

    /** The text whose digest is the entry's hash. */
    public String canonicalText() {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("act", act);
        fields.put("actor", actor);
        fields.put("at", AT.format(at));
        fields.put("payloadHash", payloadHash.hex());
        fields.put("previous", previous);
        fields.put("subject", subject);
        String withoutSequence = CanonicalJson.of(fields).text();
        return CanonicalJson.parse(
                        withoutSequence.substring(0, withoutSequence.length() - 1) + ",\"sequence\":" + sequence + "}")
                .text();
    }

    /** The entry's hash. */
    public Sha256 hash() {
        return Sha256.ofText(canonicalText());
    }

    /** The instant as the entry writes it, {@code 2027-03-24T09:30:00.000Z}. */
    public String atText() {
        return AT.format(at);
    }
}
