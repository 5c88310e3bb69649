/** What the team sees and does here. */
@NullMarked
package app.clearpane.web.agency.team;

import org.jspecify.annotations.NullMarked;
