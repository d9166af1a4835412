package app.etlo.core.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.field.Texture;
import app.etlo.core.knowledge.KillOfSpecies;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.knowledge.MissingPlantKind;
import app.etlo.core.knowledge.Survivors;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each process by itself, against numbers worked out by hand or published. */
class ProcessesTest {
    private static GroundState state(String... species) {
        GroundPlant[] plants =
                java.util.Arrays.stream(species).map(Trials::plant).toArray(GroundPlant[]::new);
        GroundState s = new GroundState(Trials.siltLoam(), plants);
        for (int p = 0; p < plants.length; p++) {
            s.status[p] = GroundState.UP;
            s.plantsM2[p] = 100;
            s.sownM2[p] = 100;
            s.join(p);
        }
        return s;
    }

    /** 3 mm for each degree: 20 mm of snow at a mean of 4 °C lose 12, and rain comes through. */
    @Test
    void snow_lies_and_melts_by_degrees() {
        GroundState s = state();
        s.meanC = -2;
        s.rainMm = 20;
        assertThat(Snow.pass(s)).isZero();
        assertThat(s.snowMm).isEqualTo(20);
        s.meanC = 4;
        s.rainMm = 5;
        assertThat(Snow.pass(s)).isEqualTo(17);
        assertThat(s.snowMm).isEqualTo(8);
    }

    /** -20 °C in the air is about -14 at a bare crown and -7 under 10 cm of snow, 20 mm as water (published crown rule; from memory). */
    @ParameterizedTest
    @CsvSource({"-20, 0, -14.1", "-20, 20, -6.9", "3, 0, 3"})
    void crown_under_snow(double air, double snowMm, double crown) {
        assertThat(FrostKill.crownC(air, snowMm)).isCloseTo(crown, within(0.1));
    }

    /** At the half-lethal temperature half of the plants die, and what dies is residue. */
    @Test
    void half_die_at_the_half_lethal_temperature() {
        GroundState s = state("buckwheat");
        s.mass[0] = 200;
        s.nitrogen[0] = 4;
        s.leafArea[0] = 2;
        s.meanC = 6;
        s.tminC = s.plant[0].tenderC;
        FrostKill.pass(s);
        assertThat(s.plantsM2[0]).isCloseTo(50, within(0.5));
        assertThat(s.mass[0] + s.standing.massGM2()).isCloseTo(200, within(1e-9));
        assertThat(s.nitrogen[0] + s.standing.nitrogen).isCloseTo(4, within(1e-9));
        // a degree warmer kills nothing: tender plants have a narrow range
        GroundState warm = state("buckwheat");
        warm.meanC = 6;
        warm.tminC = warm.plant[0].tenderC + 1;
        FrostKill.pass(warm);
        assertThat(warm.plantsM2[0]).isGreaterThan(95);
    }

    /** Under rye that has closed, buckwheat feels a night as if it were a degree and more warmer; nothing shelters it from itself. */
    @Test
    void companions_keep_some_of_the_cold_off() {
        double[] alive = new double[2];
        for (int with = 0; with < 2; with++) {
            GroundState s = state("cereal-rye", "buckwheat");
            s.leafArea[0] = 4 * with;
            s.leafArea[1] = 2;
            s.meanC = 0;
            s.tminC = s.plant[1].tenderC - 0.3;
            FrostKill.pass(s);
            alive[with] = s.plantsM2[1] / s.sownM2[1];
        }
        assertThat(alive[1]).isGreaterThan(alive[0] + 0.1);
        assertThat(alive[0]).isLessThan(0.6);
    }

    @Test
    void cool_days_harden_and_stems_undo_it() {
        GroundState s = state("cereal-rye");
        s.tminC = 2;
        s.meanC = 2;
        for (int d = 0; d < 60; d++) {
            FrostKill.pass(s);
        }
        assertThat(s.hardened[0]).isGreaterThan(0.95);
        s.stage[0] = 0.8;
        FrostKill.pass(s);
        assertThat(s.hardened[0]).isCloseTo(0.3, within(1e-9));
    }

