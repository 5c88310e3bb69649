/** Questionnaires: what is asked, on what condition, and what was answered by whom (rule Q5). */
@NullMarked
package app.clearpane.core.supply.question;

import org.jspecify.annotations.NullMarked;
