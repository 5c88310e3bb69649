/** Keeps the Record: appends only. */
@NullMarked
package app.clearpane.store.record;

import org.jspecify.annotations.NullMarked;
