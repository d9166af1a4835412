package app.etlo.server.farm;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface FarmRepository extends JpaRepository<FarmRow, Long> {
    Optional<FarmRow> findByRef(String ref);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select f from FarmRow f where f.ref = :ref")
    Optional<FarmRow> lockByRef(String ref);
}
