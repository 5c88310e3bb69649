/** Who may see what, and why. The only place that decides visibility. */
@NullMarked
package app.clearpane.core.exposure;

import org.jspecify.annotations.NullMarked;
