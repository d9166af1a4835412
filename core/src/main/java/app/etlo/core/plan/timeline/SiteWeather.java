package app.etlo.core.plan.timeline;

import app.etlo.core.weather.Climate;
import app.etlo.core.weather.Forecast;
import app.etlo.core.working.Origin;

/**
 * The weather a field is computed with.
 *
 * @param origin entered when the adviser chose it, default when it was taken by latitude
 * @param how in words where it comes from
 */
public record SiteWeather(Climate climate, Forecast forecast, Origin origin, String how) {}
