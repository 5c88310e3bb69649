/** The durable queue: slow work, done once its cause is committed. */
@NullMarked
package app.clearpane.web.jobs;

import org.jspecify.annotations.NullMarked;
