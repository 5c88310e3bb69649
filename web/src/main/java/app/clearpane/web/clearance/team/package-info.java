/** What the team sees and does here. */
@NullMarked
package app.clearpane.web.clearance.team;

import org.jspecify.annotations.NullMarked;
