package app.etlo.core.advice;

import app.etlo.core.field.FrostDates;
import app.etlo.core.ground.CoverCost;
import app.etlo.core.ground.CropFailure;
import app.etlo.core.ground.WinterStand;
import app.etlo.core.knowledge.Caution;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.Finding;
import app.etlo.core.mix.LatestSowing;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.mix.MixResult;
import app.etlo.core.mix.Seedbed;
import app.etlo.core.mix.SowResult;
import app.etlo.core.mix.Sowing;
import app.etlo.core.mix.UsefulYears;
import app.etlo.core.nitrogen.CoverCredit;
import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.PlausibleSpan;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.Window;
import app.etlo.core.termination.EndResult;
import app.etlo.core.termination.Stand;
import app.etlo.core.termination.Termination;
import app.etlo.core.tillage.Pass;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the judgements look at: the plan worked out, as far as it goes.
 *
 * @param crops in time
 * @param windows between and inside the crops, in time
 * @param passes over the ground, in time
 * @param untilled crops that are planted without tillage since the harvest before
 * @param failing crops that the simulation does not bring to a harvest, by crop
 * @param cropTopsTHa dry tops of crops at harvest, simulated, by crop
 * @param feed nitrogen by crop
 * @param typed the numbers the adviser typed, with the span in which each is believed
 */
public record Situation(
        LocalDate asOf,
        UnitSystem units,
        Optional<FrostDates> frost,
        Optional<Double> tileDepthCm,
        List<CropInTime> crops,
        List<Cover> covers,
        List<TypedNumber> typed,
        List<Window> windows,
        FieldFacts field,
        List<Pass> passes,
        Set<String> untilled,
        Map<String, CropFailure> failing,
        Map<String, Band> cropTopsTHa,
        Map<String, FeedResult> feed,
        Optional<Weather> weather) {

    /**
     * The weather behind the figures.
     *
     * @param years whole years of the record
     * @param chosen whether the adviser chose the station or brought the series
     */
    public record Weather(String name, int years, boolean chosen, double latitude) {}

    /**
     * A cover in its place, with what its steps come to.
     *
     * @param next the cash crop that follows it
     * @param endings every pass that ends it, in time
     * @param aliveAtEnd share of the years, 0 to 1, in which a species lives at the end, by species
     * @param rootedM how deep taprooted species root in this season in 1 year of 10, by species; simulated
     * @param cost what it takes from the next crop; empty where that is not simulated or lies in the past
     * @param winter as it finds it; empty where the soil stays warm
     * @param fedKgHa nitrogen given to it
     * @param facts of its end
     * @param countedM2 plants of single species as counted last, by species
     */
    public record Cover(
            String id,
            Optional<CropInTime> next,
            Optional<LocalDate> sown,
            List<Termination> endings,
            List<Component> components,
            Optional<Window> window,
            MixResult mix,
            SowResult sow,
            EndResult ending,
            Optional<CoverCredit> credit,
            Map<String, List<Finding>> findings,
            Map<String, Double> aliveAtEnd,
            Map<String, Double> rootedM,
            Optional<CoverCost> cost,
            Optional<WinterStand> winter,
            double fedKgHa,
            Map<String, Double> countedM2,
            EndFacts facts,
            MixUse use) {
        /** The first of its endings. */
        public Optional<Termination> end() {
            return endings.stream().findFirst();
        }

        /** The last of its endings. */
        public Optional<Termination> lastEnd() {
            return endings.stream().reduce((a, b) -> b);
        }

        public Optional<Blend> blend() {
            return mix.blend();
        }

        public Optional<UsefulYears> useful() {
            return mix.useful();
        }

        public Optional<MixOutlook> outlook() {
            return mix.outlook();
        }

        public Optional<Seedbed> seedbed() {
            return sow.seedbed();
        }

        public Optional<Stand> stand() {
            return ending.stand();
        }
    }

    /**
     * How the mix is meant.
     *
     * @param aims of the cover, ranked
     * @param fed whether stock will eat it
     * @param stockKnown whether the stock kept here are entered
     * @param cautions of species that harm the stock kept here, by species; for any stock while none is entered
     * @param purpose factor on the rates for a dense mulch
     * @param sownFor id of the purpose its full rates are taken for
     * @param programmes names of programmes the field is in
     * @param onSurface whether the seed stays lying on the ground
     * @param depthCm that is typed, from mineral soil
     * @param flown whether it is flown on
     * @param rateFactor by which its way of sowing raises the drilled rate
     * @param standing the crop it is sown into
     * @param soakedInDrill whether soaked seed is to run through a machine
     */
    public record MixUse(
            List<String> aims,
            boolean fed,
            boolean stockKnown,
            Map<String, List<Caution>> cautions,
            double purpose,
            String sownFor,
            List<String> programmes,
            boolean onSurface,
            Optional<Double> depthCm,
            boolean flown,
            double rateFactor,
            Optional<CropInTime> standing,
            Optional<SeedFertiliser> fertiliser,
            Rhizobia rhizobia,
            boolean soakedInDrill) {}

    /**
     * The rhizobium of the groups of legumes.
     *
     * @param planned what is said of a group
     * @param grown what the field grew of a group lately, in words, by group
     */
    public record Rhizobia(Map<String, Sowing.InoculantUse> planned, Map<String, String> grown) {}

    /**
     * Nitrogen and potash with the seed.
     *
     * @param kgHa N and K2O together, as typed
     * @param limit what the seed bears
     */
    public record SeedFertiliser(double kgHa, Figure limit) {}

    /**
     * A number as typed.
     *
     * @param subject where it was typed
     */
    public record TypedNumber(Step step, String subject, String label, Quantity typed, PlausibleSpan span) {}

    /** The latest useful sowing of a species by the usual first autumn frost; empty where the weather says more than that. */
    Optional<LocalDate> latest(Cover cover, Species species, LocalDate sown) {
        return cover.useful().isPresent() ? Optional.empty() : frost.flatMap(f -> LatestSowing.of(species, f, sown));
    }

    /** A share of the weather years in words. */
    static String yearsIn10(double percent) {
        long years = Math.round(percent / 10);
        return years + (years == 1 ? " year in 10" : " years in 10");
    }

    /** A value in the farm's own units, with its unit. */
    public String say(double value, Unit unit) {
        Unit shown = units.shown(unit);
        return Shown.text(unit.to(shown, value), shown) + " " + shown.written();
    }

    /** A round number of the library in the farm's own units, to two digits, so that it does not look exact in the other ones. */
    public String sayRound(double value, Unit unit) {
        Unit shown = units.shown(unit);
        double v = unit.to(shown, value);
        int decimals = v == 0 ? 0 : Math.max(0, 1 - (int) Math.floor(Math.log10(Math.abs(v))));
        double step = v == 0 ? 1 : Math.pow(10, Math.floor(Math.log10(Math.abs(v))) - 1);
        double round = Math.round(v / step) * step;
        return Shown.plain(round, round == Math.rint(round) ? 0 : decimals) + " " + shown.written();
    }
}