    /** Two plants by hand: the taller has a quarter of its leaves above the other. */
    @Test
    void light_in_two_layers_by_hand() {
        GroundState s = state("cereal-rye", "crimson-clover");
        s.leafArea[0] = 2;
        s.height[0] = 0.8;
        s.leafArea[1] = 1.5;
        s.height[1] = 0.6;
        double a = s.plant[0].kind.extinction() * 2;
        double b = s.plant[1].kind.extinction() * 1.5;
        double top = 1 - Math.exp(-a / 4);
        double below = Math.exp(-a / 4) * (1 - Math.exp(-(0.75 * a + b)));
        double tall = top + below * 0.75 * a / (0.75 * a + b);
        double patches = (1 - Math.exp(-(a + b))) * a / (a + b);
        LightSharing.pass(s);
        assertThat(s.light[0]).isCloseTo(0.65 * tall + 0.35 * patches, within(1e-12));
        s.snowMm = 10;
        LightSharing.pass(s);
        assertThat(s.light[0] + s.light[1]).isZero();
    }

    /** Cold counts fully from 3 to 8 °C and not at all below -2 or above 14. */
    @ParameterizedTest
    @CsvSource({"5, 1", "-2, 0", "14, 0", "0.5, 0.5", "11, 0.5", "-10, 0", "25, 0"})
    void cold_that_counts(double mean, double days) {
        GroundState s = state("cereal-rye");
        s.meanC = mean;
        s.dayLengthH = 12;
        Development.pass(s);
        assertThat(s.vernal[0]).isCloseTo(days, within(1e-12));
    }

    /** Settled in the project's decisions: without a need for cold or long days a factor is 1, and never above it. */
    @Test
    void factors_of_stage_are_one_where_nothing_is_asked() {
        GroundPlant buckwheat = Trials.plant("buckwheat");
        assertThat(Development.vernalised(buckwheat, 0)).isEqualTo(1);
        assertThat(Development.byDayLength(buckwheat, 8)).isEqualTo(1);
        GroundPlant rye = Trials.plant("cereal-rye");
        assertThat(Development.vernalised(rye, 500)).isEqualTo(1);
        assertThat(Development.byDayLength(rye, 24)).isEqualTo(1);
        assertThat(Development.byDayLength(rye, 0)).isEqualTo(0.05);
    }

    /** Justes and others 1994, C3 cereals: 4.40 % up to 1.55 t/ha, 5.35 W^-0.442 above; Plenet and Lemaire 2000: 3.40 W^-0.37. From memory. */
    @ParameterizedTest
    @CsvSource({
        "winter-wheat, 1, 4.40",
        "winter-wheat, 5, 2.63",
        "winter-wheat, 10, 1.93",
        "sorghum-sudangrass, 0.5, 3.40",
        "sorghum-sudangrass, 10, 1.45"
    })
    void critical_nitrogen_of_published_curves(String species, double tHa, double percent) {
        assertThat(Trials.plant(species).criticalPercent(tHa * 100)).isCloseTo(percent, within(0.015));
    }

    @Test
    void growth_stops_at_the_least_nitrogen_and_is_free_above_the_critical() {
        GroundPlant rye = Trials.plant("cereal-rye");
        assertThat(DryMatter.nourished(rye, 100, 4.5)).isEqualTo(1);
        assertThat(DryMatter.nourished(rye, 800, 800 * 0.0065)).isEqualTo(0.02);
        assertThat(DryMatter.nourished(rye, 400, 6)).isBetween(0.1, 1.0);
    }

