package app.etlo.server.print;

/**
 * How much a drawing may hold. Etlo's own round values, several times what the page draws of a plan of the demo, and little
 * enough to be drawn in 64 MB, fonts included (DrawingMemoryTest).
 */
final class DrawingBounds {
    static final int MOST_LETTERS = 2_000_000;
    static final int MOST_ELEMENTS = 6_000;
    static final int DEEPEST = 12;
    /** Numbers in all paths together. */
    static final int MOST_NUMBERS = 100_000;
    /** A coordinate, a length or a step of a path, px. */
    static final double FARTHEST = 20_000;

    static final int MOST_TEXTS = 700;
    static final int LONGEST_TEXT = 120;
    /** Letters of all words together; each is drawn as an outline. */
    static final int MOST_WORD_LETTERS = 12_000;

    static final int MOST_PATTERNS = 24;
    static final int MOST_PATHS_OF_A_PATTERN = 6;
    static final double LEAST_TILE = 2;
    static final double MOST_TILE = 100;
    /** Tiles that patterns lay over their shapes, in all. */
    static final double MOST_TILES = 600_000;
    /** Dashes of all dashed lines together. */
    static final double MOST_DASHES = 60_000;

    static final double LEAST_DASH = 0.5;
    static final int MOST_DASH_LENGTHS = 8;
    static final double LEAST_SIDE = 50;
    static final double MOST_SIDE = 4_000;

    private DrawingBounds() {}

    /** The drawing is not one of ours, or holds more than it may. */
    static final class Exceeded extends Exception {
        private static final long serialVersionUID = 1L;

        Exceeded(String what) {
            super(what);
        }
    }

    static void require(boolean within, String what) throws Exceeded {
        if (!within) {
            throw new Exceeded(what);
        }
    }

    /** A number within bounds. */
    static double number(String text, double least, double most, String what) throws Exceeded {
        try {
            double v = Double.parseDouble(text.strip());
            require(v >= least && v <= most, what);
            return v;
        } catch (NumberFormatException e) {
            throw new Exceeded(what);
        }
    }
}
