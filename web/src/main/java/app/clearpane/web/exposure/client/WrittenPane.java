package app.clearpane.web.exposure.client;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.signoff.Decision;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.Words;
import app.clearpane.usecases.you.ReadersWords;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The page of a pane as HTML. The last one written of the same contents is kept, as long as they are. */
@Component
class WrittenPane {
    /** Stands in each form where the token of whoever looks goes. */
    private static final String TOKEN = UUID.randomUUID().toString();

    private final Pages pages;
    private final PaneSections sections;
    private final ReadersWords readers;
    private final Cache<PaneContents.Contents, Written> kept =
            Caffeine.newBuilder().weakKeys().build();

    WrittenPane(Pages pages, PaneSections sections, ReadersWords readers) {
        this.readers = readers;
        this.pages = pages;
        this.sections = sections;
    }

    /**
     * What is said at the top of what the reader has just done; nothing if they have done nothing.
     *
     * @param thanks for a decision they made
     * @param did the task they moved
     * @param was the stage it had
     */
    record Said(Optional<Thanks> thanks, VisibleTasks.@Nullable Row did, String was) {
        boolean nothing() {
            return thanks.isEmpty() && did == null;
        }
    }

    /** What came of a decision. @param takeBack the version on which it can be taken back still */
    record Thanks(String words, Optional<VersionId> takeBack) {
        static Thanks of(Decision decision, Optional<VersionId> takeBack) {
            return new Thanks(
                    switch (decision) {
                        case SEND_BACK -> "Thank you: it goes back with your notes.";
                        case STAND_ASIDE -> "Thank you: the others decide without you.";
                        case SIGN_OFF, SIGN_OFF_WITH_NOTES -> "Thank you: your sign-off is recorded.";
                    },
                    takeBack);
        }
    }

    /** What a page is made of beside its contents. */
    private record Beside(
            Map<ItemId, String> marks,
            boolean firstVisit,
            List<PanePage.Other> others,
            Words.Reader reader,
            LocalDate readersDay) {}

    private record Written(Beside beside, String html) {}

    /** The page. @param token of whoever looks, for its forms */
    String html(PanePage.Page page, Said said, String token) {
        return (said.nothing() ? kept(page, said) : written(page, said)).replace(TOKEN, token);
    }

    private String kept(PanePage.Page page, Said said) {
        Words words = readers.wordsFor(page.viewer().contact());
        Beside beside = new Beside(page.marks(), page.firstVisit(), page.others(), words.reader(), words.readersDay());
        Written found = kept.getIfPresent(page.contents());
        if (found == null || !found.beside().equals(beside)) {
            found = new Written(beside, written(page, said));
            kept.put(page.contents(), found);
        }
        return found.html();
    }

    private String written(PanePage.Page page, Said said) {
        Words words = readers.wordsFor(page.viewer().contact());
        Map<String, Object> model =
                new HashMap<>(Map.of("page", page, "said", said, "token", TOKEN, words.name(), words));
        model.put(
                "sections",
                sections.html(
                        page.base(),
                        page.viewer().role().mayMarkUp(),
                        page.parts(),
                        page.contents(),
                        page.marks(),
                        words));
        return pages.render("exposure/client/_pane", model);
    }
}
