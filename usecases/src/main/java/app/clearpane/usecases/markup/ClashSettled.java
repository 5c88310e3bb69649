package app.clearpane.usecases.markup;

import app.clearpane.core.people.Actor;
import app.clearpane.store.deliverable.Deliverable;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.markup.MarkupRow;

/**
 * Tells that a clash was ruled on.
 *
 * @param holds the mark that is followed
 * @param loses the one that was set aside
 * @param reason why; empty if none was given
 */
public record ClashSettled(
        Deliverable deliverable, VersionRow version, MarkupRow holds, MarkupRow loses, String reason, Actor by) {}
