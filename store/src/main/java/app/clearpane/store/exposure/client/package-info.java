/** What a viewer is, and what their pane looks like: the clients' door. */
@NullMarked
package app.clearpane.store.exposure.client;

import org.jspecify.annotations.NullMarked;
