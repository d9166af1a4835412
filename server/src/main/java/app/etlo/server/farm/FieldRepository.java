package app.etlo.server.farm;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface FieldRepository extends JpaRepository<FieldRow, Long> {
    Optional<FieldRow> findByRef(String ref);
}
