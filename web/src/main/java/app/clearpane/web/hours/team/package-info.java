/** Hours over all projects: a whole day written down at once, and who spent how many where. */
@NullMarked
package app.clearpane.web.hours.team;

import org.jspecify.annotations.NullMarked;
