/** What projects say of themselves to clients. */
@NullMarked
package app.clearpane.usecases.about;

import org.jspecify.annotations.NullMarked;
