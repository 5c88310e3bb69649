/** The release bundle and its certificate. */
@NullMarked
package app.clearpane.formats.clearance;

import org.jspecify.annotations.NullMarked;
