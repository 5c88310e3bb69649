/** Opening projects; their phases and milestones. */
@NullMarked
package app.clearpane.web.project.team;

import org.jspecify.annotations.NullMarked;
