/** A client's decision. */
@NullMarked
package app.clearpane.web.signoff.clientside;

import org.jspecify.annotations.NullMarked;
