/** The application. */
@NullMarked
package app.clearpane.usecases;

import org.jspecify.annotations.NullMarked;
