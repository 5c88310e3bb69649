/** The same, as far as a viewer sees them. */
@NullMarked
package app.clearpane.web.brand.clientside;

import org.jspecify.annotations.NullMarked;
