package app.etlo.server.print;

import app.etlo.server.print.DrawingBounds.Exceeded;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The data of a path: commands and numbers of the SVG grammar, each number within bounds. Also how long it is at most and which
 * box it lies in, so that dashes and tiles can be counted before they are drawn.
 *
 * @param text rewritten from what was read
 * @param numbers in it
 * @param length of the line through all its points, control points among them, px
 */
record PathData(String text, int numbers, double length, double width, double height) {
    private static final Pattern TOKEN =
            Pattern.compile("([MLHVCSQTAZmlhvcsqtaz])|([+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][+-]?\\d{1,3})?)|([\\s,]+)");

    /**
     * The data in a text.
     *
     * @throws Exceeded for anything but commands and bounded numbers
     */
    static PathData read(String d) throws Exceeded {
        Matcher m = TOKEN.matcher(d);
        StringBuilder out = new StringBuilder();
        Walk walk = new Walk();
        int at = 0;
        int numbers = 0;
        while (at < d.length()) {
            m.region(at, d.length());
            DrawingBounds.require(m.lookingAt(), "a path of something else than commands and numbers");
            at = m.end();
            if (m.group(1) != null) {
                walk.command(m.group(1).charAt(0));
                out.append(m.group(1));
            } else if (m.group(2) != null) {
                double v = DrawingBounds.number(
                        m.group(2), -DrawingBounds.FARTHEST, DrawingBounds.FARTHEST, "a path that leads far away");
                DrawingBounds.require(++numbers <= DrawingBounds.MOST_NUMBERS, "too many numbers in a path");
                walk.number(v);
                out.append(short2(v)).append(' ');
            }
        }
        return new PathData(out.toString(), numbers, walk.length, walk.width(), walk.height());
    }

    /** A number to a hundredth. */
    static String short2(double v) {
        return v == Math.rint(v) ? String.valueOf((long) v) : String.format(Locale.ROOT, "%.2f", v);
    }

    /** Follows the points of a path. */
    private static final class Walk {
        private char command = ' ';
        private final double[] arguments = new double[7];
        private int filled;
        private double x;
        private double y;
        private double startX;
        private double startY;
        private double length;
        private double left = Double.MAX_VALUE;
        private double right = -Double.MAX_VALUE;
        private double top = Double.MAX_VALUE;
        private double bottom = -Double.MAX_VALUE;

        void command(char c) throws Exceeded {
            DrawingBounds.require(filled == 0 && (command != ' ' || Character.toUpperCase(c) == 'M'), "a broken path");
            command = c;
            if (Character.toUpperCase(c) == 'Z') {
                to(startX, startY);
            }
        }

        void number(double v) throws Exceeded {
            int needed = arity();
            DrawingBounds.require(needed > 0, "a path that begins with a number");
            arguments[filled++] = v;
            if (filled == needed) {
                filled = 0;
                step();
            }
        }

        private int arity() {
            return switch (Character.toUpperCase(command)) {
                case 'M', 'L', 'T' -> 2;
                case 'H', 'V' -> 1;
                case 'C' -> 6;
                case 'S', 'Q' -> 4;
                case 'A' -> 7;
                default -> 0;
            };
        }

        private void step() throws Exceeded {
            boolean relative = Character.isLowerCase(command);
            double fromX = relative ? x : 0;
            double fromY = relative ? y : 0;
            switch (Character.toUpperCase(command)) {
                case 'H' -> to(fromX + arguments[0], y);
                case 'V' -> to(x, fromY + arguments[0]);
                case 'A' -> {
                    // an arc is no longer than round its ellipse, and lies within a diameter of its end
                    double r = Math.max(Math.abs(arguments[0]), Math.abs(arguments[1]));
                    length += 2 * Math.PI * r;
                    double endX = fromX + arguments[5];
                    double endY = fromY + arguments[6];
                    seen(endX - 2 * r, endY - 2 * r);
                    seen(endX + 2 * r, endY + 2 * r);
                    to(endX, endY);
                }
                default -> {
                    for (int i = 0; i < arity(); i += 2) {
                        to(fromX + arguments[i], fromY + arguments[i + 1]);
                    }
                    if (Character.toUpperCase(command) == 'M') {
                        startX = x;
                        startY = y;
                        command = relative ? 'l' : 'L';
                    }
                }
            }
        }

        private void to(double toX, double toY) throws Exceeded {
            length += Math.hypot(toX - x, toY - y);
            x = toX;
            y = toY;
            seen(x, y);
        }

        private void seen(double atX, double atY) throws Exceeded {
            DrawingBounds.require(
                    Math.abs(atX) <= 2 * DrawingBounds.FARTHEST && Math.abs(atY) <= 2 * DrawingBounds.FARTHEST,
                    "a path that leads far away");
            left = Math.min(left, atX);
            right = Math.max(right, atX);
            top = Math.min(top, atY);
            bottom = Math.max(bottom, atY);
        }

        double width() {
            return Math.max(0, right - left);
        }

        double height() {
            return Math.max(0, bottom - top);
        }
    }
}
