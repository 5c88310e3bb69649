/** Reminders: when somebody is told again of what waits for them, and when their silence counts as a yes. */
@NullMarked
package app.clearpane.core.reminders;

import org.jspecify.annotations.NullMarked;
