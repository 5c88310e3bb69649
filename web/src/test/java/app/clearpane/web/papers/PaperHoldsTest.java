package app.clearpane.web.papers;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Stage;
import app.clearpane.store.agency.People;
import app.clearpane.store.papers.Papers;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.web.AtTheMill;
import app.clearpane.web.Visitor;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Work waits for a paper to be signed or paid, and the plan says who holds its start. */
class PaperHoldsTest extends AtTheMill {
    @Autowired
    private Papers papers;

    @Autowired
    private People clients;

    @Autowired
    private Tasks tasks;

    @Autowired
    private PlanBook book;

    private PlannedTask press;

    @BeforeEach
    void somethingToDo() throws Exception {
        String name = "Pay first " + UUID.randomUUID();
        ines().sends("/t/projects/" + mill() + "/tasks", "line=" + name + " 3d");
        press = tasks.ofProject(mill()).stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @AfterEach
    void restore() throws Exception {
        ines().sends("/t/tasks/" + press.id() + "/stage", "stage=DROPPED&before=TO_DO");
    }

    private Paper drafted(String kind) throws Exception {
        String name = "Paper " + UUID.randomUUID();
        Map<String, String> form = Map.of(
                "kind",
                kind,
                "name",
                name,
                "number",
                "9",
                "amount",
                "90",
                "dated",
                today().toString(),
                "due",
                today().plusDays(20).toString(),
                "recipient",
                clients.contactAt(new EmailAddress("imre@hobandbarley.example"))
                        .orElseThrow()
                        .id()
                        .toString());
        byte[] bytes = (name + " in words").getBytes(StandardCharsets.UTF_8);
        Visitor ines = ines();
        ines.upload(
                "/t/projects/" + mill() + "/papers",
                ines.token(),
                "p.txt",
                () -> new ByteArrayInputStream(bytes),
                form);
        return papers.ofProject(mill()).stream()
                .filter(paper -> paper.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private Optional<PlannedTask> activity(Paper paper) {
        return tasks.ofProject(mill()).stream()
                .filter(task -> task.details().paper().equals(Optional.of(paper.id())))
                .findFirst();
    }

    private int holds(Paper paper, ItemId task) throws Exception {
        return ines().sends("/t/papers/" + paper.id() + "/holds", "task=" + task)
                .statusCode();
    }

    private String taskPage() throws Exception {
        return Jsoup.parse(ines().get("/t/tasks/" + press.id()).body()).text();
    }

    private String countedWithClients() throws Exception {
        return Jsoup.parse(ines().get("/t").body())
                .select("a.chip.client[href$=#clients]")
                .text();
    }

    @Test
    void aPaperAndWhatStandsForItAreCountedOnce() throws Exception {
        Paper contract = drafted("CONTRACT");
        ines().sends("/t/papers/" + contract.id() + "/send", "sure=true");
        String counted = countedWithClients();
        assertThat(counted).startsWith("With clients ");
        holds(contract, press.id());
        assertThat(activity(contract).orElseThrow().task().stage()).isEqualTo(Stage.UNDER_WAY);
        assertThat(countedWithClients()).isEqualTo(counted);
    }

    @Test
    void workWaitsUntilAnInvoiceIsPaid() throws Exception {
        Paper invoice = drafted("INVOICE");
        assertThat(holds(invoice, press.id())).isLessThan(400);
        ItemId stands = activity(invoice).orElseThrow().id();
        assertThat(taskPage()).contains(invoice.name(), "which was not sent to the client yet");
        assertThat(book.fresh(mill()).firstDay(press.id())).isAfter(today());
        ines().sends("/t/papers/" + invoice.id() + "/send", "sure=true");
        assertThat(tasks.find(stands).orElseThrow().task().stage()).isEqualTo(Stage.UNDER_WAY);
        assertThat(taskPage()).contains("Its start is held by", "which is with the client");
        assertThat(Jsoup.parse(ines().get("/t/projects/" + mill() + "/papers").body())
                        .text())
                .contains(press.name(), "waits for it");
        ines().sends("/t/papers/" + invoice.id() + "/paid", "day=" + today());
        assertThat(tasks.find(stands).orElseThrow().task().stage()).isEqualTo(Stage.DONE);
        assertThat(taskPage()).doesNotContain("Its start is held by");
        assertThat(holds(invoice, press.id())).as("it is paid").isEqualTo(409);
        assertThat(Jsoup.parse(ines().get("/t/projects/" + mill() + "/record?q="
                                        + press.name().replace(" ", "+"))
                                .body())
                        .text())
                .contains("had wait for a paper the task");
    }

    @Test
    void whatStandsForAPaperIsHeldBackFromWhomItIsNotAddressedTo() throws Exception {
        Paper contract = drafted("CONTRACT");
        holds(contract, press.id());
        ItemId stands = activity(contract).orElseThrow().id();
        assertThat(panes.isHeldBackEverywhere(stands)).isTrue();
        ines().sends("/t/papers/" + contract.id() + "/send", "sure=true");
        assertThat(panes.isHeldBackEverywhere(stands)).isTrue();
        assertThat(grete().get("/c/panes/" + pane().id() + "/tasks/" + stands).statusCode())
                .isEqualTo(404);
    }

    @Test
    void whatIsWithdrawnHoldsNothing() throws Exception {
        Paper contract = drafted("CONTRACT");
        holds(contract, press.id());
        ines().sends("/t/papers/" + contract.id() + "/send", "sure=true");
        ines().sends("/t/papers/" + contract.id() + "/withdraw", "reason=A better one comes");
        assertThat(activity(contract).orElseThrow().task().stage()).isEqualTo(Stage.DROPPED);
        assertThat(taskPage()).doesNotContain("Its start is held by");
    }

    @Test
    void nothingWaitsForWhatAsksForNothingNorWhatHasBegun() throws Exception {
        assertThat(holds(drafted("OTHER"), press.id())).isEqualTo(409);
        Paper contract = drafted("CONTRACT");
        assertThat(holds(contract, new ItemId(UUID.randomUUID()))).isEqualTo(409);
        ines().sends("/t/tasks/" + press.id() + "/stage", "stage=UNDER_WAY&before=TO_DO");
        assertThat(holds(contract, press.id())).isEqualTo(409);
        assertThat(activity(contract)).isEmpty();
    }
}
