/** Working time, tasks, and the dates computed from them. */
@NullMarked
package app.clearpane.core.plan;

import org.jspecify.annotations.NullMarked;
