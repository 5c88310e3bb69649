/** The days on which work is done, and counting by them. */
@NullMarked
package app.clearpane.core.calendar;

import org.jspecify.annotations.NullMarked;
