/** All clients and their people, across projects. */
@NullMarked
package app.clearpane.usecases.clients;

import org.jspecify.annotations.NullMarked;
