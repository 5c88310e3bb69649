/** The clearance sheet, and releasing. */
@NullMarked
package app.clearpane.web.clearance;

import org.jspecify.annotations.NullMarked;
