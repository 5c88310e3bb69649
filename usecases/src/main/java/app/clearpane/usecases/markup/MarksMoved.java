package app.clearpane.usecases.markup;

import app.clearpane.core.exposure.ItemId;

/**
 * Tells that something was marked, said or settled on a deliverable.
 *
 * @param forTeam whether clients are not to notice
 */
public record MarksMoved(ItemId deliverable, boolean forTeam) {}
