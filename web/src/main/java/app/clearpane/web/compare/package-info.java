/** Comparing versions: done once for each pair of files, in the background, and read by the light table. */
@NullMarked
package app.clearpane.web.compare;

import org.jspecify.annotations.NullMarked;
