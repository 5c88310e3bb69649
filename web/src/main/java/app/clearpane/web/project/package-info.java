/** Opening projects; their phases and milestones. */
@NullMarked
package app.clearpane.web.project;

import org.jspecify.annotations.NullMarked;
