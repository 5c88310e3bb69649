package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.Place;
import app.clearpane.core.people.Actor;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.markup.Markups;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What goes with a note, in a browser: pasted pictures, names that are offered, and the forms of a crowded sheet. */
class NotesJourneyTest extends Journey {
    private static final String PASTE = """
      area => {
        const canvas = document.createElement('canvas');
        canvas.width = 60;
        canvas.height = 40;
        canvas.getContext('2d').fillRect(5, 5, 20, 20);
        return new Promise(done => canvas.toBlob(blob => {
          const data = new DataTransfer();
          data.items.add(new File([blob], 'image.png', { type: 'image/png' }));
          area.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
          done();
        }));
      }""";

    @Autowired
    private Deliverables deliverables;

    @Autowired
    private Markups markups;

    private static Locator note(Someone who, String words) {
        return who.page.locator(".note", new Page.LocatorOptions().setHasText(words));
    }

    private void writesWithAPicture(Someone who, String words) {
        BoundingBox sheet = who.page.locator("[data-sheet]").boundingBox();
        who.page.mouse().click(sheet.x + sheet.width * 0.5, sheet.y + sheet.height * 0.9);
        Keyboard keys = who.page.keyboard();
        Locator area = who.page.locator("#new-note-text");
        assertThat(area).isFocused();
        assertThat(area).isInViewport();
        keys.type(words + " @jas");
        assertThat(who.page.locator(".names [role=option]")).hasText("@Jasper Quill-Adeyemi");
        keys.press("Enter");
        assertThat(area).hasValue(words + " @Jasper Quill-Adeyemi ");
        assertThat(who.page.locator(".gets-mail")).hasText("Jasper Quill-Adeyemi gets a mail when you leave this.");
        keys.type("@jas");
        assertThat(who.page.locator(".names")).hasCount(1);
        keys.press("Escape");
        assertThat(who.page.locator(".names")).hasCount(0);
        area.evaluate(PASTE);
        assertThat(who.page.locator(".note.new .chosen img")).hasCount(1);
        area.evaluate(PASTE);
        who.page.locator(".note.new .chosen button").nth(1).click();
        assertThat(who.page.locator(".note.new .chosen li")).hasText("picture-1.png leave out");
    }

    @Test
    void aPastedPictureAndAnOfferedNameGoWithANote() {
        Someone mirela = atDesk().comesBy(linkOf("mirela@penwether.example", "Visitor centre"));
        mirela.follows("Visitor map").atTheTable();
        mirela.page.keyboard().press("p");
        writesWithAPicture(mirela, "Such a sign");
        mirela.page
                .getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Not now").setExact(true))
                .last()
                .click();
        mirela.page.keyboard().press("p");
        BoundingBox sheet = mirela.page.locator("[data-sheet]").boundingBox();
        mirela.page.mouse().click(sheet.x + sheet.width * 0.5, sheet.y + sheet.height * 0.9);
        mirela.page.locator("#new-note-text").fill("Such a sign @Jasper");
        mirela.page.locator("#new-note-text").evaluate(PASTE);
        assertThat(mirela.page.locator(".names [role=option]")).hasText("@Jasper Quill-Adeyemi");
        mirela.presses("Leave the note").sees("Such a sign");
        holdsThePictureAndTheName(mirela);
        mirela.looksItOver();
        withdraws(mirela, "Such a sign");
    }

    private void holdsThePictureAndTheName(Someone mirela) {
        assertThat(note(mirela, "Such a sign").locator(".attached img")).isVisible();
        assertThat((boolean) note(mirela, "Such a sign")
                        .locator(".attached img")
                        .evaluate("image => image.complete && image.naturalWidth === 60 || new "
                                + "Promise(done => { image.onload = () => done(image.naturalWidth "
                                + "=== 60); })"))
                .isTrue();
        assertThat(note(mirela, "Such a sign").locator("b.called")).hasText("@Jasper");
    }

    @Test
    void notesAreSiftedByWhatTheyWantAndByWhom() {
        Someone mirela = atDesk().comesBy(linkOf("mirela@penwether.example", "Visitor centre"));
        mirela.follows("Visitor map").atTheTable();
        Locator shown = mirela.page.locator(".note[data-note]:not([hidden])");
        int all = shown.count();
        mirela.page.locator("[data-filter-intent]").selectOption("question");
        assertThat(shown.count()).isBetween(1, all - 1);
        assertThat(mirela.page.locator(".note[data-note]:not([hidden]):not(.question)"))
                .hasCount(0);
        assertThat(mirela.page.locator(".shape.question:not(.sifted)")).hasCount(shown.count());
        assertThat(mirela.page.locator("[data-filter=all] b")).hasText(String.valueOf(shown.count()));
        mirela.page.locator("[data-filter-person]").selectOption("Jasper Quill-Adeyemi");
        assertThat(mirela.page.locator(".note[data-note]:not([hidden]):not([data-person='Jasper Quill-Adeyemi'])"))
                .hasCount(0);
        mirela.page.locator("[data-filter-person]").selectOption("");
        mirela.page.locator("[data-filter-intent]").selectOption("");
        assertThat(shown).hasCount(all);
    }

    @Test
    void theFormsOfACrowdedSheetComeWhenTheyAreAskedFor() {
        Deliverable samples = projects.active().stream()
                .flatMap(project -> deliverables.ofProject(project.id()).stream())
                .filter(one -> one.name().equals("Star-hall panels"))
                .findFirst()
                .orElseThrow();
        List<Version> versions = deliverables.versions(samples.id());
        Version version = versions.get(versions.size() - 1);
        for (int i = 0; i < 34; i++) {
            crowd(version, samples.pane(), i);
        }
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.page.navigate(address() + "/t/versions/" + version.id() + "/light-table");
        Locator seventh = note(ines, "Crowded 7.");
        assertThat(seventh.locator("textarea")).hasCount(0);
        seventh.locator("summary", new Locator.LocatorOptions().setHasText("Answer"))
                .click();
        assertThat(note(ines, "Crowded 7.").locator("textarea[name=said]")).isFocused();
        ines.page.keyboard().type("Seen.");
        note(ines, "Crowded 7.")
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Answer").setExact(true))
                .click();
        assertThat(note(ines, "Crowded 7.").locator(".answer")).containsText("Seen.");
    }

    private void crowd(Version version, PaneId pane, int i) {
        markups.add(Mark.placed(
                new MarkupId(UUID.randomUUID()),
                version.id(),
                pane,
                markups.nextLabel(version, pane, true),
                new Place.Point(1, 0.1 + i % 6 * 0.12, 0.1 + i / 6 * 0.1),
                new Mark.Wish(Intent.CHANGE, "Crowded " + i + ".", Optional.empty()),
                new Actor.Kept("", "Teo Brandt"),
                clock.instant(),
                Mark.Beside.NOTHING));
    }
}
