package app.layette.web.standin;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;

/** Runs in the demo, and in production only where it was switched on: what pretends must not be taken for a device. */
@Target({ElementType.TYPE, ElementType.METHOD})
@Retention(RetentionPolicy.RUNTIME)
@ConditionalOnExpression("'${layette.mode:serve}' == 'demo' or ${layette.stand-ins:false}")
@interface StandIn {}
