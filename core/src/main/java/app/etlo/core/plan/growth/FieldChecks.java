package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.ModelError;
import app.etlo.core.ground.WeighedForecast;
import app.etlo.core.knowledge.StageSpread;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.CheckEntry;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.plan.document.PlanDocument.GateEntry;
import app.etlo.core.plan.document.PlanDocument.QuadratEntry;
import app.etlo.core.plan.document.PlanDocument.TransectEntry;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.termination.Quadrat;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What was seen of covers in the field, weighed against the forecast of the same day. */
public final class FieldChecks {
    /** Least error of a mean of cuts, as a share of it: the frame's own, and where it was laid. */
    private static final double LEAST_ERROR_OF_CUTS = 0.1;

    private static final double ERROR_OF_ONE_CUT = 0.3;
    private static final double ERROR_OF_COUNT = 0.15;
    private static final double ERROR_OF_COVER = 0.15;
    /** A line is read no finer, and living leaves are no mulch. */
    private static final double LEAST_ERROR_OF_LINES = 0.02;

    /** Of a simulated height, and of one measured at a few places, one standard deviation as a share; Etlo's own. */
    private static final double ERROR_OF_HEIGHT = 0.15;

    private static final double ERROR_OF_MEASURE = 0.1;
    private static final double LEAST_HEIGHT_M = 0.01;
    /** A count says something about mass only while plants do not yet compete. */
    private static final double OPEN_COVER = 0.5;

    private static final double FEW_NODULES = 0.5;
    private static final double LEAST_ERROR_LEFT = 0.1;
    /** So much of a field bare is the most that is believed. */
    private static final double MOST_BARE = 0.95;

    /** Nothing seen counts as this share of the forecast: a ratio of nothing says nothing. */
    private static final double LEAST_SEEN = 0.01;

    /** Stage of the middle plant when half of the heads shed pollen; half bloom is a little later. Etlo's own anchors. */
    private static final double FLOWERING = 1;

    private static final double HALF_BLOOM_LATER = 0.03;
    private static final double LEAST_SHARE = 0.02;
    /** Of plants, more than the forecast left: dead ones do not rise again. */
    private static final double MOST_MORE = 4;

    private FieldChecks() {}

    /**
     * @param bareBefore share of the field that an earlier check found bare, which the forecast knows already
     */
    record Check(String coverId, CheckEntry entry, double bareBefore) {}

    /**
     * A check and what it does to the forecast.
     *
     * @param massFactor on dry tops, leaves and nitrogen from its day on
     * @param fixing share of fixation that works
     * @param errorLeft of the model after it for the whole cover, as a share of the middle
     * @param species that it acts on; all of the cover when empty
     * @param stageChange added to the stage of that species
     * @param heightFactor on the height from its day on
     * @param leftAlive share of the plants that the passes before it left alive, 0 to 1; as forecast when empty
     */
    public record Seen(
            String coverId,
            String id,
            LocalDate on,
            double massFactor,
            double standFactor,
            double fixing,
            double errorLeft,
            Optional<String> species,
            double stageChange,
            double heightFactor,
            Optional<Double> leftAlive,
            String said,
            Optional<Figure> factor,
            List<Figure> figures)
            implements Figured {}

    /** The checks up to a day in time; what is dated later was not seen yet. */
    static List<Check> inTime(PlanDocument plan, LocalDate asOf) {
        List<Check> all = new ArrayList<>();
        for (CoverEntry c : plan.covers()) {
            List<CheckEntry> checks = c.checks().orElse(List.of()).stream()
                    .filter(k -> !k.on().isAfter(asOf))
                    .sorted(Comparator.comparing(CheckEntry::on))
                    .toList();
            double bare = 0;
            for (CheckEntry k : checks) {
                all.add(new Check(c.id(), k, bare));
                bare = k.patchesPercent().map(v -> v / 100).orElse(bare);
            }
        }
        all.sort(Comparator.comparing((Check c) -> c.entry().on())
                .thenComparing(Check::coverId)
                .thenComparing(c -> c.entry().id()));
        return all;
    }

    /** What is left of the model's error of a cover's mass after its last check. */
    static double errorOfMass(String coverId, List<Seen> seen) {
        return seen.stream()
                .filter(s -> s.coverId().equals(coverId))
                .reduce((a, b) -> b)
                .map(Seen::errorLeft)
                .orElse(ModelError.OF_MASS);
    }

