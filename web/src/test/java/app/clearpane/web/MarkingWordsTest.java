package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.Place;
import app.clearpane.store.markup.Markups;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * Marks on words and on moments, over HTTP: what is kept, what is refused, and how they come across to the next
 * version.
 */
class MarkingWordsTest extends AtTheMill {
    @Autowired
    Markups markups;

    private HttpResponse<String> mark(Visitor who, Version version, Map<String, String> place) throws Exception {
        Map<String, String> form = new HashMap<>(Map.of(
                "page",
                "1",
                "shape",
                "TEXT",
                "x1",
                "0",
                "y1",
                "0",
                "x2",
                "0",
                "y2",
                "0",
                "intent",
                "CHANGE",
                "note",
                "Say it otherwise.",
                "audience",
                "client"));
        form.putAll(place);
        return who.post("/c/panes/" + pane().id() + "/versions/" + version.id() + "/marks", who.token(), form);
    }

    private Mark last(ItemId deliverable) {
        List<Mark> marks = markups.marksOf(deliverable);
        return marks.get(marks.size() - 1);
    }

    @Test
    void wordsAreFoundByPlaceOrByThemselvesAndOthersAreRefused() throws Exception {
        Visitor ines = ines();
        ItemId texts = deliverable(ines, "Words to mark", "ALL");
        Version version = sent(ines, texts, "panel-texts-1.md");
        assertThat(mark(imre(), version, Map.of("start", "19", "quote", "hall")).statusCode())
                .isEqualTo(302);
        assertThat(((Place.TextRange) last(texts).place()).start()).isEqualTo(19);
        mark(imre(), version, Map.of("quote", "prize for a pig", "instead", "  prize for a goose "));
        assertThat(last(texts).place())
                .isInstanceOfSatisfying(Place.TextRange.class, range -> assertThat(range.before())
                        .endsWith("who paid for it with the "));
        assertThat(last(texts).replacement()).hasValue("prize for a goose");
        mark(
                imre(),
                version,
                Map.of("start", "3", "quote", "without a glass", "note", "", "instead", "with the naked eye"));
        assertThat(last(texts).note()).as("other words are note enough").isEmpty();
        int before = markups.marksOf(texts).size();
        otherWordsAreRefused(version);
        assertThat(markups.marksOf(texts)).hasSize(before);
        String table = imre().get("/c/panes/" + pane().id() + "/versions/" + version.id())
                .body();
        assertThat(table).contains("data-start=", "prize for a goose").doesNotContain("/sheets/1/tiles");
    }

    private void otherWordsAreRefused(Version version) throws Exception {
        Map<String, Map<String, String>> refused = Map.of(
                "not in this version",
                Map.of("quote", "a word that is not there"),
                "Choose the words",
                Map.of("quote", "   "),
                "characters can be marked",
                Map.of("quote", "x".repeat(4_001)),
                "Write a note",
                Map.of("quote", "hall", "note", ""),
                "longer",
                Map.of("quote", "hall", "instead", "y".repeat(2_001)));
        for (Map.Entry<String, Map<String, String>> bad : refused.entrySet()) {
            HttpResponse<String> answer = mark(imre(), version, bad.getValue());
            assertThat(answer.statusCode()).as(bad.getKey()).isEqualTo(422);
        }
    }

    @Test
    void twoWordingsClashAndMarksComeAcrossByTheirWords() throws Exception {
        Visitor ines = ines();
        ItemId texts = deliverable(ines, "Words to carry", "ANY");
        Version first = sent(ines, texts, "panel-texts-1.md");
        mark(imre(), first, Map.of("quote", "twenty minutes", "instead", "half an hour"));
        mark(grete(), first, Map.of("quote", "need twenty minutes", "instead", "need a while"));
        mark(grete(), first, Map.of("quote", "It is ground to the thickness of a hair's hundredth part."));
        assertThat(imre().get("/c/panes/" + pane().id() + "/versions/" + first.id())
                        .body())
                .contains("want different words at one place", "half an hour", "need a while");
        Version second = sent(ines, texts, "panel-texts-2.md");
        String table = ines.get("/t/versions/" + second.id() + "/light-table").body();
        assertThat(table).contains("its text is gone", "changed nearby").contains("marked change carried");
        String changes = imre().get(
                        "/c/panes/" + pane().id() + "/versions/" + second.id() + "/changes?since=" + first.id())
                .body();
        assertThat(changes).contains("<del>see in</del>", "<ins>get used to</ins>", "moved here");
        leaveAsWords(ines, first);
    }

    private void leaveAsWords(Visitor ines, Version first) throws Exception {
        String letter = ines.get("/t/versions/" + first.id() + "/letter").body();
        assertThat(letter).contains("half an hour", "clashes with").doesNotContain("viewBox=\"0");
        assertThat(ines.get("/t/versions/" + first.id() + "/letter.pdf").statusCode())
                .isEqualTo(200);
        assertThat(ines.get("/t/versions/" + first.id() + "/marks.jsonld").body())
                .contains("TextQuoteSelector", "\"exact\" : \"twenty minutes\"", "half an hour");
        assertThat(ines.get("/t/versions/" + first.id() + "/marks.csv").body()).contains("need a while");
        assertThat(ines.get("/t/versions/" + first.id() + "/marks.pdf").statusCode())
                .as("a text has no sheets to mark")
                .isEqualTo(404);
    }

