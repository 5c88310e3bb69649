/** The same, as far as a viewer sees them. */
@NullMarked
package app.clearpane.web.brand.client;

import org.jspecify.annotations.NullMarked;
