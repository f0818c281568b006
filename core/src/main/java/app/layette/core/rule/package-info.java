/**
 * What a rule is: it reads the situation and gives a verdict on one required conclusion of the hand-over. The rules
 * themselves live with their subjects; {@link app.layette.core.gate.RuleBook} lists them.
 */
@NullMarked
package app.layette.core.rule;

import org.jspecify.annotations.NullMarked;
