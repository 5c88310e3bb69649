/** What the client supplies: requests, what each part of them asks of a file, and what is said of it on arrival. */
@NullMarked
package app.clearpane.core.supply;

import org.jspecify.annotations.NullMarked;
