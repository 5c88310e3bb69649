/** What clients keep of a release. */
@NullMarked
package app.clearpane.web.clearance.clientside;

import org.jspecify.annotations.NullMarked;
