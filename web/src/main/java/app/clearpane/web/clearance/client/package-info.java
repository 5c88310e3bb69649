/** What clients keep of a release. */
@NullMarked
package app.clearpane.web.clearance.client;

import org.jspecify.annotations.NullMarked;
