/** Who of the team reaches what: projects closed to some, and what is there for makers from outside. */
@NullMarked
package app.clearpane.web.shell.access;

import org.jspecify.annotations.NullMarked;
