package app.etlo.server.weather;

import app.etlo.server.documents.DocumentRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;

@Entity
@Table(name = "weather_series")
class WeatherRow extends DocumentRow {
    protected WeatherRow() {}

    WeatherRow(String ref) {
        super(ref);
    }
}
