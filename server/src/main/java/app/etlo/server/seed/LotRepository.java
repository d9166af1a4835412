package app.etlo.server.seed;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface LotRepository extends JpaRepository<LotRow, Long> {
    Optional<LotRow> findByRef(String ref);
}
