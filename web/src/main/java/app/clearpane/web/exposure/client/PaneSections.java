package app.clearpane.web.exposure.client;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.Words;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * The sections of a pane's page as HTML. What goes in is all they are made of, so the same is not written out twice.
 */
@Component
class PaneSections {
    private static final int KEPT = 300;
    private final Pages pages;
    private final Cache<Sections, String> kept =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    PaneSections(Pages pages) {
        this.pages = pages;
    }

    /**
     * A section of the page, with its words.
     *
     * @param line of its own; empty for the usual one
     * @param changed when something in it last changed, where that is known
     * @param count how many things in it there are to be seen
     */
    record Part(ContentKind kind, String anchor, String title, String line, Optional<Instant> changed, int count) {}

    /**
     * All that the sections are made of.
     *
     * @param marks what is said beside what is new or changed
     * @param today where the reader is, for "late" and for days of another year
     * @param reader for whom days and times are written
     */
    record Sections(
            String base,
            boolean mayMarkUp,
            List<Part> parts,
            PaneContents.Contents all,
            Map<ItemId, String> marks,
            LocalDate today,
            Words.Reader reader) {
        /** The phase that is under way; the last, where something is left open in an earlier one. */
        public Optional<Phase> current() {
            return all.howFar().phases().stream()
                    .filter(phase -> phase.stage() == Phase.Stage.UNDER_WAY)
                    .reduce((earlier, later) -> later);
        }

        /** The tasks that do not await the reader, and those they have done. */
        public List<VisibleTasks.Row> otherTasks() {
            return all.otherTasks();
        }

        /** The day of a milestone, as it is forecast now. */
        public LocalDate dayOf(Milestone milestone) {
            return all.days().getOrDefault(milestone.id(), milestone.fallsOn());
        }

        /** The files by the name of their folder; those in none first. */
        public Map<String, List<ProjectFile>> files() {
            return all.files().stream()
                    .collect(Collectors.groupingBy(
                            file -> Objects.requireNonNullElse(file.folderName(), ""),
                            TreeMap::new,
                            Collectors.toList()));
        }
    }

    /** Them, one after another. */
    String html(
            String base,
            boolean mayMarkUp,
            List<Part> parts,
            PaneContents.Contents all,
            Map<ItemId, String> marks,
            Words words) {
        return kept.get(
                new Sections(base, mayMarkUp, parts, all, marks, words.readersDay(), words.reader()),
                sections -> pages.render("exposure/client/_sections", Map.of("s", sections, words.name(), words)));
    }
}
