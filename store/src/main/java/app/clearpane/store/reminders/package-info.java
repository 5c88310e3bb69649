/** Reminders that went out, and the terms on which silence counts. */
@NullMarked
package app.clearpane.store.reminders;

import org.jspecify.annotations.NullMarked;
