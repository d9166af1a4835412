package app.etlo.core.plan;

import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.quantity.UnitSystem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** The plans of the demo, evaluated for farms that all use one system of units. */
public final class DemoPlans {
    private DemoPlans() {}

    public static List<Evaluated> evaluated(UnitSystem units) throws IOException {
        try (Stream<Path> files = Files.list(Path.of("../server/src/main/resources/demo"))) {
            return files.sorted()
                    .map(f -> {
                        try {
                            return shifted(Files.readString(f))
                                    .replaceAll("\"units\": \"\\w+\"", "\"units\": \"" + units.id() + "\"");
                        } catch (IOException e) {
                            throw new java.io.UncheckedIOException(e);
                        }
                    })
                    .map(Plans::evaluate)
                    .toList();
        }
    }

    /** The demo's years are written around the year of the test's day. */
    private static String shifted(String text) {
        int year = Plans.AS_OF.getYear();
        return text.replace("Y-1-", year - 1 + "-")
                .replace("Y0-", year + "-")
                .replace("Y+1-", year + 1 + "-")
                .replace("Y+2-", year + 2 + "-");
    }
}
