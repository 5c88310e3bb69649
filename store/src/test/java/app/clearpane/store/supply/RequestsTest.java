package app.clearpane.store.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Ending;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Check;
import app.clearpane.core.supply.ColourSpace;
import app.clearpane.core.supply.FileFacts;
import app.clearpane.core.supply.FileKind;
import app.clearpane.core.supply.Pixels;
import app.clearpane.core.supply.PrintSize;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.Takes;
import app.clearpane.core.supply.Term;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.Stale;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.project.Projects;
import app.clearpane.store.supply.client.VisibleRequests;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

class RequestsTest {
    private static final Actor INES = Actor.kept("Ines");
    private static final Instant LATER = AHouse.NOW.plusSeconds(60);
    private static final List<Check> EVERY_CHECK = List.of(
            new Check.OfKind(Set.of(FileKind.PHOTOGRAPH)),
            new Check.AtLeast(new Pixels(800, 600)),
            new Check.Sharp(200, PrintSize.read("A2").orElseThrow()),
            new Check.InColours(Set.of(ColourSpace.CMYK)),
            new Check.PagesBetween(1, 2),
            new Check.Trimmed(PrintSize.read("297 x 210 mm").orElseThrow(), 3),
            new Check.FontsWithin(),
            new Check.WordsBetween(0, 40),
            new Check.PlaysFor(Duration.ofSeconds(1), Duration.ofMillis(30_500)),
            new Check.Unlocked(),
            new Check.WithoutMacros());
    private static final FileFacts ALL_THERE_IS = new FileFacts(
            "application/pdf",
            12,
            Optional.of(new FileFacts.Picture(
                    new Pixels(1600, 1200), Optional.of(ColourSpace.RGB), Optional.of("sRGB “plain”"))),
            Optional.of(new FileFacts.Document(
                    OptionalInt.of(2), PrintSize.read("A3"), Optional.of(2.5), List.of("Lantern"), OptionalInt.of(7))),
            Optional.of(Duration.ofMillis(1_500)),
            true,
            true);

    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Requests requests = new Requests(house.db);
    private final VisibleRequests visible = new VisibleRequests(house.db);
    private final ContactId jasper = house.contact("jasper").id();
    private final ContactId mirela = house.contact("mirela").id();

    private Request added(ContactId... asked) {
        Request request = new Request(
                new RequestId(UUID.randomUUID()),
                house.project,
                "Photographs of the dome",
                "For the panel in the star hall",
                List.of(
                        new RequestPart(
                                UUID.randomUUID(),
                                "Photographs",
                                Takes.FILES,
                                3,
                                EVERY_CHECK,
                                List.of(),
                                "No people",
                                "A blur"),
                        new RequestPart(
                                UUID.randomUUID(),
                                "A sentence",
                                Takes.CHOICE,
                                1,
                                List.of(),
                                List.of("“oak”", "ash"),
                                "",
                                "")),
                Arrays.stream(asked).map(one -> new Request.Asked(one, "")).toList(),
                new Term.WithinDays(3),
                INES,
                new Request.Draft(Optional.empty()),
                List.of(),
                Optional.empty(),
                1);
        requests.add(request, AHouse.NOW);
        return now(request);
    }

    private Request now(Request request) {
        return requests.find(request.id()).orElseThrow();
    }

    private Supplied given(Request request, FileFacts facts) {
        RequestPart part = request.parts().get(0);
        Supplied given = new Supplied(
                UUID.randomUUID(),
                part.id(),
                Sha256.ofText("dome"),
                "dome.jpg",
                facts,
                Optional.of("“typed”"),
                new Supplied.Came(INES, AHouse.NOW, Supplied.Door.PAGE),
                Check.all(part.checks(), facts),
                Optional.empty(),
                new Supplied.Arrived());
        requests.supply(request.id(), given);
        return given;
    }

    @Test
    void aRequestIsReadBackAsItWasKept() {
        Request request = added(mirela, jasper);
        assertThat(request.parts().get(0).checks()).isEqualTo(EVERY_CHECK);
        assertThat(request.parts()).extracting(RequestPart::name).containsExactly("Photographs", "A sentence");
        assertThat(request.asked()).extracting(Request.Asked::contact).containsExactly(mirela, jasper);
        assertThat(request.standing()).isEqualTo(new Request.Draft(Optional.empty()));
        assertThat(requests.ofProject(house.project)).containsExactly(request);
        assertThat(requests.find(new RequestId(UUID.randomUUID()))).isEmpty();
    }

    @Test
    void whatWasGivenIsReadBackWithAllThatWasFound() {
        Request request = added(mirela);
        Supplied one = given(request, ALL_THERE_IS);
        assertThat(now(request).supplied()).containsExactly(one);
        assertThat(new ProjectFiles(house.db).named()).as("the vault keeps it").contains(one.sha256());
        requests.allTheSame(one.id(), "there is no larger one");
        assertThat(now(request).supplied().get(0).allTheSame()).contains("there is no larger one");
    }

