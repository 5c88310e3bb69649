/** What projects say of themselves to clients. */
@NullMarked
package app.clearpane.web.about;

import org.jspecify.annotations.NullMarked;
