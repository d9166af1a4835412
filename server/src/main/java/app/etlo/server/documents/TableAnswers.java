package app.etlo.server.documents;

import app.etlo.core.plan.document.Refused;
import app.etlo.core.quantity.DayOrder;
import app.etlo.core.quantity.NumberText.DecimalSign;
import java.util.Optional;

/** What is sent with a table because somebody was asked about it. */
public final class TableAnswers {
    private TableAnswers() {}

    /**
     * The sign of a parameter.
     *
     * @throws Refused when it is neither point nor comma
     */
    public static Optional<DecimalSign> decimalSign(Optional<String> name) {
        try {
            return name.map(DecimalSign::of);
        } catch (IllegalArgumentException e) {
            throw new Refused("/decimalSign", e.getMessage());
        }
    }

    /**
     * Which figure of its dates is the month.
     *
     * @throws Refused when it is neither dmy nor mdy
     */
    public static Optional<DayOrder> dayOrder(Optional<String> id) {
        try {
            return id.map(DayOrder::of);
        } catch (IllegalArgumentException e) {
            throw new Refused("/dayOrder", e.getMessage());
        }
    }
}
