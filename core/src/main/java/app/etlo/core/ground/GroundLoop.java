package app.etlo.core.ground;

/** The days of one weather year, one after another: each day the same list of processes. Nothing is allocated in it. */
final class GroundLoop {
    private final GroundScript script;
    private final GroundWeather weather;

    GroundLoop(GroundScript script, GroundWeather weather) {
        this.script = script;
        this.weather = weather;
    }

    /** Looks at the state; it must keep nothing of it. */
    @FunctionalInterface
    interface Watcher {
        /**
         * @param s at the end of the day
         */
        void endOfDay(GroundState s);

        /** Whether days that follow still matter. */
        default boolean goesOn(GroundState s) {
            return true;
        }
    }

    /**
     * Plays days from one to before another.
     *
     * @param s as it was at the end of the day before {@code from}
     */
    void play(int member, int from, int to, GroundState s, Watcher watcher) {
        int next = firstEvent(from);
        for (int d = from; d < to; d++) {
            weather.on(member, d, s);
            for (;
                    next < script.events.length
                            && script.events[next].day() == d
                            && !script.events[next].isOfTheEvening();
                    next++) {
                script.events[next].actOn(s);
            }
            day(s);
            for (; next < script.events.length && script.events[next].day() == d; next++) {
                script.events[next].actOn(s);
            }
            watcher.endOfDay(s);
            if (!watcher.goesOn(s)) {
                return;
            }
        }
    }

    private int firstEvent(int day) {
        int i = 0;
        while (i < script.events.length && script.events[i].day() < day) {
            i++;
        }
        return i;
    }

    private static void day(GroundState s) {
        double arrivingMm = Snow.pass(s);
        SoilWarmth.pass(s);
        Emergence.pass(s);
        Development.pass(s);
        FrostKill.pass(s);
        LightSharing.pass(s);
        WaterFlow.pass(s, arrivingMm);
        HumusSupply.pass(s);
        ResidueDecay.pass(s);
        DryMatter.pass(s);
        NitrogenUptake.pass(s);
        LeafArea.pass(s);
        HeightAndRoots.pass(s);
    }
}
