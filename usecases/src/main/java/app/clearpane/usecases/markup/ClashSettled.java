package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.people.Actor;

/**
 * Tells that a clash was ruled on.
 *
 * @param holds the mark that is followed
 * @param loses the one that was set aside
 * @param reason why; empty if none was given
 */
public record ClashSettled(Deliverable deliverable, Version version, Mark holds, Mark loses, String reason, Actor by) {}
