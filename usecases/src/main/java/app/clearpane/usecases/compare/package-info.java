/** Comparing versions: done once for each pair of files, in the background, and read by the light table. */
@NullMarked
package app.clearpane.usecases.compare;

import org.jspecify.annotations.NullMarked;
