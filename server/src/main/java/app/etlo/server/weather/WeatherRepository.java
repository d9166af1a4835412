package app.etlo.server.weather;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface WeatherRepository extends JpaRepository<WeatherRow, Long> {
    Optional<WeatherRow> findByRef(String ref);

    /** Which state of a series is kept: grows with each import of it. */
    @Query("select concat(cast(w.id as string), '.', cast(w.version as string)) from WeatherRow w where w.ref = :ref")
    Optional<String> stateOf(String ref);

    @Query("select w.ref from WeatherRow w order by w.id")
    List<String> refs();
}
