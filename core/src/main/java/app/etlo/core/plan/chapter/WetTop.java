package app.etlo.core.plan.chapter;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.plan.growth.PlanGround;
import java.time.LocalDate;

/**
 * Whether the top of the ground bears stock and machines. A handful that presses to a ribbon is about as wet as soil that has just drained (common
 * practice); the simulated top layer counts as too wet from 0.95 of that on, and bears when it is frozen. Etlo's own limit.
 */
public final class WetTop {
    private static final double OF_FIELD_CAPACITY = 0.95;
    private static final double FROZEN_C = 0;

    private WetTop() {}

    /** Of the recorded days of a span in all weather years, the share that is too wet, 0 to 1. */
    public static double share(PlanGround ground, LocalDate from, LocalDate until) {
        GroundCourse course = ground.course();
        int first = ground.before(from);
        int last = Math.max(first, ground.before(until));
        int wet = 0;
        for (int r = first; r <= last; r++) {
            for (int m = 0; m < course.members(); m++) {
                wet += course.ground(r, OfGround.WATER_1, m) > OF_FIELD_CAPACITY
                                && course.ground(r, OfGround.SOIL_C, m) > FROZEN_C
                        ? 1
                        : 0;
            }
        }
        return (double) wet / ((last - first + 1) * course.members());
    }
}
