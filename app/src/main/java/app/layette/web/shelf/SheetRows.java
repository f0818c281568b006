package app.layette.web.shelf;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface SheetRows extends JpaRepository<SheetRow, SheetRow.Key> {
    /** What lists show of every version; the documents stay where they are. */
    @Query("""
            select new app.layette.web.shelf.SheetSummary(
                s.key.id, s.key.version, s.title, s.status = app.layette.core.evidence.SheetStatus.CONFIRMED, s.importedBy)
            from SheetRow s where s.key.pointId = :point and s.key.kind = :kind
            order by s.title, s.key.version desc""")
    List<SheetSummary> all(UUID point, SheetRow.Kind kind);

    @Query("""
            select s from SheetRow s where s.key.pointId = :point and s.key.kind = :kind and s.key.id in :ids
            order by s.key.version""")
    List<SheetRow> versions(UUID point, SheetRow.Kind kind, List<String> ids);

    @Query("""
            select s.key from SheetRow s where s.key.pointId = :point and s.key.kind = :kind and s.key.id in :ids
            order by s.key.version""")
    List<SheetRow.Key> versionKeys(UUID point, SheetRow.Kind kind, List<String> ids);

    /** Whether any fitting of the point ever took this version. */
    @Query(nativeQuery = true, value = """
            select exists (select 1 from entry e
            where e.point_id = :point and e.document #>> '{fact,kind}' = 'sheetAdopted'
            and e.document #>> '{fact,of}' = :id and e.document -> 'fact' ->> 'version' = cast(:version as text))""")
    boolean isUsed(UUID point, String id, int version);
}
