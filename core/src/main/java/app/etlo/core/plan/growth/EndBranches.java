package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Function;

/** A plan's ground where one of its covers ends on other days: what grows until then is played once. */
public final class EndBranches {
    /** Two records lie no farther apart. */
    private static final int RECORDS_APART = 8;

    private final PlanGround alive;
    private final Function<LocalDate, GroundEvents> ended;
    private final GroundEvents bare;
    private final int days;

    /**
     * @param alive the plan with the cover left alive, recorded every day from the first on which it may end
     * @param bare the plan without it
     * @param days that are simulated at most
     */
    EndBranches(PlanGround alive, Function<LocalDate, GroundEvents> ended, GroundEvents bare, int days) {
        this.alive = alive;
        this.ended = ended;
        this.bare = bare;
        this.days = days;
    }

    /** The ground in which the cover lives on. */
    public PlanGround alive() {
        return alive;
    }

    /** The ground from some days before one to before another, with the cover ended on a day. */
    public Branch ended(LocalDate on, LocalDate from, LocalDate to) {
        return new Branch(alive, alive.branch(ended.apply(on), from.minusDays(RECORDS_APART), to));
    }

    /** The same without the cover. */
    public Branch without(LocalDate from, LocalDate to) {
        return new Branch(alive, alive.branch(bare, from.minusDays(RECORDS_APART), to));
    }

    /** Plants of a stand in the ground without the cover. */
    public List<Integer> plantsWithout(String standId) {
        return bare.plants(standId);
    }

    /** Whether a day is simulated, with an evening before it. */
    public boolean covers(LocalDate day) {
        int d = alive.day(day);
        return d > 0 && d < days;
    }

    /** Some weeks of a branch, read by dates. */
    public record Branch(PlanGround of, GroundCourse course) {
        /** The record of the evening before a day, or the last before it. */
        public int before(LocalDate date) {
            return course.recordOf(of.day(date) - 1);
        }
    }
}
