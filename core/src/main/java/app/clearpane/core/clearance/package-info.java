/** May this be released? Condition by condition. */
@NullMarked
package app.clearpane.core.clearance;

import org.jspecify.annotations.NullMarked;
