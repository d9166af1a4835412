package app.etlo.core.ground;

/** What went in and out since the start, so that the balances can be closed: water in mm, nitrogen in g/m2. */
final class GroundBooks {
    double rainMm;
    double irrigationMm;
    double evaporationMm;
    double transpirationMm;
    double drainageMm;
    double runoffMm;
    double leachedN;
    /** Nitrate that went below the roots that matter, 1.2 m, less what rose again. */
    double belowRootsN;

    double mineralisedN;
    double fixedN;
    double seedN;
    double rainN;
    double fertiliserN;
    double removedN;
    double humusN;
    double correctedN;

    void copyFrom(GroundBooks o) {
        rainMm = o.rainMm;
        irrigationMm = o.irrigationMm;
        evaporationMm = o.evaporationMm;
        transpirationMm = o.transpirationMm;
        drainageMm = o.drainageMm;
        runoffMm = o.runoffMm;
        leachedN = o.leachedN;
        belowRootsN = o.belowRootsN;
        mineralisedN = o.mineralisedN;
        fixedN = o.fixedN;
        seedN = o.seedN;
        rainN = o.rainN;
        fertiliserN = o.fertiliserN;
        removedN = o.removedN;
        humusN = o.humusN;
        correctedN = o.correctedN;
    }
}
