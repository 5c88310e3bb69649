package app.clearpane.core.project;

import app.clearpane.core.exposure.ItemId;
import java.time.LocalDate;

/** A date that matters, shown or held back like any item. */
public record Milestone(ItemId id, String name, LocalDate fallsOn, boolean reached, int revision) {}