    /**
     * A check against the forecast; empty where nothing of the cover is forecast to stand on its day.
     *
     * @param units in which it is shown
     */
    static Optional<Seen> seen(Check check, PlanGround ground, UnitSystem units) {
        CheckEntry c = check.entry();
        List<Integer> all = ground.plants(check.coverId());
        List<Integer> plants = c.species()
                .map(id -> ground.has(check.coverId(), id)
                        ? List.of(ground.plant(check.coverId(), id))
                        : List.<Integer>of())
                .orElse(all);
        int record = ground.course().recordOf(Math.max(0, ground.day(c.on())));
        if (plants.isEmpty() || ground.day(c.on()) <= 0) {
            return Optional.empty();
        }
        Optional<Double> alive = c.gate().filter(g -> g.kind().equals("kill")).flatMap(GateEntry::alivePercent);
        if (alive.isPresent()) {
            return Optional.of(killed(check, alive.get() / 100));
        }
        double mass = GroundCourse.band(ground.course().sum(record, plants, OfPlant.MASS_KG_HA))
                .middle();
        if (mass <= 0) {
            return Optional.empty();
        }
        double whole = GroundCourse.band(ground.course().sum(record, all, OfPlant.MASS_KG_HA))
                .middle();
        return Optional.of(new Weighing(check, ground, plants, record, mass, Math.min(1, mass / whole), units).seen());
    }

    /** What a look after the last pass says of the kill; it is set to what was seen. */
    private static Seen killed(Check check, double leftAlive) {
        return new Seen(
                check.coverId(),
                check.entry().id(),
                check.entry().on(),
                1,
                1,
                1,
                ModelError.OF_MASS,
                check.entry().species(),
                0,
                1,
                Optional.of(leftAlive),
                Math.round(100 * leftAlive) + " % of the plants alive: what was planned to kill them is set to that",
                Optional.empty(),
                List.of());
    }

    /** One check being weighed. */
    private static final class Weighing {
        private final String id;
        private final Check check;
        private final PlanGround ground;
        private final List<Integer> plants;
        private final int record;
        private final double massKgHa;
        /** Of the cover's mass that was looked at. */
        private final double share;

        private final UnitSystem units;

        private final List<Figure> figures = new ArrayList<>();
        private final List<String> said = new ArrayList<>();
        private Optional<Figure> factor = Optional.empty();
        private double massFactor = 1;
        private double standFactor = 1;
        private double errorLeft = ModelError.OF_MASS;
        private double stageChange;
        private double heightFactor = 1;

        Weighing(
                Check check,
                PlanGround ground,
                List<Integer> plants,
                int record,
                double massKgHa,
                double share,
                UnitSystem units) {
            this.share = share;
            this.units = units;
            this.id = "grow/" + check.coverId() + "/check/" + check.entry().id();
            this.check = check;
            this.ground = ground;
            this.plants = plants;
            this.record = record;
            this.massKgHa = massKgHa;
        }

        Seen seen() {
            CheckEntry c = check.entry();
            c.plants().ifPresent(q -> count(q.in(Unit.PER_M2)));
            if (c.quadrat().isPresent()) {
                cut(c.quadrat().get());
            } else if (c.transect().isPresent()) {
                transect(c.transect().get());
            } else {
                c.coverPercent().ifPresent(v -> cover(v / 100, Optional.empty()));
            }
            // what was measured over the whole field has its patches in it
            c.patchesPercent()
                    .filter(v -> c.coverPercent().isEmpty()
                            && c.transect().isEmpty()
                            && c.species().isEmpty())
                    .ifPresent(v -> patches(v / 100));
            c.stage().ifPresent(this::stage);
            c.gate().ifPresent(this::gate);
            c.height().ifPresent(q -> height(q.in(Unit.METRE)));
            double fixing = c.nodules()
                    .map(n -> switch (n) {
                        case "none" -> {
                            said.add("no nodules: nothing is fixed from here on until a later check says otherwise");
                            yield 0.0;
                        }
                        case "few" -> {
                            said.add("few nodules: half the fixation");
                            yield FEW_NODULES;
                        }
                        default -> {
                            said.add("pink nodules: fixation as forecast");
                            yield 1.0;
                        }
                    })
                    .orElse(1.0);
            return new Seen(
                    check.coverId(),
                    c.id(),
                    c.on(),
                    massFactor,
                    standFactor,
                    fixing,
                    // the rest of the mix is as unsure as it was, and errs alike
                    share * errorLeft + (1 - share) * ModelError.OF_MASS,
                    c.species(),
                    stageChange,
                    heightFactor,
                    Optional.empty(),
                    said.isEmpty() ? "nothing measured yet" : String.join("; ", said),
                    factor,
                    figures);
        }

