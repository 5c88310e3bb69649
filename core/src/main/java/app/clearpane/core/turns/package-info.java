/** Which side holds an item, and for how long. */
@NullMarked
package app.clearpane.core.turns;

import org.jspecify.annotations.NullMarked;
