package app.clearpane.usecases.exposure;

import app.clearpane.core.exposure.ContentKind;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The sections of a pane's page in their usual order, with their usual headings. */
public final class SectionWords {
    /** The usual heading of each, in the usual order. */
    public static final Map<ContentKind, String> USUAL = usual();

    private SectionWords() {}

    private static Map<ContentKind, String> usual() {
        Map<ContentKind, String> usual = new LinkedHashMap<>();
        usual.put(ContentKind.STATUS, "Where we are");
        usual.put(ContentKind.DELIVERABLES, "To look at");
        usual.put(ContentKind.TASKS, "What is being done");
        usual.put(ContentKind.DATES, "Dates");
        usual.put(ContentKind.FILES, "Files");
        usual.put(ContentKind.CONCERNS, "What we watch");
        return java.util.Collections.unmodifiableMap(usual);
    }

    /** The usual place of a section, from 0. */
    public static int place(ContentKind kind) {
        return List.copyOf(USUAL.keySet()).indexOf(kind);
    }
}
