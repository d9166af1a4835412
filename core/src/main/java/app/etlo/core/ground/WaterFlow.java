package app.etlo.core.ground;

/**
 * Water through the layers, in the order infiltrate, evaporate, drain, even out, transpire. Runoff by a curve number that falls with cover
 * and rises as pores fill (USDA NRCS; scaling by free pores is Etlo's own). Evaporation and plant use by the dual crop coefficient
 * of FAO-56, chapter 7: the surface dries freely at first, then slower; residue spares half and more (chapter 10). Of what is
 * above field capacity three quarters drain in a day, with nitrate; what leaves the layer above 1.2 m is lost to most of what grows next and booked as such. A little moves to a drier layer above or below. What several plants want
 * of one layer is asked first and cut by one factor.
 */
final class WaterFlow {
    private static final double FREELY_EVAPORABLE_MM = 9;
    private static final double MOST_COEFFICIENT = 1.2;
    private static final double BASAL = 1.08;
    private static final double DRAINS = 0.75;
    private static final double NITRATE_MIXED = 0.75;
    private static final double MOVES = 0.07;
    /** Share of the evaporation that full cover by residue spares, and of the depth to which the ground dries (FAO-56, chapter 10: half). */
    private static final double RESIDUE_SPARES = 0.6;

    private static final double RESIDUE_SHALLOWS = 0.4;
    /** Share of the available water that can go before plants lack it (FAO-56, table 22). */
    private static final double READILY = 0.55;

    private WaterFlow() {}

    static void pass(GroundState s, double arrivingMm) {
        pass(s, arrivingMm, 1 - Math.exp(-s.leafExtinction()));
    }

    /**
     * @param cover share of the ground under living leaves
     */
    static void pass(GroundState s, double arrivingMm, double cover) {
        double residue = s.residueCover();
        infiltrate(s, arrivingMm, cover, residue);
        double basal = BASAL * cover;
        evaporate(s, cover, basal, residue);
        drain(s);
        even(s);
        transpire(s, basal * s.et0Mm);
    }

    private static void infiltrate(GroundState s, double mm, double cover, double residue) {
        if (mm <= 0) {
            return;
        }
        double runoff = runoff(s, mm, cover, residue);
        double in = mm - runoff;
        for (int l = 0; l < GroundSoil.LAYERS && in > 0; l++) {
            double room = Math.min(in, Math.max(0, s.soil.saturationMm[l] - s.waterMm[l]));
            s.waterMm[l] += room;
            in -= room;
        }
        s.books.runoffMm += runoff + in;
    }

    private static double runoff(GroundState s, double mm, double cover, double residue) {
        double free = 0;
        double pores = 0;
        for (int l = 0; l < 3; l++) {
            free += Math.max(0, s.soil.saturationMm[l] - s.waterMm[l]);
            pores += s.soil.saturationMm[l] - s.soil.wiltingMm[l];
        }
        double number = 82 - 8 * cover - 8 * residue;
        double storage = 254 * (100 / number - 1) * 2 * free / pores;
        double excess = mm - 0.2 * storage;
        return excess <= 0 ? 0 : excess * excess / (mm + 0.8 * storage);
    }

    private static void evaporate(GroundState s, double cover, double basal, double residue) {
        double depletion = Math.max(0, s.soil.capacityMm[0] - s.waterMm[0]);
        double wet = depletion <= FREELY_EVAPORABLE_MM
                ? 1
                : Math.max(
                        0,
                        (s.soil.evaporableMm - depletion) / Math.max(1e-9, s.soil.evaporableMm - FREELY_EVAPORABLE_MM));
        double coefficient = Math.min(wet * (MOST_COEFFICIENT - basal), (1 - cover) * MOST_COEFFICIENT)
                * (1 - RESIDUE_SPARES * residue);
        double can = Math.max(0, (1 - RESIDUE_SHALLOWS * residue) * s.soil.evaporableMm - depletion);
        double mm = s.lyingSnowMm() > 0 ? 0 : Math.max(0, Math.min(coefficient * s.et0Mm, can));
        s.waterMm[0] -= mm;
        s.books.evaporationMm += mm;
    }

