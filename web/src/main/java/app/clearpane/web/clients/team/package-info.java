/** All clients and their people, across projects. */
@NullMarked
package app.clearpane.web.clients.team;

import org.jspecify.annotations.NullMarked;
