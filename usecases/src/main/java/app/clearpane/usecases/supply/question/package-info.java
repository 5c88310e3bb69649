/** Questionnaires: written, answered, handed in and used. */
@NullMarked
package app.clearpane.usecases.supply.question;

import org.jspecify.annotations.NullMarked;
