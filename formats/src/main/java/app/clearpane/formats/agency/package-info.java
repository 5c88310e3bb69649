/** People, in and out. */
@NullMarked
package app.clearpane.formats.agency;

import org.jspecify.annotations.NullMarked;
