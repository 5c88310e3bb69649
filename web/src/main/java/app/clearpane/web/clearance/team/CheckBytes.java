package app.clearpane.web.clearance.team;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.Deliverables;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Says of any bytes whether they were signed here, when and by how many, and nothing else. */
@Component
class CheckBytes {
    private final Deliverables deliverables;
    private final Releases releases;

    CheckBytes(Deliverables deliverables, Releases releases) {
        this.deliverables = deliverables;
        this.releases = releases;
    }

    /**
     * What is known of some bytes.
     *
     * @param signed when they were signed, and by how many; empty if they were not
     * @param released when they were released; empty if they were not, or were recalled
     * @param recalled when they were recalled, if that is the last that happened to them
     * @param certificate whether they are a certificate that was made here
     */
    public record Answer(
            Sha256 sha256,
            Optional<Signed> signed,
            Optional<Instant> released,
            Optional<Instant> recalled,
            boolean certificate) {
        /** Whether anything is known of them. */
        public boolean known() {
            return signed.isPresent() || certificate;
        }
    }

    /** A signing. @param by how many signed */
    public record Signed(Instant at, int by) {}

    Answer check(Sha256 bytes) {
        List<Releases.Release> certified = releases.certifiedBy(bytes);
        if (!certified.isEmpty()) {
            Releases.Release release = certified.get(0);
            return answer(bytes, deliverables.round(release.version()).stream().toList(), certified, true);
        }
        List<Round> rounds = new ArrayList<>();
        for (Version version : deliverables.versionsWith(bytes)) {
            deliverables.round(version.id()).ifPresent(rounds::add);
        }
        return answer(bytes, rounds, releases.ofBytes(bytes), false);
    }

    private static Answer answer(
            Sha256 bytes, List<Round> rounds, List<Releases.Release> releases, boolean certificate) {
        Optional<Signed> signed = rounds.stream()
                .filter(round -> !round.open() && round.soFar().agreed())
                .findFirst()
                .map(round -> new Signed(round.closed().map(Round.Closed::at).orElse(round.sentAt()), (int)
                        round.decisions().values().stream()
                                .filter(Decision::signs)
                                .count()));
        Optional<Releases.Release> newest = releases.stream().findFirst();
        return new Answer(
                bytes,
                signed,
                newest.filter(Releases.Release::stands).map(Releases.Release::at),
                newest.flatMap(Releases.Release::recall).map(Releases.Recall::at),
                certificate);
    }
}
