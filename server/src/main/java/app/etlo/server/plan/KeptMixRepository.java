package app.etlo.server.plan;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface KeptMixRepository extends JpaRepository<KeptMixRow, Long> {
    List<KeptMixRow> findAllByOrderById();

    Optional<KeptMixRow> findByRef(String ref);

    /** In one statement: two who keep the first of a name at once both succeed, and the later one counts. */
    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    "insert into kept_mix (workspace_id, ref, version, document) values (:workspace, :ref, 0, :document)"
                            + " on conflict (workspace_id, ref) do update"
                            + " set document = excluded.document, version = kept_mix.version + 1")
    void keep(long workspace, String ref, String document);
}
