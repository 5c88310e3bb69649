package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Stage;

/**
 * Tells, within the transaction in which it happens, that a task came to another stage.
 *
 * @param by who moved it, by name
 */
public record TaskMoved(ItemId task, Stage stage, Actor by) {}
