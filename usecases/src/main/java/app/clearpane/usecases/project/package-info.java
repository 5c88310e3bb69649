/** Opening projects; their phases and milestones. */
@NullMarked
package app.clearpane.usecases.project;

import org.jspecify.annotations.NullMarked;
