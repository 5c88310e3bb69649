/** Panes and seats: what each audience may see, and publishing it. */
@NullMarked
package app.clearpane.usecases.exposure;

import org.jspecify.annotations.NullMarked;
