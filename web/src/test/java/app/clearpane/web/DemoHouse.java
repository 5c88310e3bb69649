package app.clearpane.web;

import static org.awaitility.Awaitility.await;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.plan.AsTold;
import com.icegreen.greenmail.util.GreenMail;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.ActiveProfiles;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** The running application with the demo data, shared by all tests of this module. */
@SpringBootTest(classes = ClearPane.class, webEnvironment = SpringBootTest.WebEnvironment.DEFINED_PORT)
@ActiveProfiles("demo")
@Import({SecretsInModels.class, AsTold.class})
public abstract class DemoHouse {
    private static final int PORT = freePort();
    private static final Path DATA = temporary();

    @Autowired
    private People people;

    @Autowired
    private LinkKeys keys;

    @Autowired
    protected Projects projects;

    @Autowired
    protected Panes panes;

    @Autowired
    private Drawings drawings;

    @Autowired
    protected GreenMail world;

    @Autowired
    protected Clock clock;

    @Autowired
    private TheAgency theAgency;

    @DynamicPropertySource
    static void properties(DynamicPropertyRegistry registry) {
        registry.add("server.port", () -> PORT);
        registry.add("clearpane.data", DATA::toString);
        registry.add("clearpane.demo.now", Moment.START::toString);
        registry.add("clearpane.poll-millis", () -> 100);
        registry.add("clearpane.reminders", () -> "-");
        registry.add("clearpane.silence", () -> "-");
        registry.add("clearpane.day", () -> "-");
        registry.add("clearpane.mail-waits", () -> false);
        registry.add("clearpane.limits.links", () -> 10_000);
        registry.add("clearpane.limits.mails", () -> 10_000);
        registry.add("clearpane.limits.sign-ins", () -> 20);
    }

    /** The pages of what the demo shows are drawn after the start; what an earlier test deleted half drawn is not. */
    @BeforeEach
    void allIsDrawn() {
        await().atMost(Duration.ofMinutes(2)).until(() -> projects.active().stream()
                .allMatch(project -> drawings.waiting(project.id()).isEmpty()));
    }

    /** The day it is in the house. */
    protected LocalDate today() {
        return theAgency.today();
    }

    protected static String address() {
        return "http://localhost:" + PORT;
    }

    protected static Path data() {
        return DATA;
    }

    /** This contact, signed in. */
    protected Person.OfClient ofClient(String address) {
        return people.contactAt(new EmailAddress(address))
                .map(contact -> new Person.OfClient(contact.id().value(), contact.name()))
                .orElseThrow();
    }

    /** This member of the team, signed in. */
    protected Person.OfTeam member(String address) {
        TeamMember member = people.memberAt(new EmailAddress(address)).orElseThrow();
        return new Person.OfTeam(member.id().value(), member.name(), member.role());
    }

    /** A link that lets this contact in, to their home. */
    protected String linkOf(String contact) {
        return keys.lasting(new SignInLinks.Grant(
                people.contactAt(new EmailAddress(contact)).orElseThrow().id(), null, "/c", Instant.EPOCH, true));
    }

    /** A link that lets this contact in, to the pane of one project. */
    protected String linkOf(String contact, String project) {
        PaneId pane = panes.ofProject(projects.active().stream()
                        .filter(one -> one.name().equals(project))
                        .findFirst()
                        .orElseThrow()
                        .id())
                .get(0)
                .id();
        return keys.lasting(new SignInLinks.Grant(
                people.contactAt(new EmailAddress(contact)).orElseThrow().id(),
                null,
                "/c/panes/" + pane,
                Instant.EPOCH,
                true));
    }

    /** A link that lets this member of the team in, to the Desk. */
    protected String linkOfTeam(String member) {
        return keys.lasting(new SignInLinks.Grant(
                null,
                people.credentials(new EmailAddress(member))
                        .orElseThrow()
                        .member()
                        .id(),
                "/t",
                Instant.EPOCH,
                true));
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static Path temporary() {
        try {
            return Files.createTempDirectory("clear-pane-test");
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
