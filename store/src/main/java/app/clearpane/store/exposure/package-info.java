/** Keeps panes, seats, apertures and showings, and holds the one condition that decides visibility in SQL. */
@NullMarked
package app.clearpane.store.exposure;

import org.jspecify.annotations.NullMarked;
