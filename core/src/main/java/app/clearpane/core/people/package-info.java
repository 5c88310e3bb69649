/** Who does things: the agency's team, contacts, guests by a link, the house itself. */
@NullMarked
package app.clearpane.core.people;

import org.jspecify.annotations.NullMarked;
