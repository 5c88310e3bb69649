/** Requests as those who are asked see them. */
@NullMarked
package app.clearpane.store.supply.client;

import org.jspecify.annotations.NullMarked;
