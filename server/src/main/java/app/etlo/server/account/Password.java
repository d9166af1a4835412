package app.etlo.server.account;

import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.nio.charset.StandardCharsets;

/** A password somebody chooses: at least 10 characters, and at most the 72 bytes that bcrypt reads. */
@Target({ElementType.FIELD, ElementType.PARAMETER, ElementType.RECORD_COMPONENT})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = Password.Check.class)
public @interface Password {
    String message() default "from 10 to 72 characters";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    final class Check implements ConstraintValidator<Password, String> {
        private static final int FEWEST_CHARACTERS = 10;
        private static final int MOST_BYTES = 72;

        @Override
        public boolean isValid(String password, ConstraintValidatorContext context) {
            return password != null
                    && password.codePointCount(0, password.length()) >= FEWEST_CHARACTERS
                    && password.getBytes(StandardCharsets.UTF_8).length <= MOST_BYTES;
        }
    }
}
