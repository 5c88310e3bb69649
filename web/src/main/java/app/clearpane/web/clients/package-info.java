/** All clients and their people, across projects. */
@NullMarked
package app.clearpane.web.clients;

import org.jspecify.annotations.NullMarked;
