package app.clearpane.usecases.post;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.Agency;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class WriteToTeamTest {
    private static final ProjectId PROJECT = new ProjectId(new UUID(1, 1));
    private static final UUID ABOUT = new UUID(1, 2);
    private static final TeamMember INES = new TeamMember(
            new TeamMemberId(new UUID(1, 3)), "Ines Okafor-Lindqvist", "ines@marram-finch.example", TeamRole.MANAGER);
    private static final WriteToTeam.Leads LEADS = new WriteToTeam.Leads("See Map", "/t/deliverables/7");

    private final Projects projects = mock();
    private final People people = mock();
    private final WriteMail mail = mock();
    private final LinkKeys keys = mock();
    private final TheAgency agency = mock();
    private final HouseSettings house = mock();
    private final WriteToTeam write = new WriteToTeam(projects, people, mail, keys, agency, house);

    @BeforeEach
    void aProjectOfInes() {
        Project project = mock();
        when(project.manager()).thenReturn(INES.id());
        when(projects.find(PROJECT)).thenReturn(Optional.of(project));
        when(people.member(INES.id())).thenReturn(Optional.of(INES));
        when(agency.get()).thenReturn(new Agency(new UUID(1, 4), "Marram & Finch", ZoneOffset.UTC));
        when(house.address()).thenReturn("https://house.example");
        when(keys.forMember(INES.id(), "/t/deliverables/7")).thenReturn("https://house.example/p/key");
    }

    private static Letter letter(String link) {
        return new Letter("Declined: Map", List.of("Because."), "See Map", link, "Marram & Finch");
    }

    @Test
    void whatConcernsAProjectGoesToItsManager() {
        write.tell(PROJECT, "Declined: Map", List.of("Because."), LEADS);
        verify(mail).send(INES, letter("https://house.example/t/deliverables/7"));
    }

    @Test
    void aProjectThatIsGoneIsToldToNobody() {
        write.tell(new ProjectId(new UUID(9, 9)), "Declined: Map", List.of("Because."), LEADS);
        write.soon(new ProjectId(new UUID(9, 9)), ABOUT, letter("x"));
        write.onceCertain(new ProjectId(new UUID(9, 9)), letter("x"), ABOUT, Instant.EPOCH);
        verifyNoInteractions(mail);
    }

    @Test
    void whatFollowsSoonIsGatheredAndWhatIsCertainLaterWaits() {
        write.soon(PROJECT, ABOUT, letter("x"));
        verify(mail).gathered(INES, letter("x"), ABOUT);
        write.onceCertain(PROJECT, letter("y"), ABOUT, Instant.EPOCH);
        verify(mail).onceCertain(INES, letter("y"), ABOUT, Instant.EPOCH);
    }

    @Test
    void onlyALetterThatLetsInCarriesAKey() {
        write.write(INES, "Declined: Map", List.of("Because."), LEADS);
        verify(mail).send(INES, letter("https://house.example/t/deliverables/7"));
        verifyNoInteractions(keys);
        write.letIn(INES, "Declined: Map", List.of("Because."), LEADS);
        verify(mail).send(INES, letter("https://house.example/p/key"));
    }

    @Test
    void whatWaitsCanBeTakenBack() {
        when(mail.takeBack(ABOUT)).thenReturn(true);
        assertThat(write.takeBack(ABOUT)).isTrue();
        assertThat(write.takeBack(new UUID(3, 3))).isFalse();
    }
}
