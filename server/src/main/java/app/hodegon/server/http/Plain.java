package app.hodegon.server.http;

import static java.lang.annotation.ElementType.FIELD;
import static java.lang.annotation.ElementType.METHOD;
import static java.lang.annotation.ElementType.PARAMETER;

import jakarta.validation.Constraint;
import jakarta.validation.Payload;
import jakarta.validation.ReportAsSingleViolation;
import jakarta.validation.constraints.Pattern;
import java.lang.annotation.Documented;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** On a name: one line without control characters. */
@Documented
@Constraint(validatedBy = {})
@Pattern(regexp = "[^\\p{Cntrl}\\u2028\\u2029]*")
@ReportAsSingleViolation
@Target({FIELD, METHOD, PARAMETER})
@Retention(RetentionPolicy.RUNTIME)
public @interface Plain {
    String message() default "must be one line without control characters";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};
}
