package app.etlo.server.evaluation;

import app.etlo.core.advice.Weight;
import app.etlo.core.plan.asked.FieldTurn;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.quantity.UnitSystem;
import java.util.Optional;

/**
 * A field in the list, without its picture.
 *
 * @param area with its unit; empty while the field has never been evaluated
 * @param fault why the plan cannot be computed, as a sentence
 * @param turn what decides when it is its turn in spring
 * @param state changes whenever the picture may have changed
 * @param current whether it was computed with everything as it is now
 */
record FieldRow(
        String fieldId,
        String name,
        String farmId,
        String farmName,
        UnitSystem units,
        String area,
        Optional<Evaluation.NextDecision> next,
        int stops,
        int thinks,
        Optional<TopNote> note,
        Optional<String> fault,
        Optional<FieldTurn> turn,
        String state,
        boolean current) {
    /** The heaviest note not answered yet. */
    record TopNote(Weight weight, String text) {}

    /** A field of which nothing has been computed, with why not where that is known. */
    static FieldRow bare(
            String fieldId, String name, String farmId, String farmName, UnitSystem units, Optional<String> fault) {
        return new FieldRow(
                fieldId,
                name,
                farmId,
                farmName,
                units,
                "",
                Optional.empty(),
                0,
                0,
                Optional.empty(),
                fault,
                Optional.empty(),
                "",
                fault.isPresent());
    }

    FieldRow as(String itsState, boolean isCurrent) {
        return new FieldRow(
                fieldId, name, farmId, farmName, units, area, next, stops, thinks, note, fault, turn, itsState,
                isCurrent);
    }
}
