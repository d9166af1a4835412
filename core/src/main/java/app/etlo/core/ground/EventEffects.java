package app.etlo.core.ground;

import app.etlo.core.knowledge.Survivors;

/** What events do to the state. */
final class EventEffects {
    private static final double RIPE = 2;
    /** Dung of grazed matter that stays as residue. */
    private static final double DUNG_SHARE = 0.3;

    private EventEffects() {}

    static void begin(GroundEvent.Begin e, GroundState s) {
        double before = s.nitrogenIn();
        s.leave(e.left());
        s.books.correctedN += s.nitrogenIn() - before;
        for (int l = 0; l <= GroundSoil.LAST_OF_ROOTS; l++) {
            double over = s.waterMm[l] - s.soil.wiltingMm[l] - e.mostWaterShare() * s.soil.availableMm(l);
            if (e.mostWaterShare() < 1 && over > 0) {
                s.waterMm[l] -= over;
                s.books.transpirationMm += over;
            }
        }
    }

    static void fertilise(GroundEvent.Fertilise e, GroundState s) {
        s.nitrate[0] += e.nitrogenGM2();
        s.books.fertiliserN += e.nitrogenGM2();
    }

    static void irrigate(GroundEvent.Irrigate e, GroundState s) {
        s.irrigationMm += e.mm();
    }

    private static boolean isLive(GroundState s, int p) {
        return s.status[p] == GroundState.IN_SEEDBED || s.status[p] == GroundState.UP;
    }

    static void harvest(GroundEvent.Harvest e, GroundState s) {
        int p = e.plant();
        if (!isLive(s, p)) {
            return;
        }
        double n = s.nitrogen[p] * e.removedNitrogenShare();
        s.mass[p] *= 1 - e.removedShare();
        s.nitrogen[p] -= n;
        s.books.removedN += n;
        s.kill(p, 1, e.standingShare());
        s.leave(p);
    }

    static void terminate(GroundEvent.Terminate e, GroundState s) {
        for (int i = s.liveCount - 1; i >= 0; i--) {
            int p = s.live[i];
            if (p < e.killedShare().size()) {
                GroundEvent.Kill kill = e.killedShare().get(p);
                end(s, p, kill.of().share(s.stage[p], s.height[p], s.recentAirC), e.standingShare());
                if (s.status[p] == GroundState.UP && !kill.equals(GroundEvent.Kill.NONE)) {
                    maim(s, p, kill.left());
                }
            }
        }
    }

    /** What a way of ending leaves alive is cut, laid or stunted. */
    private static void maim(GroundState s, int p, Survivors left) {
        s.vigour[p] *= left.grow();
        s.leafArea[p] *= left.leaf();
        s.height[p] *= left.height();
        if (left.cut() == 0) {
            // what was laid down stays low; what was cut rises again with its mass
            s.heightFactor[p] *= left.height();
        }
        double cut = s.mass[p] * left.cut();
        double cutN = s.nitrogen[p] * left.cut();
        s.surface.add(cut, cutN, s.plant[p].coverM2G, s.plant[p].fragile);
        s.mass[p] -= cut;
        s.nitrogen[p] -= cutN;
    }

    /** Kills a share; a stand of which next to nothing is left is gone. */
    private static void end(GroundState s, int p, double share, double standingShare) {
        if (share <= 0) {
            return;
        }
        s.kill(p, share, standingShare);
        if (share >= 1 || s.plantsM2[p] < 1e-3 * s.sownM2[p]) {
            s.kill(p, 1, standingShare);
            s.leave(p);
        }
    }

    static void graze(GroundEvent.Graze e, GroundState s) {
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            double mass = s.mass[p] * e.eatenShare();
            double n = s.nitrogen[p] * e.eatenShare();
            double back = n * e.returnedShare();
            s.mass[p] -= mass;
            s.nitrogen[p] -= n;
            s.leafArea[p] *= 1 - e.eatenShare();
            s.height[p] *= 1 - e.eatenShare();
            s.nitrate[0] += 0.7 * back;
            s.surface.add(mass * DUNG_SHARE, 0.3 * back, s.plant[p].coverM2G, true);
            s.books.removedN += n - back;
        }
    }

    static void pass(GroundEvent.Pass e, GroundState s) {
        s.standing.move(e.flattenedShare(), s.surface);
        double fragile = s.surface.fragileShare();
        s.surface.move(1 - e.keptShare() * (1 - fragile) - e.keptFragileShare() * fragile, s.mixed);
    }

    static void sow(GroundEvent.Sow e, GroundState s) {
        int p = e.plant();
        if (s.status[p] != GroundState.NOT_SOWN || e.plantsM2() <= 0) {
            return;
        }
        s.status[p] = GroundState.IN_SEEDBED;
        s.plantsM2[p] = e.plantsM2();
        s.sownM2[p] = e.plantsM2();
        s.depthCm[p] = e.depthCm();
        s.fixing[p] = 1;
        s.heightFactor[p] = 1;
        s.vigour[p] = 1;
        s.join(p);
    }

    static void observe(GroundEvent.Observe e, GroundState s) {
        int p = e.plant();
        if (s.status[p] != GroundState.UP) {
            return;
        }
        double n = s.nitrogen[p] * (e.massFactor() - 1);
        s.mass[p] *= e.massFactor();
        s.leafArea[p] *= e.massFactor();
        s.nitrogen[p] += n;
        s.plantsM2[p] *= e.standFactor();
        s.sownM2[p] *= e.standFactor();
        s.books.correctedN += n;
        s.fixing[p] = e.fixing();
        s.stage[p] = Math.max(0, Math.min(RIPE, s.stage[p] + e.stageChange()));
        s.height[p] *= e.heightFactor();
        s.heightFactor[p] *= e.heightFactor();
        s.peakMass[p] = s.mass[p];
        s.peakNitrogen[p] = s.nitrogen[p];
    }

    static void stand(GroundEvent.Stand e, GroundState s) {
        double mass = 0;
        double nitrogen = 0;
        for (int p : e.plants()) {
            mass += s.status[p] == GroundState.UP ? s.mass[p] : 0;
            nitrogen += s.status[p] == GroundState.UP ? s.nitrogen[p] : 0;
        }
        if (mass <= 0 || nitrogen <= 0) {
            return;
        }
        double massFactor = e.massGM2() > 0 ? e.massGM2() / mass : 1;
        double nitrogenFactor = e.nitrogenShare() > 0 ? e.nitrogenShare() * mass * massFactor / nitrogen : massFactor;
        for (int p : e.plants()) {
            if (s.status[p] == GroundState.UP) {
                s.books.correctedN += s.nitrogen[p] * (nitrogenFactor - 1);
                s.mass[p] *= massFactor;
                s.leafArea[p] *= massFactor;
                s.nitrogen[p] *= nitrogenFactor;
                s.peakMass[p] = s.mass[p];
                s.peakNitrogen[p] = s.nitrogen[p];
            }
        }
    }
}
