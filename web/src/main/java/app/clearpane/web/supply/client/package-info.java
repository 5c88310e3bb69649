/** Where clients give what was asked of them. */
@NullMarked
package app.clearpane.web.supply.client;

import org.jspecify.annotations.NullMarked;
