package app.clearpane.store.agency;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Notes for oneself are read by nobody else; those for the team by the team. */
class NotesTest {
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Notes notes = new Notes(house.db);
    private final TeamMember teo = new People(house.db)
            .addMember(new Name("Teo"), new EmailAddress("teo@marram.example"), TeamRole.MAKER, "", AHouse.NOW);
    private final TeamMember wanda = new People(house.db)
            .addMember(new Name("Wanda"), new EmailAddress("wanda@marram.example"), TeamRole.MAKER, "", AHouse.NOW);
    private final UUID subject = UUID.randomUUID();

    private List<String> readBy(TeamMember reader) {
        return notes.about(List.of(subject), reader.id()).stream()
                .map(Notes.Note::body)
                .toList();
    }

    @Test
    void oneForOneselfIsReadByNobodyElse() {
        notes.add(house.project, subject, "Mine", teo.id(), false, AHouse.NOW);
        UUID ours = notes.add(house.project, subject, "Ours", teo.id(), true, AHouse.NOW.plusSeconds(1));
        assertThat(readBy(teo)).containsExactly("Ours", "Mine");
        assertThat(readBy(wanda)).containsExactly("Ours");
        assertThat(notes.about(List.of(UUID.randomUUID()), teo.id())).isEmpty();
        assertThat(notes.find(ours, wanda.id()).orElseThrow())
                .matches(note -> note.writer().equals("Teo"))
                .matches(note -> note.project().equals(house.project));
    }

    @Test
    void aDeletedOneComesBackForWhoWroteIt() {
        UUID note = notes.add(house.project, subject, "Slow to pay", teo.id(), true, AHouse.NOW);
        notes.delete(note, AHouse.NOW);
        assertThat(readBy(teo)).isEmpty();
        notes.restore(note, wanda.id());
        assertThat(readBy(teo)).isEmpty();
        notes.restore(note, teo.id());
        assertThat(readBy(wanda)).containsExactly("Slow to pay");
    }
}
