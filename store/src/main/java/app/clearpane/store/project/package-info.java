/** Keeps projects, their phases and milestones. */
@NullMarked
package app.clearpane.store.project;

import org.jspecify.annotations.NullMarked;
