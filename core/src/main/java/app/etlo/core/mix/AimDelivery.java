package app.etlo.core.mix;

import app.etlo.core.knowledge.Group;
import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * What a stand of a species delivers for an aim: always so much per dry tops, so that the parts of a mix add up and a linear
 * programme can weigh them.
 */
public final class AimDelivery {
    private static final Source OWN = Source.own("Etlo's own measure, linear in the dry tops");
    private static final Source BALANCE = Source.identity("nitrogen or carbon held = mass x content");
    private static final double[] DIGESTIBLE = {0, 0.5, 0.6, 0.7};
    private static final double[] GRADE = {0, 0.5, 1};
    private static final double[] PHOSPHORUS_GRADE = {0.3, 0.6, 1};
    /** Residue of this C:N and above lasts as a mulch. */
    private static final double LASTING_CN = 25;
    /** Where no pan is measured. */
    private static final double USUAL_PAN_CM = 30;
    /** Dry tops per mm of water transpired, kg/ha: grasses of warm seasons use it better. */
    private static final double WATER_EFFICIENCY = 30;

    private static final double WARM_GRASS_EFFICIENCY = 45;

    /** What must live when the cover ends, or what it left to frost: all other aims are served while it grows. */
    private static final Set<String> AT_END = Set.of("fix-nitrogen", "mulch", "nurse");

    private record Rule(String label, Unit unit, Formula formula) {}

    /**
     * From how much on an aim is served.
     *
     * @param some that can be noticed, in the aim's unit
     * @param well that a grower can count on
     */
    public record Useful(double some, double well) {}

    /** Of what is noticed and what is counted on: round. Mulch: some 8,000 lb/ac keep weeds down (common practice). */
    public static final Source USEFUL = Source.own("round amounts, after what covers are credited with in handbooks");

    private static final Map<String, Useful> AMOUNTS = Map.ofEntries(
            Map.entry("fix-nitrogen", new Useful(35, 75)),
            Map.entry("catch-nitrogen", new Useful(20, 45)),
            Map.entry("suppress-weeds", new Useful(2, 4)),
            Map.entry("protect-soil", new Useful(1, 2)),
            Map.entry("build-organic-matter", new Useful(1000, 2500)),
            Map.entry("loosen-pan", new Useful(0.8, 2)),
            Map.entry("manage-water", new Useful(30, 70)),
            Map.entry("feed-stock", new Useful(1, 2)),
            Map.entry("feed-pollinators", new Useful(10, 21)),
            Map.entry("break-pests", new Useful(1.5, 3)),
            Map.entry("mulch", new Useful(4, 8)),
            Map.entry("lift-phosphorus", new Useful(5, 10)),
            Map.entry("nurse", new Useful(0.4, 1)));

    private static final Map<String, Rule> RULES = new TreeMap<>(Map.ofEntries(
            rule(
                    "fix-nitrogen",
                    "Nitrogen fixed",
                    Unit.KG_PER_HA,
                    "mass * n / 100 * fixed / 100",
                    BALANCE,
                    "n",
                    "fixed"),
            rule(
                    "catch-nitrogen",
                    "Nitrogen taken from the soil",
                    Unit.KG_PER_HA,
                    "mass * n / 100 * (1 - fixed / 100)",
                    BALANCE,
                    "n",
                    "fixed"),
            rule("suppress-weeds", "Canopy that competes", Unit.T_PER_HA, "mass * competes / 1000", OWN, "competes"),
            rule("protect-soil", "Cover that holds soil", Unit.T_PER_HA, "mass * roots / 1000", OWN, "roots"),
            rule(
                    "build-organic-matter",
                    "Carbon in tops and roots",
                    Unit.KG_PER_HA,
                    "mass * c / 100 * (1 + root)",
                    BALANCE,
                    "c",
                    "root"),
            rule(
                    "loosen-pan",
                    "Stand that roots through",
                    Unit.T_PER_HA,
                    "mass * grade * reach / 1000",
                    OWN,
                    "grade",
                    "reach"),
            rule(
                    "manage-water",
                    "Water used",
                    Unit.MILLIMETRE,
                    "mass / efficiency * direction",
                    Source.fromMemory("water use = dry matter / transpiration efficiency, as in Tanner and Sinclair"
                            + " (1983); efficiencies rounded"),
                    "efficiency",
                    "direction"),
            rule("feed-stock", "Digestible dry matter", Unit.T_PER_HA, "mass * digestible / 1000", OWN, "digestible"),
            rule(
                    "feed-pollinators",
                    "Days in flower, by presence",
                    Unit.DAY,
                    "bloom * grade * mass / full",
                    OWN,
                    "bloom",
                    "grade",
                    "full"),
            rule("break-pests", "Stand that is not a host", Unit.T_PER_HA, "mass * host / 1000", OWN, "host"),
            rule("mulch", "Lasting mulch", Unit.T_PER_HA, "mass * lasting / 1000", OWN, "lasting"),
            rule(
                    "lift-phosphorus",
                    "Phosphorus in the tops",
                    Unit.KG_PER_HA,
                    "mass * 0.003 * grade",
                    Source.own("0.3 % of phosphorus in dry tops, by how well it takes up what is hard to reach"),
                    "grade"),
            rule("nurse", "Shelter for a young crop", Unit.T_PER_HA, "mass * gentle / 1000", OWN, "gentle")));

