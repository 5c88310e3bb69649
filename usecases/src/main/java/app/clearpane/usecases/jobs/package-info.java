/** The durable queue: slow work, done once its cause is committed. */
@NullMarked
package app.clearpane.usecases.jobs;

import org.jspecify.annotations.NullMarked;
