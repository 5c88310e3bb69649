package app.clearpane.usecases.markup;

import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.people.Actor;

/**
 * Tells, within the transaction in which it happens, that a mark is further on or back again.
 *
 * @param by who moved it, by name
 */
public record MarkMoved(MarkupId mark, Actor by) {}
