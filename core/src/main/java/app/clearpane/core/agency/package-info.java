/** The people: the agency's team, and the contacts on the other side of the glass. */
@NullMarked
package app.clearpane.core.agency;

import org.jspecify.annotations.NullMarked;
