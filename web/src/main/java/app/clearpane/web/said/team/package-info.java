/** What the team sees and does here. */
@NullMarked
package app.clearpane.web.said.team;

import org.jspecify.annotations.NullMarked;
