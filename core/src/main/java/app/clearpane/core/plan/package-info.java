/** Working time and dates. */
@NullMarked
package app.clearpane.core.plan;

import org.jspecify.annotations.NullMarked;
