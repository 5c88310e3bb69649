/** What the team sees and does here. */
@NullMarked
package app.clearpane.web.deliverable.team;

import org.jspecify.annotations.NullMarked;
