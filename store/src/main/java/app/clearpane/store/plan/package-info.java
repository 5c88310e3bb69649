/** Tasks, what they wait for, what the plan was on each day, and what was agreed. */
@NullMarked
package app.clearpane.store.plan;

import org.jspecify.annotations.NullMarked;
