/** The plan of a project: its tasks four ways, what was agreed, what is forecast, and where the days went. */
@NullMarked
package app.clearpane.usecases.plan;

import org.jspecify.annotations.NullMarked;
