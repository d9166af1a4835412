package app.etlo.core.plan.asked;

import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** What a replay shows. */
public final class ReplayViews {
    private ReplayViews() {}

    /**
     * The years that can be gone through.
     *
     * @param from first day that is shown, and {@code to} the last
     * @param picks years that were remarkable
     * @param years every year of the record that can stand for the one in which the cover's season ends
     */
    public record YearsView(LocalDate from, LocalDate to, List<PastYears.Pick> picks, List<Integer> years) {}

    /**
     * A day of it.
     *
     * @param day may be earlier than the one asked for: the replay halts where something has to be decided
     * @param asks what has to be decided today
     * @param soon what could be done today instead of later
     * @param watched the figures to keep an eye on
     */
    public record DayView(
            LocalDate day,
            LocalDate from,
            LocalDate to,
            LocalDate past,
            Evaluation evaluation,
            SkyView sky,
            List<Ask> asks,
            List<Ask> soon,
            List<FigureView> watched) {}

    /**
     * @param what such as "sow the cover"
     * @param planned the day of the plan as it stands
     * @param methods ways of ending it, the plan's own first
     */
    public record Ask(String kind, String subject, String what, LocalDate planned, List<Method> methods) {}

    public record Method(String id, String name) {}

    /**
     * @param lately the last days as they were, oldest first
     * @param soil of the evening before
     * @param forecast what was forecast on that day
     */
    public record SkyView(
            List<SkyDay> lately,
            String soil,
            String rainOfAMonth,
            List<SkyDay> forecast,
            String temperatureUnit,
            String rainUnit) {}

    /** Numbers in the shown units. */
    public record SkyDay(LocalDate day, double low, double high, double rain, String text) {}

    /**
     * @param figures of the plan as it was and as it was chosen, in the same order
     * @param choices what was chosen, with what was expected and what came
     */
    public record EndView(List<Outcome> figures, List<Judged> choices) {}

    /** A figure as it came, with the plan as it was and as it was chosen. */
    public record Outcome(
            String id, Optional<FigureView> planned, Optional<FigureView> chosen, Optional<String> difference) {}

    /**
     * @param planned the day in the plan as it was
     * @param done the day it was done
     * @param expected what was expected on that day of the figure that rests on it most, and what came of it
     */
    public record Judged(
            String kind,
            String subject,
            String what,
            LocalDate planned,
            LocalDate done,
            Optional<FigureView> expected,
            Optional<FigureView> came) {}

    /**
     * What other days for one of the things done would have come to, all else as chosen.
     *
     * @param tried by day, those of the plan and of the choice among them
     */
    public record OtherDays(String kind, String subject, List<Tried> tried) {}

    /** What would have come of another day; values in shown units, by figure id. */
    public record Tried(LocalDate day, List<Value> values) {}

    public record Value(String id, double value, String text) {}
}
