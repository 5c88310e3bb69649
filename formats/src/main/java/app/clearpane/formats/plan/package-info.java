/** Plans as text: as they are kept from day to day, as calendars and as tables. */
@NullMarked
package app.clearpane.formats.plan;

import org.jspecify.annotations.NullMarked;
