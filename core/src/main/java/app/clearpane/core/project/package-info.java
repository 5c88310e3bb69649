/** One engagement for one client, and how it stands. */
@NullMarked
package app.clearpane.core.project;

import org.jspecify.annotations.NullMarked;
