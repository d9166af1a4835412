package app.etlo.core.ground;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.field.Texture;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.weather.Climate;
import app.etlo.core.working.Origin;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

/** Laws of the field that the simulation keeps in every weather year: more of one thing never gives less of another. */
class FieldLawsTest {
    private static final List<Climate> CLIMATES =
            List.of(Trials.NORTH, Trials.AT_36, Trials.MARITIME, Trials.COLD, Trials.MILD);
    private static final List<String> GRASSES =
            List.of("cereal-rye", "winter-triticale", "winter-wheat", "winter-barley");

    private static Trials.Grown ryeBesideVetch(Climate c, double rye, double vetch) {
        return Trials.at(c, "2025-08-15", "2026-05-25")
                .sow("cereal-rye", rye, "2025-09-10")
                .sow("hairy-vetch", vetch, "2025-09-10")
                .run();
    }

    /** Of years in which frost kills neither. */
    @Property(tries = 25)
    void less_rye_never_gives_less_vetch(
            @ForAll @IntRange(max = 4) int place,
            @ForAll @DoubleRange(min = 20, max = 200) double rye,
            @ForAll @DoubleRange(min = 0.2, max = 0.9) double less,
            @ForAll @DoubleRange(min = 15, max = 80) double vetch) {
        Trials.Grown thick = ryeBesideVetch(CLIMATES.get(place), rye, vetch);
        Trials.Grown thin = ryeBesideVetch(CLIMATES.get(place), rye * less, vetch);
        int r = thick.at("2026-05-20");
        for (int m = 0; m < thick.course().members(); m++) {
            boolean spared = true;
            for (Trials.Grown g : List.of(thick, thin)) {
                for (int p = 0; p < 2; p++) {
                    spared &= g.course().plant(r, p, OfPlant.STAND, m) > 0.95;
                }
            }
            if (spared) {
                assertThat(thin.course().plant(r, 1, OfPlant.MASS_KG_HA, m))
                        .as("year " + m)
                        .isGreaterThanOrEqualTo(0.98 * thick.course().plant(r, 1, OfPlant.MASS_KG_HA, m));
            }
        }
    }

    private static GroundSoil withNitrate(double factor) {
        return GroundSoil.of(
                new SoilProfile(
                        List.of(new SoilProfile.Layer(
                                0,
                                1.5,
                                Texture.SILT_LOAM.sandPercent(),
                                Texture.SILT_LOAM.clayPercent(),
                                2,
                                0,
                                Origin.ENTERED,
                                Origin.ENTERED,
                                "trial")),
                        1.8),
                GroundVariation.nitrate(factor));
    }

    /** Of a grass or brassica that is watered. */
    @Property(tries = 25)
    void more_nitrogen_in_the_soil_never_gives_less_in_the_tops(
            @ForAll @IntRange(max = 4) int place,
            @ForAll @IntRange(max = 3) int species,
            @ForAll @DoubleRange(min = 0.2, max = 2) double start,
            @ForAll @DoubleRange(min = 1.05, max = 3) double more) {
        String id = List.of("cereal-rye", "spring-oats", "daikon-radish", "white-mustard")
                .get(species);
        double[][] n = new double[2][];
        for (int i = 0; i < 2; i++) {
            Trials.Grown g = Trials.at(CLIMATES.get(place), "2025-08-01", "2025-11-20")
                    .on(withNitrate(i == 0 ? start : start * more))
                    .sow(id, 120, "2025-08-15")
                    .water("2025-08-16", 7, 12, 15)
                    .run();
            n[i] = g.course().plant(g.at("2025-11-01"), 0, OfPlant.NITROGEN_KG_HA);
        }
        for (int m = 0; m < n[0].length; m++) {
            assertThat(n[1][m]).as(id + ", year " + m).isGreaterThanOrEqualTo(n[0][m] * (1 - 1e-3) - 0.1);
        }
    }

