package app.etlo.core.advice;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.GrainYield;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The yield goal stands on more tops than the simulation brings the crop to, even in a good year. */
final class GoalAboveGrowth extends Judgement {
    GoalAboveGrowth() {
        super(
                "goal-above-growth",
                Weight.THINK,
                Step.ROTATION,
                "a grain crop's typed yield goal stands on more dry tops, by its harvest index, than the simulation reaches in 9 of 10 years",
                Source.commonPractice(
                        "yield goals come from what the field has carried; grain is harvest index times dry tops"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.crops().stream()
                // one note for one matter
                .filter(c -> !s.failing().containsKey(c.id()))
                .flatMap(c -> Stream.ofNullable(s.cropTopsTHa().get(c.id()))
                        .flatMap(
                                tops -> neededTHa(c)
                                        .filter(needed -> needed > tops.high())
                                        .map(needed -> note(s, c, tops, needed))
                                        .stream()));
    }

    /** Dry tops under a grain yield: its dry grain over the harvest index; empty without a goal or an index. */
    static Optional<Double> neededTHa(CropInTime c) {
        return c.yieldGoal()
                .flatMap(goal -> GrainYield.asMass(goal, c.crop()))
                .flatMap(goal -> c.crop()
                        .harvestIndex()
                        .map(index -> goal.in(Unit.T_PER_HA) * (1 - c.crop().grainMoisture()) / index));
    }

    private Note note(Situation s, CropInTime c, Band tops, double neededTHa) {
        String needed = s.sayRound(neededTHa, Unit.T_PER_HA);
        String grown =
                s.say(tops.low(), Unit.T_PER_HA).replaceFirst(" .*", "") + " to " + s.say(tops.high(), Unit.T_PER_HA);
        return note(
                c.id(),
                c.harvested(),
                c.crop().name() + ": the yield goal stands on about " + needed
                        + " of dry tops, and the simulation brings it to "
                        + grown
                        + " with this plan's water, days and nitrogen. Nitrogen bought for a goal that the field does not"
                        + " carry is lost: look at the goal, at what is fed and at watering; what the field has yielded decides.",
                List.of("goal stands on " + needed, "simulated " + grown),
                "a goal that the field has reached, or watering and nitrogen in the plan");
    }
}