    @Test
    void itIsSentOnceAndWithdrawnOnce() {
        Request request = added(mirela);
        Request.Sent sent = new Request.Sent(AHouse.NOW, LATER, AHouse.NOW);
        requests.send(request.id(), sent);
        assertThat(now(request).standing()).isEqualTo(sent);
        assertThat(now(request).revision()).isEqualTo(2);
        assertThat(requests.underWay()).hasSize(1);
        assertThatThrownBy(() -> requests.send(request.id(), sent)).isInstanceOf(Stale.class);
        requests.withdraw(request.id(), "we have them", LATER);
        assertThat(now(request).standing()).isEqualTo(new Request.Withdrawn(LATER, "we have them"));
        assertThat(requests.underWay()).isEmpty();
        assertThatThrownBy(() -> requests.withdraw(request.id(), "", LATER)).isInstanceOf(Stale.class);
        Request other = added(mirela);
        requests.withdraw(other.id(), "", LATER);
        assertThatThrownBy(() -> requests.send(other.id(), sent)).isInstanceOf(Stale.class);
    }

    @Test
    void whatWasGivenIsSettledOnce() {
        Request request = added(mirela);
        List<Consumer<UUID>> ways = List.of(
                id -> requests.accept(id, new Supplied.Accepted(INES, LATER, "as large as there is")),
                id -> requests.askAgain(id, new Supplied.AskedAgain(INES, LATER, "too dark")),
                id -> requests.takeBack(id, LATER));
        for (Consumer<UUID> way : ways) {
            UUID given = given(request, ALL_THERE_IS).id();
            way.accept(given);
            ways.forEach(again -> assertThatThrownBy(() -> again.accept(given)).isInstanceOf(Stale.class));
            assertThatThrownBy(() -> requests.allTheSame(given, "x")).isInstanceOf(Stale.class);
        }
        assertThat(now(request).supplied())
                .extracting(Supplied::standing)
                .containsExactlyInAnyOrder(
                        new Supplied.Accepted(INES, LATER, "as large as there is"),
                        new Supplied.AskedAgain(INES, LATER, "too dark"),
                        new Supplied.TakenBack(LATER));
        assertThat(now(request).missing(request.parts().get(0))).isEqualTo(2);
        assertThat(now(request).turn()).isEqualTo(Turn.OURS);
    }

    @Test
    void onlyWhoIsAskedSeesItAndOnlyOnceItWasSent() {
        Request request = added(mirela);
        Viewer her = AHouse.viewer(mirela, house.project, false);
        assertThat(visible.all(her)).as("a draft does not exist for clients").isEmpty();
        requests.send(request.id(), new Request.Sent(AHouse.NOW, LATER, AHouse.NOW));
        assertThat(visible.all(her)).containsExactly(now(request));
        assertThat(visible.find(her, request.id())).isPresent();
        for (Viewer other : List.of(
                AHouse.viewer(jasper, house.project, false),
                AHouse.viewer(mirela, house.project, true),
                AHouse.viewer(mirela, new ProjectId(UUID.randomUUID()), false))) {
            assertThat(visible.all(other)).isEmpty();
            assertThat(visible.find(other, request.id())).isEmpty();
        }
    }

    @Test
    void sinceWhenItIsHeldMovesWithTheTurnOnly() {
        Request request = added(mirela);
        requests.send(request.id(), new Request.Sent(AHouse.NOW, LATER, AHouse.NOW));
        requests.followTurn(request.id(), LATER);
        assertThat(now(request).sent().orElseThrow().heldSince())
                .as("now the client's")
                .isEqualTo(LATER);
        requests.followTurn(request.id(), LATER.plusSeconds(60));
        assertThat(now(request).sent().orElseThrow().heldSince()).isEqualTo(LATER);
    }

    @Test
    void aDraftIsDiscardedWholeAndWhatWasSentIsNot() {
        Request request = added(mirela, jasper);
        requests.discard(request.id());
        assertThat(requests.find(request.id())).isEmpty();
        Request sent = added(mirela);
        requests.send(sent.id(), new Request.Sent(AHouse.NOW, LATER, AHouse.NOW));
        requests.ask(sent.id(), jasper);
        requests.ask(sent.id(), mirela);
        assertThat(now(sent).asked()).extracting(Request.Asked::contact).containsExactly(mirela, jasper);
        assertThat(requests.ofSupplied(given(sent, ALL_THERE_IS).id())).contains(now(sent));
    }

    @Test
    void aProjectThatWasPutAwayHasNothingUnderWay() {
        requests.send(added(mirela).id(), new Request.Sent(AHouse.NOW, LATER, AHouse.NOW));
        Projects projects = new Projects(house.db);
        projects.archive(projects.find(house.project).orElseThrow(), Ending.FINISHED, "", LATER);
        assertThat(requests.underWay()).isEmpty();
    }
}
