package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.RequestId;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.supply.DraftRequest;
import app.clearpane.usecases.supply.SendRequest;
import app.clearpane.usecases.supply.question.DraftQuestionnaire;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Somebody with a phone gives what they were asked for. */
class SupplyJourneyTest extends Journey {
    private static final String DROP = """
      place => {
        const data = new DataTransfer();
        for (let i = 0; i < 200; i++) {
          data.items.add(new File([`name,${i}`], `list-${i}.csv`, { type: "text/csv" }));
        }
        place.dispatchEvent(new DragEvent("drop", { dataTransfer: data, bubbles: true, cancelable: true }));
      }""";

    @Autowired
    private DraftRequest draftRequest;

    @Autowired
    private DraftQuestionnaire draftQuestionnaire;

    @Autowired
    private SendRequest sendRequest;

    @Autowired
    private People people;

    private RequestId asked = new RequestId(new java.util.UUID(0, 0));

    private Actor ines() {
        return member("ines@marram-finch.example").actor();
    }

    /** Mirela with her phone, at a request of her own. */
    private Someone mirelaIsAsked(String wanted) {
        asked = draftRequest.draft(visitorCentre(), ofMirela(wanted), ines());
        sendRequest.send(asked, false, ines());
        return atTheRequest(onPhone());
    }

    private ProjectId visitorCentre() {
        return projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private DraftRequest.RequestForm ofMirela(String wanted) {
        String mirela = people.contactAt(new EmailAddress("mirela@penwether.example"))
                .orElseThrow()
                .id()
                .toString();
        return new DraftRequest.RequestForm("What we still need", "", wanted, List.of(mirela), "3", "", "", "", "", "");
    }

    private Someone atTheRequest(Someone mirela) {
        mirela.comesBy(linkOf("mirela@penwether.example", "Visitor centre"));
        return mirela.goes(mirela.page.url().replaceAll("[?#].*", "") + "/requests/" + asked);
    }

    @Test
    void aQuestionnaireIsBrokenOffAndTakenUpElsewhere() {
        asked = draftQuestionnaire.draft(
                visitorCentre(),
                ofMirela("Open at night? *\n- Yes\n- No\n\nHow late? *\na number of hours, 1 to 9\n"
                        + "only if Open at night? is Yes\n\nWhat first?\n- Moon\n- Stars\nin order\n"),
                ines());
        sendRequest.send(asked, false, ines());
        Someone phone = atTheRequest(onPhone());
        phone.seesNot("How late?").sees("0 of 1 answered").looksItOver();
        phone.page.getByText("Yes", new Page.GetByTextOptions().setExact(true)).click();
        phone.sees("How late?").sees("1 of 2 answered").sees("Kept.").looksItOver();
        phone.page.locator("[inputmode=decimal]").fill("12");
        phone.sees("It should be 1 to 9 hours.").looksItOver();
        Someone desk = atTheRequest(atDesk());
        desk.sees("1 of 2 answered");
        assertThat(desk.page.getByLabel("Yes", new Page.GetByLabelOptions().setExact(true)))
                .isChecked();
        desk.page.locator("[inputmode=decimal]").fill("3");
        desk.sees("2 of 2 answered");
        desk.presses("Earlier: Stars").sees("All that has to be answered is.");
        assertThat(desk.page.locator(".to-order li").first()).containsText("Stars");
        desk.looksItOver()
                .presses("Hand it in")
                .sees("Handed in: Mirela Stancu")
                .looksItOver();
    }

    @Test
    void whatAColleagueHasIsPassedOn() {
        Someone mirela = mirelaIsAsked("A plan of the car park");
        mirela.unfolds("Somebody else has it?")
                .writes("Their name", "Jasper Quill-Adeyemi")
                .writes("Their mail address", "jasper@penwether.example")
                .looksItOver()
                .presses("Pass it on")
                .sees("Mirela Stancu and Jasper Quill-Adeyemi are asked together");
        mirela.looksItOver();
    }

    @AfterEach
    void isNotWantedAnyMore() {
        sendRequest.withdraw(asked, "We have it", ines());
    }

    private static FilePayload picture(String name, int width, int height) throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "jpg", bytes);
        return new FilePayload(name, "image/jpeg", bytes.toByteArray());
    }

    private static Locator chooser(Someone who) {
        return who.page.locator("input[type=file]");
    }

    @Test
    void threePhotographsOfWhichOneIsTooSmall() throws Exception {
        Someone mirela = mirelaIsAsked("3 photographs, A4 at 100 dpi");
        chooser(mirela).setInputFiles(new FilePayload[] {
            picture("gate.jpg", 1300, 900), picture("phone.jpg", 300, 200), picture("hill.jpg", 1301, 900)
        });
        mirela.sees("It needs 827 px on the short side").looksItOver();
        assertThat(mirela.page.locator(".came > li")).hasCount(3);
        mirela.unfolds("Send it all the same")
                .writes("Why", "There is no larger one")
                .presses("Send it");
        mirela.sees("sent all the same").sees("Everything is here.");
    }

    @Test
    void aLineThatBreaksLosesNothing() throws Exception {
        Someone mirela = mirelaIsAsked("a photograph");
        AtomicInteger parts = new AtomicInteger();
        mirela.page.route("**/uploads/*", route -> {
            if (route.request().method().equals("PATCH") && parts.getAndIncrement() < 2) {
                route.abort();
            } else {
                route.resume();
            }
        });
        chooser(mirela).setInputFiles(picture("gate.jpg", 400, 300));
        mirela.sees("gate.jpg").sees("good");
    }

    @Test
    void aFolderOfTwoHundredFilesIsDropped() {
        Someone mirela = mirelaIsAsked("200 files of measurements");
        mirela.page.locator("[data-drop]").evaluate(DROP);
        assertThat(mirela.page.locator(".came > li")).hasCount(200);
        mirela.sees("Everything is here.");
    }

    @Test
    void accessDetailsAreSealedAsTheyAreGiven() {
        Someone mirela = mirelaIsAsked("Access to the old pages, access details");
        mirela.writes("Access to the old pages", "warden / bracken").presses("Send it");
        mirela.sees("Only we can open it").seesNot("bracken").looksItOver();
    }
}
