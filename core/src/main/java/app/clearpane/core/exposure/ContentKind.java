package app.clearpane.core.exposure;

import java.util.List;

/** The kinds of content that a pane lets through, each by its own aperture. */
public enum ContentKind {
    STATUS,
    DATES,
    TASKS,
    FILES,
    DELIVERABLES,
    CONCERNS;

    /** Whether single items of this kind can be shown; the others are open or closed as a whole. */
    public boolean pickable() {
        return this != STATUS;
    }

    /** Whether there are filters for this kind; the others act as Picked where they are Filtered. */
    public boolean filterable() {
        return this == FILES || !filters().isEmpty();
    }

    /** The filters of this kind that go by what an item is; files are filtered by their folders. */
    public List<Filter.Trait> filters() {
        return switch (this) {
            case TASKS -> List.of(Filter.Trait.values());
            case DATES -> List.of(Filter.Trait.MILESTONES);
            case STATUS, FILES, DELIVERABLES, CONCERNS -> List.of();
        };
    }

    /** Whether things of this kind are due on days, by which they can be filtered. */
    public boolean hasDays() {
        return this == TASKS;
    }

    /** The apertures that this kind can have, from least to most. */
    public List<Aperture> apertures() {
        return !pickable()
                ? List.of(Aperture.CLOSED, Aperture.OPEN)
                : filterable() ? List.of(Aperture.values()) : List.of(Aperture.CLOSED, Aperture.PICKED, Aperture.OPEN);
    }

    public boolean isConcerns() {
        return this == CONCERNS;
    }

    public boolean isDates() {
        return this == DATES;
    }

    public boolean isDeliverables() {
        return this == DELIVERABLES;
    }

    public boolean isFiles() {
        return this == FILES;
    }

    public boolean isStatus() {
        return this == STATUS;
    }

    public boolean isTasks() {
        return this == TASKS;
    }
}
