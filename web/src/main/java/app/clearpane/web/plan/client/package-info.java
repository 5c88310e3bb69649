/** Tasks as a client sees and does them. */
@NullMarked
package app.clearpane.web.plan.client;

import org.jspecify.annotations.NullMarked;
