/** What the team sees and does here. */
@NullMarked
package app.clearpane.web.signoff.team;

import org.jspecify.annotations.NullMarked;
