package app.etlo.core.ground;

/**
 * Light is shared in layers: the leaves of each plant lie evenly over its height, the stand is cut at the heights of the
 * plants, and what reaches a layer is taken by 1 - exp(-sum of k L), shared by k L. About a third of a mix stands in patches
 * where height does not help; there the whole stand shares by k L. No plant takes more than it would alone, and all together
 * no more than falls in. After published multi-species canopies (for instance Spitters and Aerts 1983; from memory); the
 * patch share is tuned.
 */
final class LightSharing {
    static final double PATCH = 0.35;

    private LightSharing() {}

    static void pass(GroundState s) {
        int n = 0;
        double sum = 0;
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            s.light[p] = 0;
            if (s.status[p] == GroundState.UP && s.leafArea[p] > 0) {
                s.scratch[p] = s.plant[p].kind.extinction() * s.leafArea[p];
                sum += s.scratch[p];
                s.order[n++] = p;
            }
        }
        if (n == 0 || s.lyingSnowMm() > Snow.DARK_MM) {
            return;
        }
        double taken = 1 - Math.exp(-sum);
        if (n == 1) {
            s.light[s.order[0]] = taken;
            return;
        }
        sortByHeight(s, n);
        layers(s, n);
        for (int i = 0; i < n; i++) {
            int p = s.order[i];
            s.light[p] = (1 - s.soil.patches) * s.light[p] + s.soil.patches * taken * s.scratch[p] / sum;
        }
    }

    /** Tallest first; a few plants, so by insertion. */
    private static void sortByHeight(GroundState s, int n) {
        for (int i = 1; i < n; i++) {
            int p = s.order[i];
            int j = i - 1;
            while (j >= 0 && s.height[s.order[j]] < s.height[p]) {
                s.order[j + 1] = s.order[j];
                j--;
            }
            s.order[j + 1] = p;
        }
    }

    private static void layers(GroundState s, int n) {
        double arriving = 1;
        for (int i = 0; i < n; i++) {
            double top = s.height[s.order[i]];
            double bottom = i + 1 < n ? s.height[s.order[i + 1]] : 0;
            double thickness = top - bottom;
            if (thickness <= 1e-9 && i + 1 < n) {
                continue;
            }
            double here = 0;
            for (int j = 0; j <= i; j++) {
                here += leaves(s, s.order[j], thickness);
            }
            if (here <= 0) {
                continue;
            }
            double left = Math.exp(-here);
            double taken = arriving * (1 - left);
            for (int j = 0; j <= i; j++) {
                int p = s.order[j];
                s.light[p] += taken * leaves(s, p, thickness) / here;
            }
            arriving *= left;
        }
    }

    /** Extinction by the leaves that a plant has in a layer; one without height has them all in the lowest. */
    private static double leaves(GroundState s, int p, double thickness) {
        return s.height[p] > 1e-9 ? s.scratch[p] * thickness / s.height[p] : s.scratch[p];
    }
}
