/** Tasks: adding, changing, moving, giving and repeating them. */
@NullMarked
package app.clearpane.usecases.plan.task;

import org.jspecify.annotations.NullMarked;
