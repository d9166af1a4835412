package app.etlo.server.seed;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface LotRepository extends JpaRepository<LotRow, Long> {
    Optional<LotRow> findByRef(String ref);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from LotRow l where l.ref = :ref")
    Optional<LotRow> lockByRef(String ref);
}
