package app.etlo.core.ground;

/** Dead plant matter in one place: carbon that decays fast and slow, its nitrogen, and the microbes that live on it. g/m2. */
final class ResiduePool {
    /** Carbon in dry matter; 42 to 45 % in published tables. */
    static final double CARBON_SHARE = 0.43;

    double fastC;
    double slowC;
    double nitrogen;
    double microbeC;
    double microbeN;
    /** Ground covered if it lay flat without overlap, m2/m2. */
    double spreadM2M2;
    /** Part of the carbon in residue that breaks up fast. */
    double fragileC;

    /** Share of carbon that decays fast, by nitrogen content (Etlo's own line through common values). */
    static double fastShare(double nitrogenPercent) {
        return Math.max(0.10, Math.min(0.75, 0.0525 + 0.117 * nitrogenPercent));
    }

    void add(double massGM2, double nitrogenGM2, double coverM2G) {
        add(massGM2, nitrogenGM2, coverM2G, false);
    }

    /**
     * @param coverM2G ground that a gram of it covers where it lies flat
     * @param fragile whether it breaks up fast
     */
    void add(double massGM2, double nitrogenGM2, double coverM2G, boolean fragile) {
        if (massGM2 <= 0) {
            return;
        }
        double carbon = massGM2 * CARBON_SHARE;
        double fast = fastShare(100 * nitrogenGM2 / massGM2);
        fastC += carbon * fast;
        slowC += carbon * (1 - fast);
        nitrogen += nitrogenGM2;
        spreadM2M2 += massGM2 * coverM2G;
        fragileC += fragile ? carbon : 0;
    }

    /** Share of it that breaks up fast, 0 to 1. */
    double fragileShare() {
        double all = carbon();
        return all > 0 ? Math.min(1, fragileC / all) : 0;
    }

    double carbon() {
        return fastC + slowC;
    }

    double massGM2() {
        return carbon() / CARBON_SHARE;
    }

    double nitrogenIn() {
        return nitrogen + microbeN;
    }

    /** Moves a share of everything into another pool. */
    void move(double share, ResiduePool to) {
        to.fastC += take(fastC, share);
        to.slowC += take(slowC, share);
        to.nitrogen += take(nitrogen, share);
        to.microbeC += take(microbeC, share);
        to.microbeN += take(microbeN, share);
        to.spreadM2M2 += take(spreadM2M2, share);
        to.fragileC += take(fragileC, share);
        double left = 1 - share;
        fastC *= left;
        slowC *= left;
        nitrogen *= left;
        microbeC *= left;
        microbeN *= left;
        spreadM2M2 *= left;
        fragileC *= left;
    }

    private static double take(double of, double share) {
        return of * share;
    }

    void copyFrom(ResiduePool o) {
        fastC = o.fastC;
        slowC = o.slowC;
        nitrogen = o.nitrogen;
        microbeC = o.microbeC;
        microbeN = o.microbeN;
        spreadM2M2 = o.spreadM2M2;
        fragileC = o.fragileC;
    }
}
