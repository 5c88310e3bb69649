/** What all tables that are written have in common. */
@NullMarked
package app.clearpane.formats.table;

import org.jspecify.annotations.NullMarked;
