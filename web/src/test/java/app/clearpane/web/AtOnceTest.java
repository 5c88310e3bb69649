package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.record.RecordChain;
import app.clearpane.core.signoff.Attempt;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.RoundState;
import app.clearpane.store.record.Records;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * Two people decide in the same instant, again and again: what comes of it is what one order of the two would give, and
 * the Record has no gap.
 */
class AtOnceTest extends AtTheMill {
    /** A few rounds as a rule; as many as one likes with {@code -Drounds.at.once=1000}. */
    private static final int ROUNDS = Integer.getInteger("rounds.at.once", 24);

    @Autowired
    private Records records;

    /** What came of two decisions: whether each was taken, what stands, and whether the round is closed. */
    private record Came(boolean first, boolean second, Map<ContactId, Decision> stands, boolean closed) {}

    private static Came inOrder(Round asked, Version version, List<Attempt> attempts, boolean swapped) {
        Map<ContactId, Decision> stands = new HashMap<>();
        boolean[] taken = new boolean[2];
        boolean closed = false;
        for (int turn = 0; turn < 2; turn++) {
            int which = swapped ? 1 - turn : turn;
            RoundState.Answer answer = new RoundState(version.sha256(), closed, asked.panel(), stands, 0, 0, 0)
                    .answer(attempts.get(which));
            if (answer instanceof RoundState.Answer.Taken done) {
                taken[which] = true;
                stands.put(attempts.get(which).by(), attempts.get(which).decision());
                closed = done.closes();
            }
        }
        return new Came(taken[0], taken[1], stands, closed);
    }

    @Test
    void itComesOutAsInOneOrderOfTheTwo() throws Exception {
        Random random = new Random(2027);
        Visitor ines = ines();
        Visitor imre = imre();
        Visitor grete = grete();
        ExecutorService atOnce = Executors.newFixedThreadPool(2);
        int dependOnOrder = 0;
        ItemId any = deliverable(ines, "At once, any", "ANY");
        ItemId all = deliverable(ines, "At once, all", "ALL");
        for (int i = 0; i < ROUNDS; i++) {
            ItemId bag = random.nextBoolean() ? any : all;
            Version version = sent(ines, bag);
            Round asked = round(bag);
            List<Attempt> attempts = oneOfEach(random, version, asked);
            Came came = bothAtOnce(imre, grete, atOnce, bag, version, attempts);
            Set<Came> possible = inEitherOrder(version, asked, attempts);
            assertThat(possible)
                    .as("round " + i + ": " + attempts + " of " + asked.rule())
                    .contains(came);
            dependOnOrder += possible.size() - 1;
        }
        atOnce.shutdown();
        assertThat(dependOnOrder).as("rounds in which the order matters").isPositive();
        System.out.println(
                ROUNDS + " rounds decided on by two at once, in " + dependOnOrder + " of which the order matters");
        theRecordIsWhole();
    }

    private List<Attempt> oneOfEach(Random random, Version version, Round asked) throws Exception {
        ContactId imreId = asked.signatories().stream()
                .filter(Round.Signatory::leadVoice)
                .findFirst()
                .orElseThrow()
                .contact();
        ContactId greteId = asked.signatories().stream()
                .filter(one -> !one.leadVoice())
                .findFirst()
                .orElseThrow()
                .contact();
        List<Attempt> attempts = List.of(
                new Attempt(imreId, Decision.values()[random.nextInt(4)], version.sha256(), "as it should be"),
                new Attempt(greteId, Decision.values()[random.nextInt(4)], version.sha256(), "as it should be"));
        return attempts;
    }

    private Came bothAtOnce(
            Visitor imre, Visitor grete, ExecutorService atOnce, ItemId bag, Version version, List<Attempt> attempts)
            throws Exception {
        List<Future<HttpResponse<String>>> answers = atOnce.invokeAll(List.of(
                deciding(imre, version, attempts.get(0).decision().name()),
                deciding(grete, version, attempts.get(1).decision().name())));
        List<Boolean> taken = new ArrayList<>();
        for (Future<HttpResponse<String>> answer : answers) {
            assertThat(answer.get().statusCode()).isIn(302, 409, 422);
            taken.add(answer.get().statusCode() == 302);
        }
        Came came = new Came(
                taken.get(0), taken.get(1), round(bag).decisions(), !round(bag).open());
        return came;
    }

    private Set<Came> inEitherOrder(Version version, Round asked, List<Attempt> attempts) throws Exception {
        Set<Came> possible = new HashSet<>(List.of(inOrder(asked, version, attempts, false)));
        possible.add(inOrder(asked, version, attempts, true));
        return possible;
    }

    private void theRecordIsWhole() throws Exception {
        try (Stream<Records.Line> lines = records.whole(mill().value())) {
            RecordChain check = new RecordChain();
            List<RecordChain.Fault> faults = lines.map(Records.Line::stored)
                    .map(check::check)
                    .flatMap(Optional::stream)
                    .toList();
            assertThat(faults).isEmpty();
            assertThat(records.end(mill().value()).sequence()).as("no gap").isEqualTo(check.sound());
        }
    }
}
