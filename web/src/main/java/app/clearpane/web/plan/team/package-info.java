/** The plan of a project: its tasks four ways, what was agreed, what is forecast, and where the days went. */
@NullMarked
package app.clearpane.web.plan.team;

import org.jspecify.annotations.NullMarked;
