/** What projects say of themselves to clients. */
@NullMarked
package app.clearpane.web.about.team;

import org.jspecify.annotations.NullMarked;
