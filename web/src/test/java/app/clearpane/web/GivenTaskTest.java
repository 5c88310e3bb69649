package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.Turn;
import app.clearpane.store.agency.People;
import app.clearpane.store.plan.Tasks;
import jakarta.mail.internet.MimeMessage;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * A task for somebody of the client's is sent once, and not before nothing stands before it; what they may not see is
 * sent to nobody.
 */
class GivenTaskTest extends DemoHouse {
    @Autowired
    private Tasks tasks;

    @Autowired
    private People contacts;

    private final List<ItemId> made = new ArrayList<>();
    private ProjectId project;
    private ContactId jasper;
    private Visitor ines;

    @BeforeEach
    void atTheVisitorCentre() throws Exception {
        project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        jasper = contacts.contactAt(new EmailAddress("jasper@penwether.example"))
                .orElseThrow()
                .id();
        ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
    }

    @AfterEach
    void asItWas() throws Exception {
        for (ItemId one : made) {
            ines.post("/t/tasks/" + one + "/delete", ines.token(), Map.of());
        }
    }

    private ItemId task(String name) throws Exception {
        HttpResponse<String> added = ines.post("/t/projects/" + project + "/tasks", ines.token(), Map.of("line", name));
        ItemId id =
                ItemId.of(added.headers().firstValue("Location").orElseThrow().replaceAll(".*#task-", ""));
        made.add(id);
        return id;
    }

    private HttpResponse<String> give(ItemId id, Map<String, String> more) throws Exception {
        PlannedTask task = tasks.find(id).orElseThrow();
        Map<String, String> form = new HashMap<>(Map.of(
                "name",
                task.name(),
                "doer",
                "c:" + jasper,
                "days",
                "1",
                "notBefore",
                "",
                "due",
                "",
                "effort",
                "",
                "phase",
                "",
                "milestone",
                "",
                "priority",
                "USUAL",
                "labels",
                ""));
        form.putAll(Map.of(
                "notes",
                "",
                "again",
                "",
                "remaining",
                "",
                "began",
                "",
                "done",
                "",
                "revision",
                String.valueOf(task.revision())));
        form.putAll(more);
        return ines.post("/t/tasks/" + id, ines.token(), form);
    }

    private void move(ItemId id, String stage) throws Exception {
        assertThat(ines.post("/t/tasks/" + id + "/stage", ines.token(), Map.of("stage", stage))
                        .statusCode())
                .isEqualTo(302);
    }

    private long mails(String name) throws Exception {
        long found = 0;
        for (MimeMessage mail : world.getReceivedMessages()) {
            found += mail.getSubject().equals("For you: " + name)
                            && mail.getAllRecipients()[0].toString().contains("jasper@penwether.example")
                    ? 1
                    : 0;
        }
        return found;
    }

    private boolean sent(ItemId id) {
        return tasks.find(id).orElseThrow().task().actual().began().isPresent();
    }

    @Test
    void isSentAtOnceWhereNothingStandsBeforeItAndNeverTwice() throws Exception {
        ItemId id = task("Count the chairs");
        assertThat(give(id, Map.of()).statusCode()).isEqualTo(302);
        assertThat(sent(id)).isTrue();
        assertThat(tasks.ledgers(project).get(id).holder()).isEqualTo(Turn.CLIENTS);
        await().until(() -> mails("Count the chairs") == 1);
        assertThat(Visitor.by(address(), linkOf("jasper@penwether.example"))
                        .open("/c/panes/" + panes.ofProject(project).get(0).id())
                        .body())
                .contains("Count the chairs");
        assertThat(give(id, Map.of("began", today().toString(), "notes", "All of them."))
                        .statusCode())
                .isEqualTo(302);
        ItemId after = task("Paint the chairs");
        assertThat(give(after, Map.of("after", id.toString(), "lag", "0")).statusCode())
                .isEqualTo(302);
        assertThat(sent(after)).as("waits for the counting").isFalse();
        move(id, "DONE");
        await().until(() -> mails("Paint the chairs") == 1);
        assertThat(sent(after)).isTrue();
        assertThat(mails("Count the chairs")).as("not sent again").isEqualTo(1);
    }

    @Test
    void waitsForItsDay() throws Exception {
        ItemId id = task("Open the shutters");
        assertThat(give(id, Map.of("notBefore", today().plusDays(40).toString()))
                        .statusCode())
                .isEqualTo(302);
        assertThat(sent(id)).isFalse();
        assertThat(tasks.ledgers(project).get(id).holder()).isEqualTo(Turn.OURS);
        assertThat(ines.get("/t/projects/" + project + "/plan?as=lines").body()).contains("Open the shutters");
    }

    @Test
    void whatIsHeldBackIsGivenToNobody() throws Exception {
        ItemId id = task("Sweep the dome");
        ItemId before = task("Fetch the broom");
        assertThat(give(id, Map.of("after", before.toString(), "lag", "0")).statusCode())
                .isEqualTo(302);
        assertThat(ines.post("/t/items/" + id + "/window", ines.token(), Map.of())
                        .statusCode())
                .isEqualTo(200);
        move(before, "DONE");
        assertThat(sent(id)).as("held back meanwhile").isFalse();
        assertThat(mails("Sweep the dome")).isZero();
        ItemId other = task("Polish the dome");
        ines.post("/t/items/" + other + "/window", ines.token(), Map.of());
        HttpResponse<String> refused = give(other, Map.of());
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("held back");
        assertThat(tasks.find(other).orElseThrow().hands().contact()).isEmpty();
    }

    @Test
    void isGivenToNobodyWhereClientsMayDoNone() throws Exception {
        boolean may = contacts.clientsDoTasks();
        ItemId id = task("Ring the bell");
        try {
            contacts.setClientsDoTasks(false);
            HttpResponse<String> refused = give(id, Map.of());
            assertThat(refused.statusCode()).isEqualTo(422);
            assertThat(sent(id)).isFalse();
            assertThat(mails("Ring the bell")).isZero();
        } finally {
            contacts.setClientsDoTasks(may);
        }
    }
}