    @Test
    void momentsAreKeptAndWhatIsPlayedComesInParts() throws Exception {
        Visitor ines = ines();
        ItemId film = deliverable(ines, "Film to mark", "ALL");
        Version version = sent(ines, film, "opening-trailer-1.mp4");
        mark(imre(), version, Map.of("shape", "NONE", "from", "3.5", "to", "4.25"));
        assertThat(last(film).place()).isEqualTo(new Place.Moment(3.5, 4.25, java.util.Optional.empty()));
        mark(
                imre(),
                version,
                Map.of("shape", "RECTANGLE", "x1", "0.1", "y1", "0.1", "x2", "0.2", "y2", "0.2", "from", "9"));
        assertThat(last(film).place()).isInstanceOfSatisfying(Place.Moment.class, moment -> assertThat(moment.shape())
                .contains(new Place.Rectangle(1, 0.1, 0.1, 0.2, 0.2)));
        int before = markups.marksOf(film).size();
        otherMomentsAreRefused(version);
        assertThat(markups.marksOf(film)).hasSize(before);
        String played = "/c/panes/" + pane().id() + "/versions/" + version.id() + "/played";
        HttpResponse<String> part = imre().get(played, Map.of("Range", "bytes=100-199"));
        assertThat(part.statusCode()).isEqualTo(206);
        assertThat(part.headers().firstValue("Content-Range").orElseThrow()).startsWith("bytes 100-199/");
        assertThat(part.headers().firstValue("Content-Type")).contains("video/mp4");
        assertThat(ines.get("/t/versions/" + version.id() + "/marks.jsonld").body())
                .contains("t=3.5,4.25", "refinedBy");
    }

    private void otherMomentsAreRefused(Version version) throws Exception {
        assertThat(mark(imre(), version, Map.of("shape", "NONE", "from", "5", "to", "4"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(mark(imre(), version, Map.of("shape", "NONE", "from", "-1")).statusCode())
                .isEqualTo(422);
        assertThat(mark(
                                imre(),
                                version,
                                Map.of(
                                        "shape",
                                        "RECTANGLE",
                                        "x1",
                                        "0.9",
                                        "y1",
                                        "0.1",
                                        "x2",
                                        "0.2",
                                        "y2",
                                        "0.2",
                                        "from",
                                        "9"))
                        .statusCode())
                .isEqualTo(422);
    }

    private HttpResponse<String> edit(Visitor who, Mark mark, Map<String, String> words) throws Exception {
        Map<String, String> form = new HashMap<>(Map.of(
                "intent",
                "CHANGE",
                "note",
                "Say it shorter.",
                "revision",
                String.valueOf(mark.revision()),
                "on",
                mark.version().toString()));
        form.putAll(words);
        return who.post("/c/panes/" + pane().id() + "/marks/" + mark.id() + "/edit", who.token(), form);
    }

    @Test
    void aNoteIsChangedByItsAuthorWhileTheRoundIsOpenAndWhatItSaidIsKept() throws Exception {
        Visitor ines = ines();
        ItemId texts = deliverable(ines, "Notes to change", "ALL");
        Version version = sent(ines, texts, "panel-texts-1.md");
        mark(imre(), version, Map.of("quote", "the star hall", "instead", "the great hall"));
        Mark first = last(texts);
        nobodyElseChangesIt(first);
        edit(imre(), first, Map.of("intent", "IDEA", "instead", "the hall of stars"));
        Mark changed = last(texts);
        assertThat(changed.note()).isEqualTo("Say it shorter.");
        assertThat(changed.replacement()).hasValue("the hall of stars");
        assertThat(changed.earlier()).singleElement().satisfies(before -> assertThat(before.replacement())
                .hasValue("the great hall"));
        assertThat(edit(imre(), first, Map.of()).statusCode())
                .as("changed since it was seen")
                .isEqualTo(409);
        assertThat(imre().get("/c/panes/" + pane().id() + "/versions/" + version.id())
                        .body())
                .contains("changed once", "Say it otherwise.", "Say this again");
        edit(imre(), changed, Map.of("intent", "CHANGE", "note", "Say it otherwise.", "instead", "the great hall"));
        assertThat(last(texts).earlier()).hasSize(2);
        ines.post("/t/versions/" + version.id() + "/close-round", ines.token(), Map.of("reason", "heard enough"));
        assertThat(edit(imre(), last(texts), Map.of()).body()).contains("The round is closed");
    }

    private void nobodyElseChangesIt(Mark first) throws Exception {
        assertThat(edit(grete(), first, Map.of()).statusCode())
                .as("another's note")
                .isEqualTo(422);
        assertThat(edit(imre(), first, Map.of("note", " ", "instead", "")).statusCode())
                .isEqualTo(422);
        assertThat(edit(imre(), first, Map.of("intent", "SHOUT")).statusCode()).isEqualTo(422);
    }
}
