package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Function;

/** A plan's ground where one of its covers ends on other days: what grows until then is played once. */
public final class EndBranches {
    private final PlanGround alive;
    private final Function<LocalDate, GroundEvents> ended;
    private final GroundEvents bare;
    private final int days;

    /**
     * @param alive the plan with the cover left alive
     * @param bare the plan without it
     * @param days that are simulated at most
     */
    EndBranches(PlanGround alive, Function<LocalDate, GroundEvents> ended, GroundEvents bare, int days) {
        this.alive = alive;
        this.ended = ended;
        this.bare = bare;
        this.days = days;
    }

    /** The living cover, on every day from one to before another. */
    public GroundCourse alive(LocalDate first, LocalDate end) {
        return alive.days(first, end);
    }

    public List<Integer> plants(String standId) {
        return alive.plants(standId);
    }

    public String plantId(int plant) {
        return alive.plantId(plant);
    }

    /** The ground with the cover ended on a day, played to before another. */
    public PlanGround ended(LocalDate on, LocalDate to) {
        return alive.branch(ended.apply(on), to);
    }

    /** The ground without the cover, on every day from one to before another. */
    public GroundCourse without(LocalDate first, LocalDate end) {
        return alive.days(bare, first, end);
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
}
