/** What follows from a mark: who sees to it, the task that is made of it, the mark that asks for the same. */
@NullMarked
package app.clearpane.web.followup.team;

import org.jspecify.annotations.NullMarked;
