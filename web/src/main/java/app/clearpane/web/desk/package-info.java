/** What is next, across all projects. */
@NullMarked
package app.clearpane.web.desk;

import org.jspecify.annotations.NullMarked;
