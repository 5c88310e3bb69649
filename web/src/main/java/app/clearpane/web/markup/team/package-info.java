/** What the team sees and does here. */
@NullMarked
package app.clearpane.web.markup.team;

import org.jspecify.annotations.NullMarked;
