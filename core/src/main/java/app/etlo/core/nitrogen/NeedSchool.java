package app.etlo.core.nitrogen;

import app.etlo.core.working.Figure;
import java.util.Optional;

/**
 * What a crop needs by one school.
 *
 * @param amount empty where something is missing
 * @param lacks what, as a sentence; empty where nothing is
 */
public record NeedSchool(String id, String name, Optional<Figure> amount, String lacks, boolean chosen) {}
