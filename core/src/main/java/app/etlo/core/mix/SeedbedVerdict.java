package app.etlo.core.mix;

import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.DegreeDays;
import app.etlo.core.weather.Percentiles;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Whether to sow into a seedbed that was looked at, to wait, or to let weeds come up and kill them first.
 *
 * @param flushes days on which a flush is to be killed, in a middle year; none where it is not flushed
 * @param leftPercent of the weed seed that would have come up, what still comes after the flushes
 * @param reasons in words; the first decides
 */
public record SeedbedVerdict(Act act, List<LocalDate> flushes, double leftPercent, List<String> reasons) {
    public static final Source SOURCE = Source.commonPractice(
            "firm enough for small seed: a boot heel sinks about 1 cm; stale bed: wet or wait, kill shallowly at white thread to"
                    + " cotyledon, repeat; one or two flushes do not empty a long-lived seed bank");

    /** What to do. */
    public enum Act {
        SOW("sow"),
        WAIT("wait"),
        FLUSH("flush");

        private final String words;

        Act(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * What was seen.
     *
     * @param heelCm how deep a boot heel sinks
     * @param moistFromCm depth from which the soil is moist
     * @param weedsM2 seedlings
     */
    public record Look(
            LocalDate on,
            Optional<Double> heelCm,
            Optional<Boolean> level,
            Optional<Double> moistFromCm,
            Optional<Double> weedsM2) {}

    /**
     * What it is looked at for.
     *
     * @param shallowCm depth of the shallowest seed of the mix
     * @param deepestCm depth to which its seed may be set without loss
     * @param until last day the window takes seed
     * @param dryPercent share of the years without a wetting rain after sowing
     */
    public record Need(
            double shallowCm,
            double deepestCm,
            Optional<LocalDate> until,
            Optional<Double> dryPercent,
            Optional<YearsAhead> years) {}

    /** Seedlings of weeds from which a flush pays; Etlo's own. */
    static final double WEEDY_M2 = 20;
    /** From wetting or stirring to cotyledons, degree days above 5 (Etlo's own round sum), and never sooner than. */
    static final double FLUSH_SUM = 120;

    private static final int SOONEST_DAYS = 7;
    private static final int MOST_FLUSHES = 2;
    /** What a flush leaves of the seed that can germinate; Etlo's own. */
    static final double LEFT_BY_ONE = 0.7;

    private static final double FIRM_CM = 1.5;
    private static final double SMALL_SEED_CM = 2;
    private static final double OFTEN_DRY = 40;

    public static SeedbedVerdict of(Look look, Need need) {
        List<String> reasons = new ArrayList<>();
        List<LocalDate> flushes = weedy(look) ? flushes(look, need) : List.of();
        if (weedy(look)) {
            String seen = Said.of(look.weedsM2().orElseThrow(), Unit.PER_M2) + " weed seedlings";
            reasons.add(
                    flushes.isEmpty()
                            ? seen + " and no time for another flush before the window closes: kill these shallowly, "
                                    + "then sow thicker or a faster species."
                            : seen + ": kill them shallowly at white thread to cotyledon, on about "
                                    + String.join(
                                            " and ",
                                            flushes.stream().map(Shown::date).toList())
                                    + ", then sow. About " + Math.round(100 * left(flushes))
                                    + " % of the weeds that would come still come; a long-lived seed bank is not"
                                    + " emptied.");
        }
        boolean dry = look.moistFromCm().filter(m -> m > need.deepestCm()).isPresent();
        if (dry) {
            reasons.add("Moist only from " + Said.of(look.moistFromCm().orElseThrow(), Unit.CENTIMETRE)
                    + ", deeper than this seed may lie (" + Said.of(round(need.deepestCm()), Unit.CENTIMETRE) + ")"
                    + need.dryPercent()
                            .map(p -> ": in " + Math.round(p / 10)
                                    + " years in 10 no wetting rain falls in the ten days after."
                                    + (p > OFTEN_DRY
                                            ? " Wait for rain, or choose larger seed that reaches the moisture."
                                            : " Sow ahead of rain that is forecast."))
                            .orElse(": wait for rain."));
        }
        if (look.heelCm().filter(h -> h > FIRM_CM).isPresent()) {
            reasons.add("A heel sinks " + Said.of(look.heelCm().orElseThrow(), Unit.CENTIMETRE)
                    + (need.shallowCm() < SMALL_SEED_CM
                            ? ": too loose for small seed, which ends up too deep. Roll or wait for a settling rain; about "
                            : ": loose; seed depth will vary. Roll first; about ")
                    + Said.of(1, Unit.CENTIMETRE) + " is firm.");
        }
        if (look.level().filter(l -> !l).isPresent()) {
            reasons.add("Not level: depth will vary, and every later pass without tillage meets the same ruts. Level it"
                    + " before tillage stops.");
        }
        boolean oftenDry = dry && need.dryPercent().map(p -> p > OFTEN_DRY).orElse(true);
        boolean loose = look.heelCm().filter(h -> h > 2 * FIRM_CM).isPresent() && need.shallowCm() < SMALL_SEED_CM;
        if (reasons.isEmpty()) {
            reasons.add("Nothing of what was looked at speaks against sowing.");
        }
        Act act = !flushes.isEmpty() ? Act.FLUSH : oftenDry || loose ? Act.WAIT : Act.SOW;
        return new SeedbedVerdict(act, flushes, 100 * left(flushes), reasons);
    }

    private static double round(double cm) {
        return Math.round(cm * 10) / 10.0;
    }

    private static boolean weedy(Look look) {
        return look.weedsM2().filter(w -> w >= WEEDY_M2).isPresent();
    }

    private static double left(List<LocalDate> flushes) {
        return Math.pow(LEFT_BY_ONE, flushes.size());
    }

    /** The seedlings seen are the first flush; another must come up, be killed, and leave a day for sowing. */
    private static List<LocalDate> flushes(Look look, Need need) {
        List<LocalDate> found = new ArrayList<>();
        LocalDate day = look.on().plusDays(1);
        while (found.size() < MOST_FLUSHES && need.until().map(day::isBefore).orElse(found.isEmpty())) {
            found.add(day);
            LocalDate from = day;
            Optional<Double> days = need.years()
                    .filter(y -> y.day(from) < y.days())
                    .map(y -> Percentiles.of(y.daysTo(DegreeDays.above(5), from, FLUSH_SUM))
                            .at(0.5));
            if (days.filter(d -> !d.isInfinite()).isEmpty()) {
                break;
            }
            day = day.plusDays(Math.max(SOONEST_DAYS, Math.round(days.get())));
        }
        return found;
    }
}
