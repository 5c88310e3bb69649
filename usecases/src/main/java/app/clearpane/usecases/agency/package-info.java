/** Setting up the agency, and its people. */
@NullMarked
package app.clearpane.usecases.agency;

import org.jspecify.annotations.NullMarked;
