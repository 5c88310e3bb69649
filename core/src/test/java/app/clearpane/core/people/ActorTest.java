package app.clearpane.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.core.record.SearchWords;
import app.clearpane.core.record.event.PlanActs;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class ActorTest {
    private static final UUID ONE = UUID.fromString("11111111-2222-3333-4444-555555555555");

    @Test
    void kindAndIdSayWhoItWas() {
        List<Actor> all = List.of(
                new Actor.OfTeam(new TeamMemberId(ONE), "Ines"),
                new Actor.OfClient(new ContactId(ONE), "Ottoline Vance"),
                new Actor.Guest(new SeatId(ONE), "Paint shop", "Ottoline Vance"),
                new Actor.House("Marram & Finch"));
        assertThat(all)
                .extracting(Actor::key)
                .containsExactly("team:" + ONE, "contact:" + ONE, "link:" + ONE, "house")
                .allMatch(Actor::isKey);
        assertThat(List.of("Ottoline Vance", "contact:", "contact:Ottoline", "team:" + ONE + " ", "House"))
                .noneMatch(Actor::isKey);
    }

    @Test
    void aGuestIsAGuestWhateverNameTheyGive() {
        assertThat(new Actor.Guest(new SeatId(ONE), "Paint shop", "Ottoline Vance").name())
                .isEqualTo("Ottoline Vance (by the link “Paint shop”, name as given)");
        assertThat(new Actor.Guest(new SeatId(ONE), "Paint shop", "").name())
                .isEqualTo("Guest (by the link “Paint shop”)");
        assertThat(new Actor.Guest(new SeatId(ONE), "Paint shop", "Ottoline Vance").contact())
                .isEmpty();
    }

    @Test
    void twoPeopleOfOneNameStayTwoInTheRecordAndAreBothFoundByIt() {
        RecordEntry.What first = RecordEntry.What.done(
                new PlanActs.TaskDeleted(new Actor.OfClient(new ContactId(ONE), "Ana Ruiz"), "Map"));
        RecordEntry.What second = RecordEntry.What.done(
                new PlanActs.TaskDeleted(new Actor.OfClient(new ContactId(UUID.randomUUID()), "Ana Ruiz"), "Map"));
        assertThat(first.actor()).isNotEqualTo(second.actor());
        assertThat(SearchWords.of(first))
                .isEqualTo(SearchWords.of(second))
                .contains("ana", "ruiz")
                .doesNotContain("contact", "11111111");
    }

    /** What is kept of somebody is read again as the same, and a mere name is nobody who is known. */
    @Test
    void isReadAgainAsItWasKept() {
        UUID id = UUID.fromString("00000000-0000-4000-8000-000000000001");
        Actor.Guest guest = new Actor.Guest(new SeatId(id), "Paint shop", "Ottoline Vance");
        assertThat(List.of(
                        new Actor.OfTeam(new TeamMemberId(id), "Teo Brandt"),
                        new Actor.OfClient(new ContactId(id), "team:" + id + " Vance"),
                        new Actor.House("Marram & Finch"),
                        Actor.kept("Ines Okafor-Lindqvist"),
                        new Actor.Kept("", "team:" + id + " Vance"),
                        Actor.kept("house")))
                .allSatisfy(actor -> assertThat(Actor.kept(actor.text())).isEqualTo(actor));
        assertThat(Actor.kept(guest.text()))
                .extracting(Actor::key, Actor::name)
                .containsExactly(guest.key(), guest.name());
        assertThat(Actor.kept("contact:Ottoline Vance").contact()).isEmpty();
    }

    /** A name is no identity: two of one name are not the same, one of two names is. */
    @Test
    void onlyWhoeverIsKnownIsTheSame() {
        UUID two = UUID.fromString("22222222-2222-3333-4444-555555555555");
        Actor.OfClient ana = new Actor.OfClient(new ContactId(ONE), "Ana Ruiz");
        Actor.OfTeam ines = new Actor.OfTeam(new TeamMemberId(ONE), "Ana Ruiz");
        Actor.Guest guest = new Actor.Guest(new SeatId(ONE), "Paint shop", "Ana Ruiz");
        assertThat(ana.isSameAs(new Actor.OfClient(new ContactId(ONE), "Ana Ruiz-Moss")))
                .isTrue();
        assertThat(ana.isSameAs(new Actor.OfClient(new ContactId(two), "Ana Ruiz")))
                .isFalse();
        assertThat(ana.isSameAs(ines)).as("one of the team").isFalse();
        assertThat(guest.isSameAs(guest)).as("nobody knows").isFalse();
        assertThat(Actor.kept("Ana Ruiz").isSameAs(Actor.kept("Ana Ruiz"))).isFalse();
    }

    @Test
    void whoeverHasAnIdentityKeepsItUnderAnotherName() {
        Actor.OfTeam ines = new Actor.OfTeam(new TeamMemberId(ONE), "Ines");
        assertThat(ines.named("Ines, said to be by Grete"))
                .isEqualTo(new Actor.OfTeam(new TeamMemberId(ONE), "Ines, said to be by Grete"));
        assertThat(ines.asAuthor()).isEqualTo(ines);
        assertThat(new Actor.House("Marram & Finch").asAuthor()).isEqualTo(Actor.kept("Marram & Finch"));
    }
}
