/** The clearance sheet, and releasing. */
@NullMarked
package app.clearpane.usecases.clearance;

import org.jspecify.annotations.NullMarked;
