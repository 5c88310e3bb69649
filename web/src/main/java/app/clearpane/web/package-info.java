/** The application. */
@NullMarked
package app.clearpane.web;

import org.jspecify.annotations.NullMarked;
