/** Who looks through a pane, and what they may do there. */
@NullMarked
package app.clearpane.core.viewer;

import org.jspecify.annotations.NullMarked;
