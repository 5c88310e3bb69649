/** What follows from a wish that became work: the mark and its task stay one in state. */
@NullMarked
package app.clearpane.core.followup;

import org.jspecify.annotations.NullMarked;
