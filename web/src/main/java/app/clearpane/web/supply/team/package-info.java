/** Where the team asks clients for things, and looks at what came. */
@NullMarked
package app.clearpane.web.supply.team;

import org.jspecify.annotations.NullMarked;
