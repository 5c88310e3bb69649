/** Seats that clients wish for, and what becomes of the wishes. */
@NullMarked
package app.clearpane.usecases.seats;

import org.jspecify.annotations.NullMarked;
