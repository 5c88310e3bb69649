/** What the team sees and does here. */
@NullMarked
package app.clearpane.web.concern.team;

import org.jspecify.annotations.NullMarked;
