/** A client's pane. */
@NullMarked
package app.clearpane.web.exposure.client;

import org.jspecify.annotations.NullMarked;
