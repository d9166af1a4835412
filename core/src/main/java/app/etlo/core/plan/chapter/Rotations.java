package app.etlo.core.plan.chapter;

import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanEdit;
import app.etlo.core.plan.document.Refused;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.stream.Stream;

/** Repeats rotations and takes them to other fields. */
public final class Rotations {
    private static final int MOST_CROPS = 24;
    private static final int MOST_OPERATIONS = 300;
    private static final int LAST_YEAR = 2099;
    private static final double DAYS_OF_A_YEAR = 365.25;

    private Rotations() {}

    /**
     * The rotation once more behind itself.
     *
     * @param evaluated of the plan as it stands
     * @throws Refused when it is not dated, or would be too long
     */
    public static PlanDocument repeated(Evaluated evaluated) {
        PlanDocument plan = evaluated.plan();
        List<LocalDate> days = evaluated.crops().stream()
                .flatMap(c -> Stream.concat(c.crop().planted().stream(), c.crop().harvested().stream()))
                .sorted()
                .toList();
        if (days.size() < 2) {
            throw new Refused("/crops", "date the planting and harvest of the crops first; then they can be repeated");
        }
        if (plan.crops().size() * 2 > MOST_CROPS
                || plan.covers().size() * 2 > MOST_CROPS
                || plan.operations().size() * 2 > MOST_OPERATIONS) {
            throw new Refused("/crops", "the rotation would be longer than a plan can hold: 24 crops, 24 covers");
        }
        int years = years(days.get(0), days.get(days.size() - 1));
        if (days.get(days.size() - 1).getYear() + years > LAST_YEAR) {
            throw new Refused("/crops", "the repeated rotation would end after " + LAST_YEAR);
        }
        return PlanEdit.repeated(plan, years);
    }

    /** By how many whole years a rotation is moved so that it does not meet itself. */
    static int years(LocalDate first, LocalDate last) {
        double span = ChronoUnit.DAYS.between(first, last) / DAYS_OF_A_YEAR;
        int years = (int) Math.max(1, Math.ceil(span - 0.02));
        while (!first.plusYears(years).isAfter(last)) {
            years++;
        }
        return years;
    }

    /** The plan for another field, under an id of its own. */
    public static PlanDocument forField(PlanDocument plan, String planId, String fieldId) {
        return PlanEdit.forField(plan, planId, fieldId);
    }

    /** Whether nothing is planned yet. */
    public static boolean isEmpty(PlanDocument plan) {
        return plan.crops().isEmpty()
                && plan.covers().isEmpty()
                && plan.operations().isEmpty();
    }
}
