/** Keeps the agency, its team, its clients, their contacts, and the links that let people in. */
@NullMarked
package app.clearpane.store.agency;

import org.jspecify.annotations.NullMarked;
