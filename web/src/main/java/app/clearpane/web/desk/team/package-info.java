/** What is next, across all projects. */
@NullMarked
package app.clearpane.web.desk.team;

import org.jspecify.annotations.NullMarked;
