/** Files, as far as a client sees them. */
@NullMarked
package app.clearpane.web.files.clientside;

import org.jspecify.annotations.NullMarked;
