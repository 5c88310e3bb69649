/** How the house works: what it usually reckons with, what it calls things, and the templates it keeps. */
@NullMarked
package app.clearpane.web.house.team;

import org.jspecify.annotations.NullMarked;
