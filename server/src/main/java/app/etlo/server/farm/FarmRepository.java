package app.etlo.server.farm;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface FarmRepository extends JpaRepository<FarmRow, Long> {
    Optional<FarmRow> findByRef(String ref);
}
