/** Panes and seats: what each audience may see, and publishing it. */
@NullMarked
package app.clearpane.web.exposure.team;

import org.jspecify.annotations.NullMarked;