    /** 10 mm above field capacity in the top layer: three quarters go down in a day, with 75 % of their nitrate. */
    @Test
    void water_drains_with_its_nitrate() {
        GroundState s = state();
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            s.waterMm[l] = s.soil.capacityMm[l];
            s.nitrate[l] = 0;
        }
        s.waterMm[0] += 10;
        s.nitrate[0] = 4;
        double water = s.waterMm[0];
        WaterFlow.pass(s, 0);
        // a little more moves on to the drier layer below
        assertThat(s.waterMm[0]).isBetween(s.soil.capacityMm[0] + 2.3, s.soil.capacityMm[0] + 2.5);
        assertThat(s.nitrate[0]).isCloseTo(4 - 0.75 * 4 * 7.5 / water, within(1e-9));
        assertThat(s.books.drainageMm).isGreaterThan(0);
    }

    /** Bare wet soil loses 1.2 times the reference (FAO-56, chapter 7, where the basal coefficient is 0); full mulch spares six tenths. */
    @Test
    void bare_wet_soil_evaporates_freely() {
        GroundState s = state();
        s.waterMm[0] = s.soil.capacityMm[0];
        s.et0Mm = 4;
        WaterFlow.pass(s, 0);
        assertThat(s.books.evaporationMm).isCloseTo(4.8, within(1e-9));
        GroundState mulched = state();
        mulched.waterMm[0] = mulched.soil.capacityMm[0];
        mulched.surface.add(5000, 50, 0.005);
        mulched.et0Mm = 4;
        WaterFlow.pass(mulched, 0);
        assertThat(mulched.books.evaporationMm).isCloseTo(1.92, within(1e-6));
    }

    /** Layers of 10, 20, 30, 60 and 60 cm hold what the profile holds: silt loam 20 % by volume between the limits, by hand. */
    @Test
    void layers_hold_what_the_profile_holds() {
        var profile = new app.etlo.core.field.SoilProfile(
                List.of(new app.etlo.core.field.SoilProfile.Layer(
                        0,
                        1.8,
                        20,
                        15,
                        2.5,
                        0,
                        app.etlo.core.working.Origin.ENTERED,
                        app.etlo.core.working.Origin.ENTERED,
                        "x")),
                1.8);
        GroundSoil soil = GroundSoil.of(profile);
        double held = 0;
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            held += soil.availableMm(l);
        }
        assertThat(held).isCloseTo(profile.availableMm(), within(1e-6));
        assertThat(soil.rootedShare(2, 0.45)).isCloseTo(0.5, within(1e-12));
        assertThat(Trials.soil(Texture.SAND, 2, 0.45).rootedShare(3, 1.5)).isZero();
    }

    /** A tool that keeps 60 % of the residue and lays the stubble flat first: 40 % of all of it goes under. */
    @Test
    void a_pass_buries_and_flattens() {
        GroundState s = state();
        s.surface.add(400, 4, 0.005);
        s.standing.add(100, 1, 0.005);
        new GroundEvent.Pass(0, "p", 0.6, 1).actOn(s);
        assertThat(s.standing.massGM2()).isZero();
        assertThat(s.surface.massGM2()).isCloseTo(500 * 0.6, within(1e-9));
        assertThat(s.mixed.massGM2()).isCloseTo(500 * 0.4, within(1e-9));
    }

    /** Seed in dry soil waits; the same seed in moist soil comes up after its degree days. */
    @Test
    void seed_waits_for_moisture() {
        GroundState s = new GroundState(Trials.siltLoam(), new GroundPlant[] {Trials.plant("cereal-rye")});
        new GroundEvent.Sow(0, "s", 0, 200, false).actOn(s);
        s.soilC = 11;
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            s.waterMm[l] = s.soil.wiltingMm[l];
        }
        for (int d = 0; d < 30; d++) {
            Emergence.pass(s);
        }
        assertThat(s.status[0]).isEqualTo(GroundState.IN_SEEDBED);
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            s.waterMm[l] = s.soil.capacityMm[l];
        }
        // 95 degree days above 1 °C at 10 a day: the tenth day
        for (int d = 0; d < 9; d++) {
            Emergence.pass(s);
        }
        assertThat(s.status[0]).isEqualTo(GroundState.IN_SEEDBED);
        Emergence.pass(s);
        assertThat(s.status[0]).isEqualTo(GroundState.UP);
        assertThat(s.books.seedN).isEqualTo(s.nitrogen[0]);
    }

    @Test
    void every_species_and_crop_has_a_kind_and_one_without_is_told() {
        Trials.KNOWLEDGE
                .species()
                .all()
                .forEach(x -> assertThat(Trials.plant(x.id()).heightOfMass(500)).isPositive());
        Trials.KNOWLEDGE
                .crops()
                .all()
                .forEach(x -> assertThat(
                                Trials.KNOWLEDGE.plantKinds().crop(x.id()).rue())
                        .isPositive());
        assertThatThrownBy(() -> Trials.KNOWLEDGE.plantKinds().species("moon-clover"))
                .isInstanceOf(MissingPlantKind.class)
                .hasMessageContaining("moon-clover");
    }

    @Test
    void a_bad_kind_is_refused_by_file_line_and_column() {
        assertThatThrownBy(() -> KnowledgeLoader.shippedBut(Map.of(
                        "plant-kind-of.csv", "of,plant,kind,source,status\nspecies,cereal-rye,moss,growthown,own\n")))
                .hasMessageContaining("plant-kind-of.csv")
                .hasMessageContaining("line 2")
                .hasMessageContaining("kind");
    }

    /** A mower leaves a stubble with hardly a leaf; a roller leaves the plant lying, for good; both leave what they do not kill alive. */
    @Test
    void what_a_way_of_ending_leaves_alive_is_cut_or_laid() {
        for (String method : List.of("mow", "roller-crimper", "burndown")) {
            GroundState s = state("hairy-vetch");
            s.plantsM2[0] = 60;
            s.vigour[0] = 1;
            s.heightFactor[0] = 1;
            s.mass[0] = 300;
            s.nitrogen[0] = 10;
            s.leafArea[0] = 4;
            s.height[0] = 0.5;
            Survivors left = Trials.KNOWLEDGE.terminationMethods().get(method).survivors();
            double before = s.nitrogenIn();
            new GroundEvent.Terminate(1, "end", List.of(new GroundEvent.Kill(KillOfSpecies.whole(0.5), left)), 0)
                    .actOn(s);
            assertThat(s.plantsM2[0]).as(method).isCloseTo(30, within(1e-9));
            assertThat(s.leafArea[0]).as(method).isCloseTo(2 * left.leaf(), within(1e-9));
            assertThat(s.mass[0]).as(method).isCloseTo(150 * (1 - left.cut()), within(1e-9));
            assertThat(s.height[0]).as(method).isCloseTo(0.5 * left.height(), within(1e-9));
            assertThat(s.nitrogenIn()).as(method).isCloseTo(before, within(1e-9));
            assertThat(s.heightFactor[0]).as(method).isEqualTo(left.cut() > 0 ? 1 : left.height());
        }
    }

    /** Deep seed draws on the moister layer below while the top is dry; seed on top waits. */
    @Test
    void seed_that_lies_deeper_comes_up_from_a_dry_top() {
        double[] clock = new double[3];
        for (int i = 0; i < 3; i++) {
            GroundState s = state("winter-pea");
            s.status[0] = GroundState.IN_SEEDBED;
            s.depthCm[0] = i * 3;
            s.waterMm[0] = s.soil.wiltingMm[0];
            s.waterMm[1] = s.soil.wiltingMm[1] + 0.3 * s.soil.availableMm(1);
            s.soilC = 12;
            Emergence.pass(s);
            clock[i] = s.seedClock[0];
        }
        assertThat(clock[0]).isZero();
        assertThat(clock[1]).isPositive().isLessThan(clock[2]);
    }
}
