package app.clearpane.core.supply;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.Turn;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RequestTest {
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    private static final Actor INES = Actor.kept("Ines");
    private static final ContactId MIRELA = new ContactId(new UUID(1, 1));
    private static final RequestPart DOME = part("Photographs of the dome", 3);
    private static final RequestPart HOURS = part("Opening hours", 1);

    private static RequestPart part(String name, int wanted) {
        return new RequestPart(
                UUID.randomUUID(), name, Takes.FILES, wanted, List.of(), List.of(), "Landscape, no people", "");
    }

    private static Supplied given(RequestPart part, char how) {
        List<Finding> findings = how == 'f' || how == 's'
                ? List.of(Finding.fails("68 dpi", "Larger"))
                : how == 'w' ? List.of(Finding.warns("RGB", "May shift")) : List.of();
        Supplied.Standing standing =
                switch (how) {
                    case 'a' -> new Supplied.Accepted(INES, NOW, "");
                    case 'n' -> new Supplied.AskedAgain(INES, NOW, "too dark");
                    case 't' -> new Supplied.TakenBack(NOW);
                    default -> new Supplied.Arrived();
                };
        return new Supplied(
                UUID.randomUUID(),
                part.id(),
                Sha256.ofText("x"),
                "dome.jpg",
                FileFacts.ofKind("image/jpeg", 1),
                Optional.empty(),
                new Supplied.Came(INES, NOW, Supplied.Door.PAGE),
                findings,
                how == 's' ? Optional.of("there is no larger one") : Optional.empty(),
                standing);
    }

    private static Request request(Request.Standing standing, List<Supplied> supplied, RequestPart... parts) {
        return new Request(
                new RequestId(UUID.randomUUID()),
                new ProjectId(UUID.randomUUID()),
                "Photographs",
                "",
                List.of(parts),
                List.of(new Request.Asked(MIRELA, "Mirela")),
                new Term.WithinDays(3),
                INES,
                standing,
                supplied,
                Optional.empty(),
                1);
    }

    /**
     * Of three that are wanted: p passed, w warned, f failed, s sent all the same, a accepted, n asked again, t taken
     * back.
     */
    @ParameterizedTest
    @CsvSource({
        "'', NothingYet, CLIENTS",
        "t, NothingYet, CLIENTS",
        "p, Some, CLIENTS",
        "aa, Some, CLIENTS",
        "pw, Some, CLIENTS",
        "n, AskedAgain, CLIENTS",
        "aan, AskedAgain, CLIENTS",
        "aanp, ToLookAt, OURS",
        "ppp, ToLookAt, OURS",
        "pww, ToLookAt, OURS",
        "ppf, ToLookAt, CLIENTS",
        "pps, ToLookAt, OURS",
        "aaf, ToLookAt, CLIENTS",
        "aaa, Accepted, NOBODYS",
        "naaa, Accepted, NOBODYS",
        "aaap, ToLookAt, OURS",
        "pppt, ToLookAt, OURS"
    })
    void aPartStandsAsWhatWasGivenForIt(String given, String state, Turn turn) {
        List<Supplied> all = new ArrayList<>();
        given.chars().forEach(how -> all.add(given(DOME, (char) how)));
        all.add(given(HOURS, 'a'));
        Request request = request(new Request.Sent(NOW, NOW, NOW), all, DOME, HOURS);
        assertThat(request.state(DOME).getClass().getSimpleName()).isEqualTo(state);
        assertThat(request.turn()).isEqualTo(turn);
    }

    @Test
    void whatWasNotSentIsOursAndWhatWasWithdrawnIsNobodys() {
        assertThat(request(new Request.Draft(Optional.empty()), List.of(), DOME).turn())
                .isEqualTo(Turn.OURS);
        assertThat(request(new Request.Withdrawn(NOW, ""), List.of(), DOME).turn())
                .isEqualTo(Turn.NOBODYS);
    }

    @Test
    void figuresOfAPart() {
        Request request = request(
                new Request.Sent(NOW, NOW, NOW),
                List.of(given(DOME, 'p'), given(DOME, 'n'), given(HOURS, 'f')),
                DOME,
                HOURS);
        assertThat(request.state(DOME)).isEqualTo(new PartState.AskedAgain("too dark", 1, 3));
        assertThat(request.state(HOURS)).isEqualTo(new PartState.ToLookAt(1, 1));
        assertThat(request.missing(DOME)).isEqualTo(2);
        assertThat(request.missing(HOURS)).isZero();
        assertThat(request.asks(MIRELA)).isTrue();
        assertThat(request.asks(new ContactId(new UUID(9, 9)))).isFalse();
        assertThat(request.sent()).contains(new Request.Sent(NOW, NOW, NOW));
    }
}
