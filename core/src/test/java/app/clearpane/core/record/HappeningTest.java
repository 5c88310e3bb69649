package app.clearpane.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.DecisionActs;
import app.clearpane.core.record.event.FileActs;
import app.clearpane.core.record.event.MarkActs;
import app.clearpane.core.record.event.PaperActs;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.core.record.event.ShowingActs;
import app.clearpane.core.record.event.VersionActs;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What happens is a record that says itself what is told of it and whether it leaves the house. */
class HappeningTest {
    private static final Actor TEO =
            new Actor.OfTeam(new TeamMemberId(UUID.fromString("11111111-1111-4111-8111-111111111111")), "Teo Brandt");
    private static final MarkupId MARK = new MarkupId(UUID.fromString("22222222-2222-4222-8222-222222222222"));

    static Stream<Class<?>> records() {
        return Stream.of(
                        DecisionActs.class,
                        FileActs.class,
                        MarkActs.class,
                        PaperActs.class,
                        PeopleActs.class,
                        PlanActs.class,
                        ShowingActs.class,
                        VersionActs.class)
                .flatMap(holder -> Arrays.stream(holder.getDeclaredClasses()));
    }

    @ParameterizedTest
    @MethodSource("records")
    void eachSaysWhoDidItToWhatAndIsNamedAfterItsAct(Class<?> kind) {
        assertThat(kind).isRecord().matches(Happening.class::isAssignableFrom);
        List<String> names = Arrays.stream(kind.getRecordComponents())
                .map(component -> component.getName())
                .toList();
        assertThat(names).contains("actor", "subject").doesNotContain(RecordEntry.ACTOR_NAME, "subjectId");
        boolean says = names.contains("act");
        assertThat(says || NamedAfter.ACT.get(kind) != null)
                .as("of one act by its name, or of the one it says")
                .isTrue();
    }

    @Test
    void whatIsEmptyIsNotTold() {
        Actor ana = new Actor.OfClient(new ContactId(UUID.randomUUID()), "Ana Ruiz");
        assertThat(new PeopleActs.TeamPasswordChosen(ana, "Ana", Optional.empty()).payload())
                .isEmpty();
        assertThat(new PeopleActs.TeamPasswordChosen(ana, "Ana", Optional.of("by a mailed link")).payload())
                .isEqualTo(Map.of("how", "by a mailed link"));
        assertThat(new PlanActs.TaskChanged(ana, "Paint", Map.of("days", 3)).payload())
                .isEqualTo(Map.of("days", 3));
        RecordEntry.What told = RecordEntry.What.done(new PeopleActs.SeatEnded(TEO, "The board", "Per Halloran"));
        assertThat(told)
                .isEqualTo(new RecordEntry.What(
                        "seat.ended",
                        "team:11111111-1111-4111-8111-111111111111",
                        "The board",
                        CanonicalJson.of(Map.of("actorName", "Teo Brandt", "name", "Per Halloran"))));
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void whatWasSaidAmongTheTeamStaysThere(boolean forTeam) {
        List<Happening> both = List.of(
                new MarkActs.MarkAnswered(
                        Act.MARK_ANSWERED, TEO, "Map", MARK, "1·1", "words", forTeam, Optional.empty()),
                new MarkActs.MarkEdited(TEO, "Map", MARK, "1·1", "note", Intent.CHANGE, "before", forTeam));
        for (Happening one : both) {
            assertThat(one.leavesTheHouse()).isEqualTo(!forTeam);
            assertThat(BundledEntries.told(
                            one.act().code(),
                            RecordEntry.What.done(one).payload().text()))
                    .isEqualTo(!forTeam);
        }
        assertThat(new MarkActs.MarkAnswered(
                                Act.MARK_GIVEN, TEO, "Map", MARK, "1·1", "words", forTeam, Optional.empty())
                        .leavesTheHouse())
                .as("of a kind that never goes out")
                .isFalse();
    }

    @Test
    void oneThatSaysThatItStaysIsKeptSo() {
        record Whispered(Act act, Actor actor, String subject) implements Happening {
            @Override
            public boolean leavesTheHouse() {
                return false;
            }
        }
        RecordEntry.What kept = RecordEntry.What.done(new Whispered(Act.VERSION_SENT, TEO, "Map"));
        assertThat(BundledEntries.told(kept.act(), kept.payload().text())).isFalse();
        assertThat(Set.of(kept.payload().isTrue("forTeam"))).containsExactly(true);
    }

    @Test
    void onlyAFieldOfTheWholeCounts() {
        assertThat(CanonicalJson.of(Map.of("forTeam", true)).isTrue("forTeam")).isTrue();
        assertThat(CanonicalJson.of(Map.of("a", Map.of("forTeam", true), "b", List.of(Map.of("forTeam", true))))
                        .isTrue("forTeam"))
                .isFalse();
        assertThat(CanonicalJson.of(Map.of("forTeam", "true")).isTrue("forTeam"))
                .isFalse();
        assertThat(CanonicalJson.of(Map.of("said", "{\"forTeam\":true", "zz", "\\\",\"forTeam\":true"))
                        .isTrue("forTeam"))
                .isFalse();
    }
}
