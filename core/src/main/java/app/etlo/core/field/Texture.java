package app.etlo.core.field;

import app.etlo.core.working.Source;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The twelve texture classes of the USDA with a sand and clay content typical of each: about the middle of its area in the
 * triangle, as Saxton and Rawls 2006 use them in their table 3 (from memory).
 */
public enum Texture {
    SAND("sand", 88, 5),
    LOAMY_SAND("loamy sand", 80, 5),
    SANDY_LOAM("sandy loam", 65, 10),
    LOAM("loam", 40, 20),
    SILT_LOAM("silt loam", 20, 15),
    SILT("silt", 10, 5),
    SANDY_CLAY_LOAM("sandy clay loam", 60, 25),
    CLAY_LOAM("clay loam", 30, 35),
    SILTY_CLAY_LOAM("silty clay loam", 10, 35),
    SANDY_CLAY("sandy clay", 50, 40),
    SILTY_CLAY("silty clay", 10, 45),
    CLAY("clay", 25, 50);

    public static final Source SOURCE =
            Source.fromMemory("Saxton and Rawls 2006, table 3: sand and clay typical of the texture class");

    private final String words;
    private final double sandPercent;
    private final double clayPercent;

    Texture(String words, double sandPercent, double clayPercent) {
        this.words = words;
        this.sandPercent = sandPercent;
        this.clayPercent = clayPercent;
    }

    public String words() {
        return words;
    }

    public double sandPercent() {
        return sandPercent;
    }

    public double clayPercent() {
        return clayPercent;
    }

    public static Optional<Texture> find(String words) {
        return Arrays.stream(values()).filter(t -> t.words.equals(words)).findFirst();
    }

    public static List<String> allWords() {
        return Arrays.stream(values()).map(Texture::words).toList();
    }
}
