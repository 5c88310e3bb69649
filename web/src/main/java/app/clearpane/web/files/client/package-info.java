/** Files, as far as a client sees them. */
@NullMarked
package app.clearpane.web.files.client;

import org.jspecify.annotations.NullMarked;