        private void cut(QuadratEntry q) {
            Figure weighed =
                    new Quadrat(q.frameArea(), q.samples(), q.dryMatterPercent() / 100).biomass(id + "/weighed");
            figures.add(weighed);
            double seen = weighed.in(Unit.KG_PER_HA);
            double standard = weighed.value().high() - weighed.middle();
            double least = q.samples().size() < 2 ? ERROR_OF_ONE_CUT : LEAST_ERROR_OF_CUTS;
            weigh(
                    "dry tops",
                    Unit.KG_PER_HA,
                    massKgHa,
                    seen,
                    Math.max(standard, least * seen),
                    q.samples().size(),
                    true);
            said.add(mass(seen) + " weighed, " + mass(massKgHa) + " forecast: from here on × "
                    + Shown.text(massFactor, Unit.FRACTION));
        }

        /** Lines of beads: their mean, and the error from their spread or, of a single line, from the number of beads. */
        private void transect(TransectEntry t) {
            Figure seen = LineTransect.cover(id + "/transect", t.points(), t.hits());
            figures.add(seen);
            double share = seen.middle() / 100;
            double error = (seen.value().high() - seen.middle()) / 100;
            cover(share, Optional.of(Math.max(LEAST_ERROR_OF_LINES, error)));
        }

        /**
         * @param error of the share, one standard deviation; by eye when empty
         */
        private void cover(double share, Optional<Double> error) {
            double forecast = coverShare();
            double seen = Math.min(0.98, share);
            String both = Math.round(100 * share) + " % cover seen, " + Math.round(100 * forecast) + " % forecast";
            if (forecast <= 0.01 || forecast >= 0.98 || seen <= 0) {
                said.add(both);
                return;
            }
            // leaf area by cover, and mass with it: the extinction is the same on both sides
            double ratio = Math.log(1 - seen) / Math.log(1 - forecast);
            double ofRatio = error.map(e -> e / ((1 - seen) * -Math.log(1 - forecast)))
                    .orElse(ERROR_OF_COVER * Math.max(1, ratio));
            weigh("leaves, by cover", Unit.FRACTION, 1, ratio, ofRatio, 1, true);
            said.add(both + ": from here on × " + Shown.text(massFactor, Unit.FRACTION));
        }

        /** The tallest as measured here and there, against the forecast; few measures never move it far. */
        /** The bare part of a field carries nothing of what the rest does. */
        private void patches(double bare) {
            double left = (1 - Math.min(MOST_BARE, bare)) / (1 - Math.min(MOST_BARE, check.bareBefore()));
            if (Math.abs(left - 1) < 1e-9) {
                return;
            }
            massFactor *= left;
            said.add(Math.round(100 * bare) + " % of the field bare: of the whole field from here on × "
                    + Shown.text(massFactor, Unit.FRACTION));
        }

        private void height(double seenM) {
            double forecastM = tallestM();
            String both = "height " + whole(100 * seenM, Unit.CENTIMETRE) + ", forecast "
                    + whole(100 * forecastM, Unit.CENTIMETRE);
            if (forecastM < LEAST_HEIGHT_M || seenM <= 0) {
                said.add(both);
                return;
            }
            Figure factorOfHeight = WeighedForecast.factor(
                    id + "/heightFactor",
                    "height",
                    Unit.METRE,
                    new WeighedForecast.Seen(
                            forecastM, ERROR_OF_HEIGHT * forecastM, seenM, ERROR_OF_MEASURE * seenM, 1, false));
            figures.add(factorOfHeight);
            heightFactor = factorOfHeight.middle();
            said.add(both + ": from here on × " + Shown.text(heightFactor, Unit.FRACTION) + " in height");
        }

        /** The stage of one species: the middle of what its word spans, weighed against the forecast. */
        private void stage(String word) {
            SeenStage seen = SeenStage.of(word);
            if (plants.size() != 1) {
                said.add(seen.words() + ": say of which species, then its pace is corrected");
                return;
            }
            double forecast = ground.band(record, plants.get(0), OfPlant.STAGE).middle();
            Figure moved = SeenStage.change(id + "/stage", forecast, seen);
            figures.add(moved);
            stageChange = moved.middle();
            said.add(seen.words() + ", forecast " + SeenStage.at(forecast).words()
                    + (Math.abs(stageChange) < 0.01
                            ? ": its pace stays"
                            : stageChange > 0 ? ": it is farther on" : ": it is behind"));
        }

        private void gate(GateEntry g) {
            g.sheddingPercent().ifPresent(v -> flowering(v, "of the heads shed pollen", FLOWERING));
            g.bloomPercent().ifPresent(v -> flowering(v, "of the flowers open", FLOWERING + HALF_BLOOM_LATER));
            g.alivePercent().ifPresent(v -> afterWinter(v / 100));
        }

