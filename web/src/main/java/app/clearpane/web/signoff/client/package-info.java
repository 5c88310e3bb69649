/** A client's decision. */
@NullMarked
package app.clearpane.web.signoff.client;

import org.jspecify.annotations.NullMarked;
