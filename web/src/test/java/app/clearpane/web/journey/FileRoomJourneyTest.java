package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** A manager fills the file room with a mouse. */
class FileRoomJourneyTest extends Journey {
    private static final String DROP = """
      room => {
        const data = new DataTransfer();
        for (let i = 0; i < 12; i++) {
          data.items.add(new File([`dropped,${i}`], `dropped-${i}.csv`, { type: "text/csv" }));
        }
        room.dispatchEvent(new DragEvent("drop", { dataTransfer: data, bubbles: true, cancelable: true }));
      }""";

    private Someone inesInTheRoom(String folder) {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.goes("/t").follows("Signs for the ticket hall").follows("Files");
        ines.unfolds("Another folder").writes("Its name", folder).presses("Make it");
        return ines.arrivesAt("in=").sees("This folder");
    }

    private static FilePayload table(String name) {
        return new FilePayload(name, "text/csv", (name + ";1\nrows;2\n").getBytes(StandardCharsets.UTF_8));
    }

    private static Locator folder(Someone who, String name) {
        return who.page.locator("nav.folders a", new Page.LocatorOptions().setHasText(name));
    }

    @Test
    void whatIsTickedIsCarriedTogetherAndAFolderWithAllInIt() {
        Someone ines = inesInTheRoom("Carried");
        ines.page
                .locator("[data-add-files] input[type=file]:not([webkitdirectory])")
                .setInputFiles(new FilePayload[] {table("carried one.csv"), table("carried two.csv")});
        assertThat(ines.page.locator("tr[data-file]")).hasCount(2);
        ines.looksItOver().follows("All files").unfolds("Another folder");
        ines.writes("Its name", "Older drafts").presses("Make it").sees("Nothing lies in this folder yet.");
        folder(ines, "Carried").click();
        ines.sees("carried one.csv").ticks("Choose carried one.csv").ticks("Choose carried two.csv");
        ines.page.locator("tr[data-file]").first().dragTo(folder(ines, "Older drafts"));
        ines.sees("Nothing lies in this folder yet.");
        assertThat(folder(ines, "Older drafts").locator("small")).hasText("2");
        folder(ines, "Older drafts").dragTo(folder(ines, "Carried"));
        ines.sees("Carried / Older drafts").sees("carried two.csv").looksItOver();
        folder(ines, "Carried").first().click();
        ines.arrivesAt("in=").sees("Nothing lies in this folder yet.");
        ines.unfolds("This folder").presses("Delete the folder with all that lies in it");
    }

    @Test
    void aFolderIsDroppedAFilmIsPlayedAndAnAddressLeads() throws Exception {
        Someone ines = inesInTheRoom("Dropped");
        ines.page.locator("main[data-drop]").evaluate(DROP);
        assertThat(ines.page.locator("tr[data-file]")).hasCount(12);
        ines.follows("dropped-3.csv").sees("dropped").looksItOver();
        ines.page.goBack();
        ines.page
                .locator("[data-add-files] input[type=file]:not([webkitdirectory])")
                .setInputFiles(demoFile("opening-trailer-2.mp4", "short film.mp4"));
        ines.follows("short film.mp4");
        assertThat(ines.page.locator("video.plays")).isVisible();
        ines.page.waitForFunction("() => document.querySelector('video.plays').readyState > 0");
        ines.looksItOver().follows("‹ Dropped");
        ines.unfolds("Add a link").writes("What it is called", "The parish map");
        ines.writes("Where it leads", "https://maps.penwether.example/parish").presses("Add it");
        ines.follows("The parish map").sees("an address on the web").looksItOver();
        assertThat(ines.page.locator("a[href='https://maps.penwether.example/parish']"))
                .isVisible();
        ines.follows("‹ Dropped").unfolds("This folder").presses("Delete the folder with all that lies in it");
    }
}