    private static Map.Entry<String, Rule> rule(
            String aim, String label, Unit unit, String expression, Source source, String... symbols) {
        List<String> all = new ArrayList<>(List.of("mass"));
        all.addAll(Arrays.asList(symbols));
        return Map.entry(aim, new Rule(label, unit, Formula.of(label, expression, source, all.toArray(String[]::new))));
    }

    private final MixPlace place;

    public AimDelivery(MixPlace place) {
        this.place = place;
    }

    /** Whether an aim can be measured. */
    public static boolean measures(String aim) {
        return RULES.containsKey(aim);
    }

    /** Whether it grows with the mass alone, so that the mass's error is its own. */
    static boolean isOfMass(String aim) {
        return unit(aim) != Unit.DAY && unit(aim) != Unit.MILLIMETRE;
    }

    public static Unit unit(String aim) {
        return RULES.get(aim).unit();
    }

    /** From how much on it is served. */
    public static Useful useful(String aim) {
        return AMOUNTS.get(aim);
    }

    public static String label(String aim) {
        return RULES.get(aim).label();
    }

    /**
     * The dry tops of one species that count for an aim, kg/ha by member: those that live at the end for what is wanted then, else the
     * most it has weighed. A legume that frost took in November fixes nothing for a crop in May.
     */
    public static double[] counted(String aim, SeasonGrowth growth, int of) {
        Prospect p = growth.species().get(of);
        return AT_END.contains(aim) && !growth.leftToFrost() ? p.standsKgHa() : p.grownKgHa();
    }

    /**
     * What a mass of a species delivers.
     *
     * @param mass its dry tops that count for the aim, kg/ha
     * @param wholeKgHa what all species together have grown
     */
    public Figure figure(String id, String aim, Prospect p, Input mass, double wholeKgHa) {
        Rule rule = RULES.get(aim);
        List<Input> inputs = new ArrayList<>(List.of(mass));
        inputs.addAll(inputs(aim, p, wholeKgHa));
        return rule.formula().figure(id, rule.label() + ", " + p.species().name(), rule.unit(), inputs);
    }

    /** What so much of a species, kg/ha, delivers beside others, in the aim's unit. */
    public double value(String aim, Prospect p, double massKgHa, double wholeKgHa) {
        return figure(
                        "",
                        aim,
                        p,
                        Input.of("mass", "Dry tops", massKgHa, Unit.KG_PER_HA, Origin.FORECAST, ""),
                        wholeKgHa)
                .middle();
    }

