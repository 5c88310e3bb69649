/** The plan in other calendars: what can be subscribed to, and the days the agency does not work. */
@NullMarked
package app.clearpane.web.plan.team.calendar;

import org.jspecify.annotations.NullMarked;
