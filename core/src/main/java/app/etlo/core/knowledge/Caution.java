package app.etlo.core.knowledge;

import app.etlo.core.working.Source;
import java.util.List;

/**
 * A way in which a species can do harm.
 *
 * @param animals whom it harms: cattle, sheep, horses, people
 */
public record Caution(String id, List<String> animals, String name, String text, Source source) {}
