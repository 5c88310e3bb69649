/** Where a lead voice names people of their own side. */
@NullMarked
package app.clearpane.web.seats.client;

import org.jspecify.annotations.NullMarked;
