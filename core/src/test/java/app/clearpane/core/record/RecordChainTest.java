package app.clearpane.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.files.Sha256;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RecordChainTest {
    private static final Instant AT = Instant.parse("2027-03-24T09:30:00Z");

    private static List<RecordChain.Stored> chain(int length) {
        List<RecordChain.Stored> chain = new ArrayList<>();
        String previous = RecordEntry.NOTHING_BEFORE;
        for (int i = 0; i < length; i++) {
            CanonicalJson payload = CanonicalJson.of(Map.of("note", "Nº " + i));
            RecordEntry entry = RecordEntry.following(
                    i, previous, new RecordEntry.What("mark.placed", "Jasper", "Map", payload), AT.plusMillis(i));
            chain.add(new RecordChain.Stored(entry, entry.hash().hex(), Optional.of(payload.text())));
            previous = entry.hash().hex();
        }
        return chain;
    }

    private static String firstFault(List<RecordChain.Stored> chain) {
        RecordChain check = new RecordChain();
        for (RecordChain.Stored stored : chain) {
            Optional<RecordChain.Fault> fault = check.check(stored);
            if (fault.isPresent()) {
                return check.sound() + " " + fault.get();
            }
        }
        return "sound";
    }

    @Test
    void writesAnEntryInOneWayOnly() {
        RecordEntry entry = chain(1).get(0).entry();
        assertThat(entry.canonicalText())
                .isEqualTo("{\"act\":\"mark.placed\",\"actor\":\"Jasper\",\"at\":\"2027-03-24T09:30:00.000Z\","
                        + "\"payloadHash\":\""
                        + Sha256.ofText("{\"note\":\"Nº 0\"}") + "\",\"previous\":\"" + "0".repeat(64)
                        + "\",\"sequence\":0,\"subject\":\"Map\"}");
        assertThat(entry.hash()).isEqualTo(Sha256.ofText(entry.canonicalText()));
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 7, 19})
    void namesTheFirstEntryThatWasTouched(int at) {
        assertThat(firstFault(chain(20))).isEqualTo("sound");
        anotherPayloadIsFound(at);
        List<RecordChain.Stored> content = chain(20);
        RecordEntry was = content.get(at).entry();
        content.set(
                at,
                new RecordChain.Stored(
                        new RecordEntry(
                                was.sequence(),
                                was.previous(),
                                was.act(),
                                "Mirela",
                                was.subject(),
                                was.at(),
                                was.payloadHash()),
                        content.get(at).hash(),
                        content.get(at).payload()));
        assertThat(firstFault(content)).isEqualTo(at + " HASH");
        aMissingEntryIsFound(at);
        aForgedEntryIsFound(at, was);
    }

    private void anotherPayloadIsFound(int at) {
        List<RecordChain.Stored> payload = chain(20);
        payload.set(
                at,
                new RecordChain.Stored(
                        payload.get(at).entry(), payload.get(at).hash(), Optional.of("{\"note\":\"other\"}")));
        assertThat(firstFault(payload)).isEqualTo(at + " PAYLOAD");
    }

    private void aMissingEntryIsFound(int at) {
        List<RecordChain.Stored> missing = chain(20);
        missing.remove(at);
        assertThat(firstFault(missing)).isEqualTo(at == 19 ? "sound" : at + " SEQUENCE");
    }

    private void aForgedEntryIsFound(int at, RecordEntry was) {
        List<RecordChain.Stored> rewritten = chain(20);
        RecordEntry forged = RecordEntry.following(
                at,
                was.previous(),
                new RecordEntry.What("mark.placed", "Mirela", "Map", CanonicalJson.of(Map.of())),
                AT);
        rewritten.set(at, new RecordChain.Stored(forged, forged.hash().hex(), Optional.of("{}")));
        assertThat(firstFault(rewritten)).isEqualTo(at == 19 ? "sound" : at + 1 + " PREVIOUS");
    }

    @Test
    void takesEntriesWithoutTheirPayload() {
        List<RecordChain.Stored> bare = chain(3).stream()
                .map(s -> new RecordChain.Stored(s.entry(), s.hash(), Optional.empty()))
                .toList();
        assertThat(firstFault(bare)).isEqualTo("sound");
    }

    @Test
    void writesJsonCanonically() {
        assertThat(CanonicalJson.of(Map.of("b", List.of(1, true, "x"), "a", "\u20ac\n\"\ud83c\udf12"))
                        .text())
                .isEqualTo("{\"a\":\"€\\n\\\"🌒\",\"b\":[\"1\",true,\"x\"]}");
        assertThatIllegalArgumentException().isThrownBy(() -> CanonicalJson.of(Map.of("a", new Object())));
        for (String half : List.of("\ud83c", "a\udf12b", "\udf12\ud83c")) {
            assertThatIllegalArgumentException()
                    .isThrownBy(() -> CanonicalJson.of(Map.of("a", half)))
                    .withMessageContaining("other half");
            assertThatIllegalArgumentException().isThrownBy(() -> CanonicalJson.of(Map.of(half, "a")));
        }
        assertThatIllegalArgumentException().isThrownBy(() -> CanonicalJson.parse("[\"\\ud83c\"]"));
        assertThatIllegalArgumentException().isThrownBy(() -> CanonicalJson.parse("{"));
        assertThatIllegalArgumentException().isThrownBy(() -> new Sha256("ABC"));
        assertThat(Sha256.ofText("").brief()).isEqualTo("e3b0 c442 … 7852 b855");
    }
}
