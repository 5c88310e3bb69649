/** Setting up the agency, and its people. */
@NullMarked
package app.clearpane.web.agency;

import org.jspecify.annotations.NullMarked;
