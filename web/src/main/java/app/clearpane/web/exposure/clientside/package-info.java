/** A client's pane. */
@NullMarked
package app.clearpane.web.exposure.clientside;

import org.jspecify.annotations.NullMarked;
