/** What is written into Records: one record an act. */
@NullMarked
package app.clearpane.core.record.event;

import org.jspecify.annotations.NullMarked;
