package app.clearpane.web.exposure.client;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.usecases.shell.Pages;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
    private final Cache<PaneContents.Contents, Written> kept =
            Caffeine.newBuilder().weakKeys().build();

    WrittenPane(Pages pages, PaneSections sections) {
        this.pages = pages;
        this.sections = sections;
    }

    /**
     * What is said at the top of what the reader has just done; all of it null if they have done nothing.
     *
     * @param decided the decision they made
     * @param on the version they made it on
     * @param did the task they moved
     * @param was the stage it had
     */
    record Said(@Nullable String decided, @Nullable VersionId on, VisibleTasks.@Nullable Row did, String was) {
        boolean nothing() {
            return decided == null && on == null && did == null;
        }
    }

    /** What a page is made of beside its contents. */
    private record Beside(Map<ItemId, String> marks, boolean firstVisit, List<PanePage.Other> others) {}

    private record Written(Beside beside, String html) {}

    /** The page. @param token of whoever looks, for its forms */
    String html(PanePage.Page page, Said said, String token) {
        return (said.nothing() ? kept(page, said) : written(page, said)).replace(TOKEN, token);
    }

    private String kept(PanePage.Page page, Said said) {
        Beside beside = new Beside(page.marks(), page.firstVisit(), page.others());
        Written found = kept.getIfPresent(page.contents());
        if (found == null || !found.beside().equals(beside)) {
            found = new Written(beside, written(page, said));
            kept.put(page.contents(), found);
        }
        return found.html();
    }

    private String written(PanePage.Page page, Said said) {
        Map<String, Object> model = new HashMap<>(Map.of("page", page, "said", said, "token", TOKEN));
        model.put(
                "sections",
                sections.html(
                        page.base(), page.viewer().role().mayMarkUp(), page.parts(), page.contents(), page.marks()));
        return pages.render("exposure/client/_pane", model);
    }
}