    private List<Input> inputs(String aim, Prospect p, double wholeKgHa) {
        Species s = p.species();
        return switch (aim) {
            case "fix-nitrogen", "catch-nitrogen" ->
                List.of(
                        simulated("n", "Nitrogen in the tops", p.nitrogenShare() * 100, Unit.PERCENT),
                        share("fixed", "Share of it fixed", s.growth().fixedShare() * 100, s, "fixedPercent"));
            case "suppress-weeds" ->
                List.of(factor("competes", "Competitiveness", s.growth().competitiveness(), s, "competitiveness"));
            case "protect-soil" ->
                List.of(factor("roots", "How its roots hold soil", s.taproot() ? 0.9 : 1.2, s, "rootType"));
            case "build-organic-matter" ->
                List.of(
                        Input.of(
                                "c",
                                "Carbon in the tops",
                                Prospect.CARBON_SHARE * 100,
                                Unit.PERCENT,
                                Origin.LIBRARY,
                                "42 to 45 % in published tables"),
                        factor("root", "Roots per tops", s.taproot() ? 0.25 : 0.4, s, "rootType"));
            case "loosen-pan" ->
                List.of(
                        factor("grade", "How it loosens", GRADE[s.use().loosens()], s, "loosens"),
                        factor("reach", "How far past the pan", reach(s), s, "rootDepthM"));
            case "manage-water" ->
                List.of(
                        Input.of(
                                "efficiency",
                                "Dry tops per amount of water",
                                s.group() == Group.WARM_GRASS ? WARM_GRASS_EFFICIENCY : WATER_EFFICIENCY,
                                Unit.KG_PER_HA,
                                Origin.LIBRARY,
                                "transpiration efficiency"),
                        Input.of(
                                "direction",
                                place.isWet() ? "Wet ground: use is wanted" : "Dry ground: use costs",
                                place.isWet() ? 1 : -1,
                                Unit.FRACTION,
                                place.drainage().isPresent() ? Origin.ENTERED : Origin.DEFAULT,
                                "drainage of the field"));
            case "feed-stock" ->
                List.of(factor(
                        "digestible", "Digestible share", DIGESTIBLE[s.use().forage()], s, "forage"));
            case "feed-pollinators" ->
                List.of(
                        simulated("bloom", "Days in flower", p.middleBloomDays(), Unit.DAY),
                        factor("grade", "Worth to insects", GRADE[s.use().insects()], s, "insects"),
                        simulated("full", "Dry tops of all species", Math.max(1, wholeKgHa), Unit.KG_PER_HA));
            case "break-pests" -> List.of(factor("host", "No host of what is feared", host(s), s, "hosts"));
            case "mulch" ->
                List.of(simulated(
                        "lasting",
                        "How it lasts, by C:N",
                        Math.min(1, p.carbonToNitrogen() / LASTING_CN),
                        Unit.FRACTION));
            case "lift-phosphorus" ->
                List.of(factor(
                        "grade",
                        "How it takes up phosphorus",
                        PHOSPHORUS_GRADE[s.use().liftsPhosphorus()],
                        s,
                        "liftsPhosphorus"));
            case "nurse" -> List.of(factor("gentle", "Shade without choking", gentle(s), s, "competitiveness"));
            default -> throw new IllegalArgumentException("no measure of aim '" + aim + "'");
        };
    }

    private double reach(Species s) {
        return Math.min(1, s.rootDepthM() * 100 / (2 * place.panDepthCm().orElse(USUAL_PAN_CM)));
    }

    private static double gentle(Species s) {
        boolean yearly = !s.growth().isPerennial();
        return yearly ? Math.max(0, 1.2 - s.growth().competitiveness()) : 0;
    }

    /** 1 for no host of the neighbours' pests, 1.5 where it helps against one of them, -1 for a host or kin. */
    private double host(Species s) {
        List<String> feared = new ArrayList<>();
        place.next().ifPresent(n -> feared.addAll(n.crop().growing().sharedPests()));
        place.previous().ifPresent(n -> feared.addAll(n.growing().sharedPests()));
        boolean kin =
                place.next().filter(n -> n.crop().family().equals(s.family())).isPresent();
        if (kin || sharedPest(s, feared).isPresent()) {
            return -1;
        }
        return s.use().breaks().stream().anyMatch(b -> feared.stream().anyMatch(f -> meets(b, f))) ? 1.5 : 1;
    }

    static Optional<String> sharedPest(Species s, List<String> feared) {
        return s.use().hosts().stream()
                .filter(h -> feared.stream().anyMatch(f -> meets(h, f)))
                .findFirst();
    }

    private static boolean meets(String one, String other) {
        String a = one.toLowerCase(java.util.Locale.ROOT);
        String b = other.toLowerCase(java.util.Locale.ROOT);
        return a.contains(b) || b.contains(a);
    }

    private static Input simulated(String symbol, String label, double value, Unit unit) {
        return Input.of(symbol, label, value, unit, Origin.FORECAST, "simulated, the middle of the weather years");
    }

    private static Input share(String symbol, String label, double value, Species s, String column) {
        return Input.of(
                symbol,
                label,
                value,
                Unit.PERCENT,
                Origin.LIBRARY,
                s.sourceOf(column).text());
    }

    private static Input factor(String symbol, String label, double value, Species s, String column) {
        return Input.of(
                symbol,
                label,
                value,
                Unit.FRACTION,
                Origin.LIBRARY,
                s.sourceOf(column).text());
    }
}
