package app.etlo.core.ground;

import java.util.List;

/** Prints the table of checks: what is missed first, or what holds a text; the counts last. */
final class CheckTable {
    private CheckTable() {}

    public static void main(String[] args) {
        List<Check> all = Check.all().stream()
                .filter(c -> args.length == 0
                        || java.util.Arrays.stream(args[0].split("\\|")).anyMatch(c.row()::contains))
                .toList();
        all.stream().filter(c -> !c.holds()).forEach(c -> System.out.println((c.isFarOff() ? "!! " : "   ") + c.row()));
        if (args.length > 1 || args.length > 0 && !args[0].isEmpty()) {
            all.stream().filter(Check::holds).forEach(c -> System.out.println("ok " + c.row()));
        }
        for (boolean tuned : new boolean[] {true, false}) {
            long n = all.stream().filter(c -> c.tuned() == tuned).count();
            long held =
                    all.stream().filter(c -> c.tuned() == tuned && c.holds()).count();
            System.out.println((tuned ? "tuned " : "never tuned ") + held + " of " + n);
        }
    }
}
