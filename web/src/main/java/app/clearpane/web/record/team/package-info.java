/** What the team sees and does here. */
@NullMarked
package app.clearpane.web.record.team;

import org.jspecify.annotations.NullMarked;
