/** Papers, as they are kept and as the team sees them. */
@NullMarked
package app.clearpane.store.papers;

import org.jspecify.annotations.NullMarked;
