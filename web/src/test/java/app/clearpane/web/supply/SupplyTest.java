package app.clearpane.web.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.Verdict;
import app.clearpane.core.turns.Turn;
import app.clearpane.store.exposure.SeatWishes;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.usecases.exposure.DeleteItem;
import app.clearpane.web.Acting;
import app.clearpane.web.Visitor;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What is asked of clients is given, found out about, accepted or asked for again. */
class SupplyTest extends AtARequest {
    @Autowired
    private ProjectFiles files;

    @Autowired
    private SeatWishes wishes;

    @Autowired
    private DeleteItem deleteItem;

    private List<String> names() {
        return files.ofProject(mill()).stream().map(ProjectFile::name).toList();
    }

    @Test
    void aPictureThatIsTooSmallIsSaidToBeAndKeepsTheTurn() throws Exception {
        Request request = asks("2 photographs of the mill, A4 at 100 dpi");
        gives(imre(), request, "small.jpg", jpeg(600, 400));
        assertThat(page(request))
                .contains("600 × 400 px: 48 dpi at A4", "It needs 827 px on the short side", "1 more is wanted");
        gives(imre(), request, "large.jpg", jpeg(1300, 900));
        assertThat(now(request).supplied())
                .extracting(Supplied::verdict)
                .containsExactly(Verdict.WILL_NOT_DO, Verdict.GOOD);
        assertThat(now(request).turn()).as("one fails").isEqualTo(Turn.CLIENTS);
        Supplied small = now(request).supplied().get(0);
        imre().sends(at(request) + "/given/" + small.id() + "/all-the-same", "reason=There is no larger one");
        assertThat(now(request).turn()).isEqualTo(Turn.OURS);
        assertThat(text(ines().get("/t/projects/" + mill() + "/requests").body()))
                .contains("They say: “There is no larger one”");
        assertThat(accepts(small, "").statusCode()).as("a reason is needed").isEqualTo(422);
        accepts(small, "It is printed small");
        accepts(last(request), "");
        assertThat(now(request).isDone()).isTrue();
        assertThat(names()).contains("small.jpg", "large.jpg");
        assertThat(page(request)).contains("All of it is here and accepted");
    }

    private java.net.http.HttpResponse<String> accepts(Supplied given, String reason) throws Exception {
        return ines().sends("/t/given/" + given.id() + "/accept", "reason=" + reason);
    }

    @Test
    void anotherIsAskedForWithTheReasonAndTheExample() throws Exception {
        Request request = asks("a photograph of the door, in daylight, not at night");
        gives(imre(), request, "night.jpg", jpeg(20, 20));
        ines().sends("/t/given/" + last(request).id() + "/again", "why=It is too dark");
        assertThat(now(request).turn()).isEqualTo(Turn.CLIENTS);
        assertThat(page(request)).contains("We say: “It is too dark”", "In daylight", "Not at night");
        mailArrives("imre@hobandbarley.example", "Another one, please: " + request.title());
        assertThat(ines().sends("/t/given/" + last(request).id() + "/again", "why=Again")
                        .statusCode())
                .as("settled once")
                .isEqualTo(409);
    }

    @Test
    void filesGivenTogetherGoWhereTheyFit() throws Exception {
        Request request = asks("a photograph, A4 at 100 dpi|Any words, a document|A small one, a photograph");
        gives(imre(), request, "tiny.jpg", jpeg(30, 30));
        gives(imre(), request, "words.txt", words("some words"));
        gives(imre(), request, "large.jpg", jpeg(1300, 900));
        assertThat(now(request).supplied())
                .extracting(one -> now(request).part(one.part()).orElseThrow().name() + " " + one.verdict())
                .containsExactlyInAnyOrder("Small one GOOD", "Any words GOOD", "Photograph GOOD");
        gives(imre(), request, "large.jpg", jpeg(1300, 900));
        assertThat(now(request).supplied()).as("the same twice is kept once").hasSize(3);
    }

    @Test
    void whatIsTypedIsCountedAndReplaced() throws Exception {
        Request request = asks("Opening hours, at most 4 words|Which grain, one of rye / wheat|From when, a day");
        writes(imre(), request, 0, "open from dusk until midnight");
        assertThat(last(request).verdict()).isEqualTo(Verdict.WILL_NOT_DO);
        assertThat(page(request)).contains("5 words. What is wanted is at most 4 words.");
        writes(imre(), request, 0, "dusk until midnight");
        assertThat(writes(imre(), request, 1, "oats").statusCode()).isEqualTo(422);
        writes(imre(), request, 1, "rye");
        assertThat(writes(imre(), request, 2, "soon").statusCode()).isEqualTo(422);
        writes(imre(), request, 2, "2027-04-01");
        assertThat(now(request).turn()).isEqualTo(Turn.OURS);
        assertThat(page(request)).contains("dusk until midnight", "Thu 1 Apr").doesNotContain("open from");
        accepts(now(request).given(request.parts().get(0)).get(1), "");
        assertThat(names()).contains("Opening hours.txt");
    }

    @Test
    void onlyWhoIsAskedHasItAndOnlyWhileItIsWanted() throws Exception {
        Request draft = drafts("a photograph", "");
        assertThat(imre().get(at(draft)).statusCode()).as("a draft").isEqualTo(404);
        ines().sends("/t/requests/" + draft.id() + "/send", "");
        assertThat(imre().get(at(draft)).statusCode()).isEqualTo(200);
        assertThat(grete().get(at(draft)).statusCode()).isEqualTo(404);
        assertThat(gives(grete(), draft, "a.jpg", jpeg(9, 9)).statusCode()).isEqualTo(404);
        mailArrives("imre@hobandbarley.example", "Wanted: " + draft.title());
        ines().sends("/t/requests/" + draft.id() + "/withdraw", "reason=We found one");
        assertThat(page(draft)).contains("This is not wanted any more: “We found one”");
        assertThat(gives(imre(), draft, "a.jpg", jpeg(9, 9)).statusCode()).isEqualTo(409);
        assertThat(now(draft).supplied()).isEmpty();
    }