        /** So many plants flower: the middle one stands where that many of a stand do. */
        private void flowering(double percent, String what, double half) {
            String seen = Math.round(percent) + " % " + what;
            if (plants.size() != 1) {
                said.add(seen + ": say of which species, then its pace is corrected");
                return;
            }
            double forecast = ground.band(record, plants.get(0), OfPlant.STAGE).middle();
            double share = Math.max(LEAST_SHARE, Math.min(1 - LEAST_SHARE, percent / 100));
            double stage = StageSpread.stageAt(share, half);
            Figure moved = SeenStage.change(
                    id + "/stage",
                    forecast,
                    percent / 100 < LEAST_SHARE ? 0 : stage,
                    percent / 100 > 1 - LEAST_SHARE ? SeenStage.LAST : stage);
            figures.add(moved);
            stageChange = moved.middle();
            said.add(seen + ", " + Math.round(100 * StageSpread.farEnough(forecast, half)) + " % forecast"
                    + (Math.abs(stageChange) < 0.01
                            ? ": its pace stays"
                            : stageChange > 0 ? ": it is farther on" : ": it is behind"));
        }

        /** What winter left of the plants, against what the forecast left of those that came up. */
        private void afterWinter(double alive) {
            double forecast = GroundCourse.band(ground.course().sum(record, plants, OfPlant.STAND))
                            .middle()
                    / plants.size();
            String seen = Math.round(100 * alive) + " % alive after winter, " + Math.round(100 * Math.min(1, forecast))
                    + " % forecast";
            if (forecast <= 0) {
                said.add(seen);
                return;
            }
            standFactor = Math.min(MOST_MORE, Math.max(LEAST_SEEN, alive) / forecast);
            massFactor = standFactor;
            said.add(seen + ": from here on × " + Shown.text(standFactor, Unit.FRACTION));
        }

        private void count(double plantsM2) {
            double forecast = ground.plantsM2(plants, record);
            if (forecast <= 0) {
                return;
            }
            boolean open = coverShare() < OPEN_COVER;
            double factor = plantsM2 / forecast;
            weigh(
                    "plants",
                    Unit.PER_M2,
                    forecast,
                    plantsM2,
                    ERROR_OF_COUNT * Math.max(1, plantsM2),
                    WeighedForecast.ENOUGH_SAMPLES,
                    open);
            standFactor = figures.get(figures.size() - 1).middle();
            said.add("plants " + inUnits(plantsM2, Unit.PER_M2) + " counted, " + inUnits(forecast, Unit.PER_M2)
                    + " forecast" + (factor < 1 && !open ? "; the canopy has closed over it" : ""));
        }

        private void weigh(
                String what, Unit unit, double forecast, double seen, double seenSd, int samples, boolean ofMass) {
            WeighedForecast.Seen both = new WeighedForecast.Seen(
                    forecast,
                    ModelError.OF_MASS * forecast,
                    Math.max(LEAST_SEEN * forecast, seen),
                    Math.max(LEAST_SEEN * forecast, seenSd),
                    samples,
                    ofMass && isOutside(seen / forecast));
            Figure weighed = WeighedForecast.factor(id + (ofMass ? "/factor" : "/standFactor"), what, unit, both);
            figures.removeIf(f -> f.id().equals(weighed.id()));
            figures.add(weighed);
            if (ofMass) {
                factor = Optional.of(weighed);
                massFactor = weighed.middle();
                errorLeft = Math.max(LEAST_ERROR_LEFT, both.errorAfter());
            }
        }

        /** Whether so many times the middle lies outside what weather years and the model's error leave possible. */
        private boolean isOutside(double ofMiddle) {
            Band band = ModelError.widen(
                    GroundCourse.band(ground.course().sum(record, plants, OfPlant.MASS_KG_HA)), ModelError.OF_MASS);
            return ofMiddle * massKgHa < band.low() || ofMiddle * massKgHa > band.high();
        }

        private double coverShare() {
            double open = 1;
            for (int p : plants) {
                open *= 1 - ground.band(record, p, OfPlant.COVER).middle();
            }
            return 1 - open;
        }

        private double tallestM() {
            return plants.stream()
                    .mapToDouble(p -> ground.band(record, p, OfPlant.HEIGHT_M).middle())
                    .max()
                    .orElse(0);
        }

        private String mass(double kgHa) {
            return units == UnitSystem.METRIC ? inUnits(kgHa / 1000, Unit.T_PER_HA) : inUnits(kgHa, Unit.KG_PER_HA);
        }

        private String inUnits(double value, Unit unit) {
            Unit shown = units.shown(unit);
            return Shown.text(unit.to(shown, value), shown) + " " + shown.written();
        }

        private String whole(double value, Unit unit) {
            Unit shown = units.shown(unit);
            return Math.round(unit.to(shown, value)) + " " + shown.written();
        }
    }
}
