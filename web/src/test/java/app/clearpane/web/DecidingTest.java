package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.record.RecordLines;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Deciding through the application: at the same instant, twice, too late, and on a disk that takes no more. */
class DecidingTest extends AtTheMill {
    @Autowired
    private Records records;

    @Autowired
    private RecordLines lines;

    @RepeatedTest(5)
    void bothDecisionsOfOneInstantCountAndTheRoundClosesOnce() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Bag " + System.nanoTime(), "ALL");
        Version version = sent(ines, bag);
        List<Callable<HttpResponse<String>>> both =
                List.of(deciding(imre(), version, "SIGN_OFF"), deciding(grete(), version, "SIGN_OFF"));
        ExecutorService atOnce = Executors.newFixedThreadPool(2);
        for (Future<HttpResponse<String>> answer : atOnce.invokeAll(both)) {
            assertThat(answer.get().statusCode()).isEqualTo(302);
        }
        atOnce.shutdown();
        assertThat(round(bag).open()).isFalse();
        assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED);
        assertThat(round(bag).said()).hasSize(2);
        assertThat(lines.linesOf(mill(), bag.value()).lines().filter(line -> line.contains("\"round.closed\"")))
                .hasSize(1);
        assertThat(records.end(mill().value()).sequence())
                .isEqualTo(lines.linesOf(mill(), bag.value()).lines().count());
    }

    @Test
    void decidingAgainChangesOnesMindUntilTheRoundCloses() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Oats", "ALL");
        Version version = sent(ines, bag);
        Visitor grete = grete();
        deciding(grete, version, "SEND_BACK").call();
        assertThat(round(bag).soFar()).isEqualTo(Outcome.BACK);
        assertThat(round(bag).open()).as("the lead voice has not decided").isTrue();
        deciding(grete, version, "SIGN_OFF").call();
        deciding(imre(), version, "SIGN_OFF").call();
        assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED);
        HttpResponse<String> late = deciding(grete, version, "SEND_BACK").call();
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("as it should be");
        assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED);
    }

    @Test
    void oneSignatureIsNotEnoughWithoutTheLeadVoice() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Barley", "ANY");
        Version version = sent(ines, bag);
        deciding(grete(), version, "SIGN_OFF").call();
        assertThat(round(bag).open()).isTrue();
        assertThat(round(bag).soFar()).isEqualTo(Outcome.PENDING);
        deciding(imre(), version, "SIGN_OFF").call();
        assertThat(round(bag).open()).isFalse();
        assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED);
    }

    @Test
    void aDiskThatTakesNoMoreIsSaidAndNothingIsLost() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Millet", "ALL");
        Path aside = data().resolve("vault").resolve("aside");
        Path moved = aside.resolveSibling("aside-for-a-while");
        Files.move(aside, moved);
        Files.writeString(aside, "no folder, so nothing can be written into it");
        try {
            HttpResponse<String> answer = upload(ines, bag);
            assertThat(answer.statusCode()).isEqualTo(507);
            assertThat(answer.body()).contains("the disk may be full", "words that were typed");
            assertThat(deliverables.versions(bag)).isEmpty();
        } finally {
            Files.delete(aside);
            Files.move(moved, aside);
        }
        upload(ines, bag);
        assertThat(deliverables.versions(bag)).hasSize(1);
    }
}
