package app.etlo.server.farm;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface FieldRepository extends JpaRepository<FieldRow, Long> {
    Optional<FieldRow> findByRef(String ref);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select f from FieldRow f where f.ref = :ref")
    Optional<FieldRow> lockByRef(String ref);
}