    private static void drain(GroundState s) {
        double in = 0;
        double inN = 0;
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            s.waterMm[l] += in;
            s.nitrate[l] += inN;
            double water = s.waterMm[l];
            double out = DRAINS * Math.max(0, water - s.soil.capacityMm[l]);
            // what the layer cannot hold passes on the same day
            out = Math.max(out, water - s.soil.saturationMm[l]);
            double outN = out > 0 ? NITRATE_MIXED * s.nitrate[l] * out / water : 0;
            s.waterMm[l] -= out;
            s.nitrate[l] -= outN;
            in = out;
            inN = outN;
            if (l == GroundSoil.LAST_OF_ROOTS) {
                s.books.belowRootsN += outN;
            }
        }
        s.books.drainageMm += in;
        s.books.leachedN += inN;
    }

    /**
     * Between two layers water moves to the drier; a dry soil hardly conducts, so that it falls with the square of the water of the layer it
     * comes from.
     */
    private static void even(GroundState s) {
        for (int l = 0; l + 1 < GroundSoil.LAYERS; l++) {
            double above = s.relativeWater(l);
            double below = s.relativeWater(l + 1);
            boolean up = below > above;
            double from = Math.max(0, Math.min(1, up ? below : above));
            double apart = Math.min(1, Math.abs(below - above));
            int source = up ? l + 1 : l;
            double mm = MOVES * from * from * apart * s.soil.availableMm(l);
            mm = Math.min(mm, Math.max(0, s.waterMm[source] - s.soil.wiltingMm[source]));
            s.waterMm[l] += up ? mm : -mm;
            s.waterMm[l + 1] += up ? -mm : mm;
        }
    }

    private static void transpire(GroundState s, double wantedMm) {
        double light = 0;
        for (int i = 0; i < s.liveCount; i++) {
            light += s.light[s.live[i]];
        }
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            s.drawn[l] = 0;
            s.supply[l] = Math.max(0, s.waterMm[l] - s.soil.wiltingMm[l]);
        }
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            s.watered[p] = 1;
            s.demand[p] = light > 0 ? wantedMm * s.light[p] / light : 0;
            if (s.demand[p] > 0) {
                ask(s, p);
            }
        }
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            s.drawn[l] = s.drawn[l] > s.supply[l] ? s.supply[l] / s.drawn[l] : 1;
        }
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            if (s.demand[p] > 0) {
                double got = 0;
                for (int l = 0; l < s.reaches[p]; l++) {
                    double mm = s.claim[p][l] * s.drawn[l];
                    s.waterMm[l] -= mm;
                    got += mm;
                }
                s.books.transpirationMm += got;
                s.watered[p] = Math.min(1, got / s.demand[p]);
            }
        }
    }

    /** What a plant asks of each layer: by the water its roots reach there, less when its root zone is dry. */
    private static void ask(GroundState s, int p) {
        double reach = 0;
        double held = 0;
        int layers = s.soil.layersReached(s.root[p]);
        s.reaches[p] = layers;
        for (int l = 0; l < layers; l++) {
            double rooted = s.soil.rootedShare(l, s.root[p]);
            s.claim[p][l] = rooted * s.supply[l];
            reach += s.claim[p][l];
            held += rooted * s.soil.availableMm(l);
        }
        double stress = held > 0 ? Math.min(1, reach / (held * (1 - READILY))) : 0;
        double mm = Math.min(s.demand[p] * stress, reach);
        double each = reach > 0 ? mm / reach : 0;
        for (int l = 0; l < layers; l++) {
            s.claim[p][l] *= each;
            s.drawn[l] += s.claim[p][l];
        }
    }
}
