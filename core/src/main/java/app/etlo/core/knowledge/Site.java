package app.etlo.core.knowledge;

/** What ground and weather a species bears. */
public record Site(Degree drought, Degree wet, Degree shade, Degree salt, double phLow, double phHigh) {
    /** How well something is borne or done. */
    public enum Degree implements Named {
        POOR("poor"),
        FAIR("fair"),
        GOOD("good");

        private final String id;

        Degree(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }
}
