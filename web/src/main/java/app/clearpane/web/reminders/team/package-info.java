/**
 * Reminders: everything that waits for somebody of the clients' side, told to them again in one mail of a morning; and
 * silence that counts.
 */
@NullMarked
package app.clearpane.web.reminders.team;

import org.jspecify.annotations.NullMarked;
