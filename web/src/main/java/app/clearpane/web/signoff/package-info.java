/** Deciding on versions, and closing rounds. */
@NullMarked
package app.clearpane.web.signoff;

import org.jspecify.annotations.NullMarked;
