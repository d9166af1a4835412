package app.etlo.core.plan.chapter;

import app.etlo.core.advice.Step;
import java.time.LocalDate;

/**
 * Something that has to be decided or done by a day.
 *
 * @param subject the cover it belongs to
 * @param because where the day comes from
 */
public record Decision(String what, LocalDate by, Step step, String subject, String because) {}
