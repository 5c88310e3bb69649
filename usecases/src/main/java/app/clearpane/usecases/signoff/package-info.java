/** Deciding on versions, and closing rounds. */
@NullMarked
package app.clearpane.usecases.signoff;

import org.jspecify.annotations.NullMarked;
