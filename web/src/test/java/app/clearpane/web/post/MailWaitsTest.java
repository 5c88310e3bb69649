package app.clearpane.web.post;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.store.agency.People;
import app.clearpane.store.post.Mails;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.jobs.Jobs;
import app.clearpane.usecases.post.HoursOfContacts;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.post.WriteMail;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.web.DemoHouse;
import app.clearpane.web.Visitor;
import jakarta.mail.internet.MimeMessage;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A mail that tells of what may be taken back goes out once it may not, and never if it was (Q3). */
class MailWaitsTest extends DemoHouse {
    @Autowired
    private Mails mails;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Pages pages;

    @Autowired
    private HouseSettings house;

    @Autowired
    private People team;

    @Autowired
    private HoursOfContacts hours;

    private WriteMail waiting;
    private TeamMember ines;

    @BeforeEach
    void asInALivingHouse() {
        waiting = new WriteMail(
                mails,
                jobs,
                pages,
                new HouseSettings(
                        house.data(),
                        house.address(),
                        house.from(),
                        house.largestUpload(),
                        house.pollMillis(),
                        house.drawing(),
                        true),
                hours,
                clock);
        ines = team.memberAt(new EmailAddress("ines@marram-finch.example")).orElseThrow();
    }

    private static Letter letter(String subject) {
        return new Letter(subject, List.of("It was decided."), "See it", "http://localhost/t", "Marram & Finch");
    }

    private boolean arrived(String subject) throws Exception {
        for (MimeMessage mail : world.getReceivedMessages()) {
            if (mail.getSubject().equals(subject)) {
                return true;
            }
        }
        return false;
    }

    @Test
    void goesOutOnceItIsCertain() throws Exception {
        Instant certain = clock.instant().plusSeconds(2);
        waiting.onceCertain(ines, letter("Certain in two seconds"), UUID.randomUUID(), certain);
        await().until(() -> arrived("Certain in two seconds"));
        assertThat(clock.instant()).isAfterOrEqualTo(certain);
    }

    @Test
    void neverGoesOutIfItWasTakenBack() throws Exception {
        UUID about = UUID.randomUUID();
        Instant certain = clock.instant().plus(Duration.ofMinutes(10));
        waiting.onceCertain(ines, letter("Never to be read"), about, certain);
        assertThat(mails.waiting(clock.instant()))
                .filteredOn(one -> one.subject().equals("Never to be read"))
                .singleElement()
                .satisfies(one -> assertThat(one.recipientName()).isEqualTo(ines.name()));
        assertThat(new Visitor(address()).get("/post-room").body())
                .contains("Never to be read", "in case it is taken back");
        assertThat(waiting.takeBack(about)).isTrue();
        assertThat(waiting.takeBack(about)).as("there is nothing left to drop").isFalse();
        assertThat(mails.waiting(clock.instant()))
                .noneMatch(one -> one.subject().equals("Never to be read"));
        assertThat(arrived("Never to be read")).isFalse();
    }

    @Test
    void whatWentOutCannotBeDropped() throws Exception {
        UUID about = UUID.randomUUID();
        waiting.onceCertain(ines, letter("Gone at once"), about, Instant.EPOCH);
        await().until(() -> arrived("Gone at once"));
        await().until(() -> !waiting.takeBack(about));
    }

    @Test
    void whatFollowsWithinMinutesGoesOutInOne() {
        UUID task = UUID.randomUUID();
        threeThingsHappen(task);
        assertThat(mails.waiting(clock.instant()))
                .filteredOn(one -> one.subject().startsWith("Three in one"))
                .singleElement()
                .satisfies(one -> {
                    assertThat(one.subject())
                            .as("it is called after the last")
                            .isEqualTo("Three in one: " + "Mirela has done it.".length());
                    assertThat(one.notBefore()).isBefore(clock.instant().plus(Duration.ofMinutes(4)));
                });
        assertThat(mails.linesSoFar(task))
                .containsExactly(
                        "Mirela says: “Here they are.”",
                        "Mirela has put “hours.txt” beside it.",
                        "Mirela has done it.");
        waiting.takeBack(task);
    }

    private void threeThingsHappen(UUID task) {
        for (String happened : List.of(
                "Mirela says: “Here they are.”", "Mirela has put “hours.txt” beside it.", "Mirela has done it.")) {
            waiting.gathered(
                    ines,
                    new Letter(
                            "Three in one: " + happened.length(),
                            List.of(happened),
                            "See it",
                            "http://localhost/t",
                            "Marram & Finch"),
                    task);
        }
    }
}