    /**
     * By at most 3 mm; by a little more where a storm has just filled the soil: what is drier under a living cover takes in what the wet ground
     * of a dead one sheds.
     */
    @Property(tries = 20)
    void a_cover_killed_later_leaves_no_more_water_on_the_day_of_the_later_kill(
            @ForAll @IntRange(max = 4) int place, @ForAll @IntRange(min = 5, max = 40) int later) {
        LocalDate early = LocalDate.of(2026, 4, 10);
        String then = early.plusDays(later).toString();
        double[][] water = new double[2][];
        double full = IntStream.range(0, GroundSoil.LAYERS)
                .mapToDouble(l -> Trials.siltLoam().reachableMm(l, 1))
                .sum();
        for (int i = 0; i < 2; i++) {
            Trials t = Trials.at(CLIMATES.get(place), "2025-09-01", "2026-06-15");
            // something that does nothing on that day, so that both are recorded on the evening before
            Trials.Grown g = t.sow("cereal-rye", 220, "2025-09-20")
                    .kill(i == 0 ? early.toString() : then)
                    .event(new GroundEvent.Pass(t.day(then), "nothing", 1, 0))
                    .run();
            water[i] = g.course().ground(g.at(then), OfGround.AVAILABLE_WATER_MM);
        }
        for (int m = 0; m < water[0].length; m++) {
            double allowed = water[1][m] > 0.97 * full ? 8 : 3;
            assertThat(water[1][m])
                    .as("year " + m)
                    .isBetween(0.0, full + 0.01)
                    .isLessThanOrEqualTo(water[0][m] + allowed);
        }
    }

    @Property(tries = 100)
    void more_residue_never_lowers_its_cover(
            @ForAll @DoubleRange(min = 20, max = 800) double massGM2,
            @ForAll @DoubleRange(min = 1.05, max = 3) double more,
            @ForAll @DoubleRange(min = 10, max = 90) double carbonToNitrogen,
            @ForAll @DoubleRange(min = -2, max = 30) double soilC,
            @ForAll boolean fragile) {
        GroundState few = new GroundState(Trials.siltLoam(), new GroundPlant[0]);
        GroundState many = new GroundState(Trials.siltLoam(), new GroundPlant[0]);
        few.surface.add(massGM2, massGM2 * 0.43 / carbonToNitrogen, 0.005, fragile);
        many.surface.add(more * massGM2, more * massGM2 * 0.43 / carbonToNitrogen, 0.005, fragile);
        for (int d = 0; d < 250; d++) {
            for (GroundState s : List.of(few, many)) {
                s.soilC = soilC;
                s.meanC = soilC;
                ResidueDecay.pass(s);
            }
            assertThat(many.residueCover()).as("day " + d).isGreaterThanOrEqualTo(few.residueCover() - 1e-9);
        }
    }

    /** With hardening, snow and the mean of the day as they were. */
    @Property(tries = 200)
    void one_night_colder_never_raises_survival(
            @ForAll @DoubleRange(min = -35, max = 2) double tminC,
            @ForAll @DoubleRange(min = 0, max = 10) double colder,
            @ForAll @DoubleRange(min = 0, max = 60) double snowMm,
            @ForAll @DoubleRange(min = 0, max = 1) double hardened,
            @ForAll @IntRange(max = 3) int species) {
        String id = List.of("cereal-rye", "crimson-clover", "red-clover", "daikon-radish")
                .get(species);
        double[] left = new double[2];
        for (int i = 0; i < 2; i++) {
            GroundState s = new GroundState(Trials.siltLoam(), new GroundPlant[] {Trials.plant(id)});
            new GroundEvent.Sow(0, "s", 0, 100, false).actOn(s);
            s.status[0] = GroundState.UP;
            s.mass[0] = 100;
            s.leafArea[0] = 1;
            s.nitrogen[0] = 4;
            s.hardened[0] = hardened;
            s.snowMm = snowMm;
            s.meanC = -2;
            s.tminC = tminC - i * colder;
            FrostKill.pass(s);
            left[i] = s.plantsM2[0];
        }
        assertThat(left[1]).as(id).isLessThanOrEqualTo(left[0] + 1e-9);
    }

    @Property(tries = 12)
    void carbon_to_nitrogen_of_a_maturing_grass_never_falls_after_bloom(
            @ForAll @IntRange(max = 4) int place, @ForAll @IntRange(max = 3) int species) {
        Trials.Grown g = Trials.at(CLIMATES.get(place), "2025-09-01", "2026-07-25")
                .sow(GRASSES.get(species), 220, "2025-09-20")
                .run();
        GroundCourse c = g.course();
        for (int m = 0; m < c.members(); m++) {
            double before = 0;
            for (int r = 0; r < c.records(); r++) {
                double mass = c.plant(r, 0, OfPlant.MASS_KG_HA, m);
                if (c.plant(r, 0, OfPlant.STAGE, m) >= 1 && mass > 500) {
                    double cn = 0.43 * mass / c.plant(r, 0, OfPlant.NITROGEN_KG_HA, m);
                    assertThat(cn).as("year " + m + ", record " + r).isGreaterThanOrEqualTo(before * 0.995);
                    before = cn;
                }
            }
        }
    }
}