    @Test
    void whatIsTakenBackIsTheirsAgain() throws Exception {
        Request request = asks("a photograph");
        gives(imre(), request, "mine.jpg", jpeg(40, 30));
        String file = "/t/given/" + last(request).id() + "/file";
        assertThat(ines().get(file).statusCode()).isEqualTo(200);
        imre().sends(at(request) + "/given/" + last(request).id() + "/take-back", "");
        assertThat(ines().get(file).statusCode()).isEqualTo(404);
        assertThat(now(request).turn()).isEqualTo(Turn.CLIENTS);
    }

    @Test
    void acceptedFilesGoToTheirFolderOrToTheTopWhereItIsGone() throws Exception {
        Visitor ines = ines();
        for (boolean gone : new boolean[] {false, true}) {
            String name = "Supplied " + UUID.randomUUID();
            ines.sends("/t/projects/" + mill() + "/folders", "name=" + name);
            String folder = files.folders(mill()).stream()
                    .filter(one -> one.name().equals(name))
                    .findFirst()
                    .orElseThrow()
                    .id()
                    .toString();
            Request request = drafts("a photograph", folder);
            ines.sends("/t/requests/" + request.id() + "/send", "");
            gives(imre(), request, name + ".jpg", jpeg(40, gone ? 30 : 31));
            if (gone) {
                deleteItem.delete(ItemId.of(folder), Acting.team("Ines"));
            }
            accepts(last(request), "");
            assertThat(files.ofProject(mill()))
                    .filteredOn(file -> file.name().equals(name + ".jpg"))
                    .singleElement()
                    .extracting(file -> file.folder() != null)
                    .isEqualTo(!gone);
        }
    }

    @Test
    void itIsPassedOnToWhoHasASeatAtOnceAndToOthersWithTheirSeat() throws Exception {
        Request request = asks("a photograph");
        imre().sends(at(request) + "/pass-on", "name=Grete&email=grete@hobandbarley.example");
        assertThat(grete().get(at(request)).statusCode()).isEqualTo(200);
        imre().sends(at(request) + "/pass-on", "name=Odd One&email=odd-one@hobandbarley.example");
        assertThat(now(request).asked()).hasSize(2);
        String wish = wishes.open(mill()).stream()
                .filter(one -> one.email().equals("odd-one@hobandbarley.example"))
                .findFirst()
                .orElseThrow()
                .id()
                .toString();
        ines().sends("/t/wishes/" + wish + "/give", "");
        assertThat(now(request).asked()).extracting(Request.Asked::name).contains("Odd One");
        mailArrives("odd-one@hobandbarley.example", "Wanted: " + request.title());
        assertThat(Visitor.by(address(), linkOf("odd-one@hobandbarley.example"))
                        .get(at(request))
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void allThatIsOwedGoesInOneMail() throws Exception {
        Request one = asks("2 photographs of the mill|Opening hours, at most 9 words");
        Request other = asks("a film");
        writes(imre(), one, 1, "dusk until midnight");
        Visitor ines = ines();
        assertThat(ines.sends("/t/projects/" + mill() + "/requests/owed", "").statusCode())
                .isEqualTo(302);
        mailArrives("imre@hobandbarley.example", "Still wanted: ");
        String mail = "";
        for (var sent : world.getReceivedMessages()) {
            mail = sent.getSubject().startsWith("Still wanted: ")
                            && sent.getAllRecipients()[0].toString().contains("imre@")
                    ? com.icegreen.greenmail.util.GreenMailUtil.getBody(sent)
                    : mail;
        }
        assertThat(mail.replace("=\r\n", "")).contains(one.title(), other.title(), "Photographs of the mill");
        assertThat(mail).as("what is here is not asked for").doesNotContain("Opening hours");
    }

    @Test
    void twoWhoGiveTheSameAtOnceLoseNothing() throws Exception {
        Request request = asks("a photograph");
        imre().sends(at(request) + "/pass-on", "name=Grete&email=grete@hobandbarley.example");
        Visitor imre = imre();
        Visitor grete = grete();
        List<Callable<Integer>> both = List.of(
                () -> gives(imre, request, "his.jpg", jpeg(41, 30)).statusCode(),
                () -> gives(grete, request, "hers.jpg", jpeg(42, 30)).statusCode());
        assertThat(app.clearpane.web.Together.all(both)).containsOnly(302);
        assertThat(now(request).supplied()).extracting(Supplied::name).containsExactlyInAnyOrder("his.jpg", "hers.jpg");
    }

    @Test
    void aRequestStandsOnTheDeskAndAmongWhatWaits() throws Exception {
        Request request = asks("a photograph");
        assertThat(text(ines().get("/t?whole=true").body())).contains(request.title());
        assertThat(text(imre().get("/c/panes/" + pane().id()).body())).contains("Send us: " + request.title());
        gives(imre(), request, "one.jpg", jpeg(43, 30));
        assertThat(text(ines().get("/t?whole=true").body())).contains("something came; look at it");
        await().until(() -> mailsAbout("ines@marram-finch.example", request.title()) > 0);
    }
}
