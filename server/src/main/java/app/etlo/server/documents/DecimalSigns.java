package app.etlo.server.documents;

import app.etlo.core.plan.document.Refused;
import app.etlo.core.quantity.NumberText.DecimalSign;
import java.util.Optional;

/** The decimal sign that is sent with a table. */
public final class DecimalSigns {
    private DecimalSigns() {}

    /**
     * The sign of a parameter.
     *
     * @throws Refused when it is neither point nor comma
     */
    public static Optional<DecimalSign> read(Optional<String> name) {
        try {
            return name.map(DecimalSign::of);
        } catch (IllegalArgumentException e) {
            throw new Refused("/decimalSign", e.getMessage());
        }
    }
}
