/** Seats that clients wish for, and what becomes of the wishes. */
@NullMarked
package app.clearpane.web.seats.team;

import org.jspecify.annotations.NullMarked;
