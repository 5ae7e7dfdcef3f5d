package whipsaw.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.exception.DataAccessException;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.export.SiteRecords;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Laying;
import whipsaw.app.job.Signatures;
import whipsaw.core.build.BallastMap;
import whipsaw.core.design.SignedDesign;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobReader;

/** Signatures, ticks and penetrations as they are kept: only ever added, the newest counts, damage is told. */
class SiteRecordsTest extends ServedTest {
    private final SignatureStore signatures = server.bean(SignatureStore.class);
    private final LaidStore laid = server.bean(LaidStore.class);
    private final PenetrationStore penetrations = server.bean(PenetrationStore.class);
    private final JobService jobs = server.bean(JobService.class);
    private String slug;
    private SignedDesign signed;

    @BeforeEach
    void aJob() {
        slug = jobs.create(JobReader.read(Seeds.demoJobs().get(1), false).job());
        signed = SignedDesign.of(jobs.open(slug).design());
    }

    private int sign(String name) {
        return signatures.sign(
                slug,
                1,
                new SignatureStore.Signer(name, "PE 1", LocalDate.of(2026, 12, 1), "drawings", List.of("a check")),
                signed,
                "test");
    }

    @Test
    void whatWasSignedIsReadBackAsItWasWritten() {
        int id = sign("Rowan Pell");
        assertThat(signatures.of(slug)).singleElement().satisfies(s -> {
            assertThat(s.counts()).isTrue();
            assertThat(s.signer().on()).isEqualTo("2026-12-01");
            assertThat(s.signer().settled()).containsExactly("a check");
            assertThat(s.opened()).isNull();
        });
        // not from the memory of the store that wrote it
        assertThat(new SignatureStore(server.bean(DSLContext.class)).signed(id)).isEqualTo(signed);
    }

    @Test
    void theNewestCountsUntilItIsWithdrawn() {
        int first = sign("Rowan Pell");
        int second = sign("Ida Kerr");
        Signatures standing = server.bean(Signatures.class);
        assertThat(standing.newest(slug).id()).isEqualTo(second);
        signatures.withdraw(second, "Ida Kerr", "another roof", "test");
        signatures.withdraw(second, "Somebody", "again", "test");
        assertThat(signatures.of(slug).get(0).withdrawn().reason()).isEqualTo("another roof");
        assertThat(standing.newest(slug).id()).isEqualTo(first);
        signatures.open(first, "B. Orme", "test");
        signatures.open(first, "Somebody", "test");
        assertThat(signatures.of(slug).get(1).opened().name()).isEqualTo("B. Orme");
    }

    /** A signature that somebody altered in the file counts no more. */
    @Test
    void anAlteredSignatureDoesNotCount() {
        sign("Rowan Pell");
        DSLContext db = server.bean(DSLContext.class);
        for (String column : List.of("licence", "relied_on", "settled", "signed", "signed_on")) {
            sign("Rowan Pell");
            int newest = signatures.of(slug).get(0).id();
            String value = column.equals("signed_on") ? "2026-11-01" : column.equals("settled") ? "[]" : "{}";
            db.execute("update signature set " + column + " = ? where id = ?", value, newest);
            assertThat(signatures.of(slug).get(0).sound()).as(column).isFalse();
        }
        assertThat(server.bean(Signatures.class).newest(slug).signer().licence())
                .isEqualTo("PE 1");
        assertThat(server.get("/jobs/" + slug + "/signature").body()).contains("damaged");
    }

    /** Where the signed revision is damaged the job can still be used, and is not signed. */
    @Test
    void aDamagedRevisionEndsItsSignatureAndNothingElse() {
        sign("Rowan Pell");
        jobs.change(slug, 1, List.of(new Change("set", "$.project.preparedBy", "B. Orme")));
        assertThat(jobs.standing(jobs.open(slug)).signed()).isTrue();
        DSLContext db = server.bean(DSLContext.class);
        db.execute(
                "update revision set document = '{}', at = '2026-01-01T00:00:00Z' where number = 1 and job_id ="
                        + " (select id from job where slug = ?)",
                slug);
        assertThat(jobs.standing(jobs.open(slug)).signed()).isFalse();
        assertThat(server.get("/jobs/" + slug + "/signature").body()).contains("which was signed, cannot be read");
    }

    @Test
    void theNewestTickOfAPlaceCountsAndCanBeTakenBack() {
        int id = sign("Rowan Pell");
        BallastMap.MapArray a = signed.map().arrays().get(0);
        BallastMap.Place p = a.places().get(0);
        LaidStore.Said said = new LaidStore.Said("Crew", "", "", "test");
        Map<BallastMap.Place, Integer> all = new LinkedHashMap<>();
        a.places().forEach(x -> all.put(x, x.blocks()));
        laid.tick(slug, id, a.id(), all, said);
        laid.tick(slug, id, a.id(), Map.of(p, 9), said);
        Laying.OnRoof roof = server.bean(Laying.class).of(slug);
        assertThat(roof.ticks()).hasSameSizeAs(a.places());
        assertThat(roof.tick(a.id(), p).blocks()).isEqualTo(9);
        assertThat(roof.laid().array(a.id()).laid()).isEqualTo(a.blocks() - p.blocks() + 9);
        Map<BallastMap.Place, Integer> back = new LinkedHashMap<>();
        back.put(p, null);
        laid.tick(slug, id, a.id(), back, said);
        Laying.OnRoof then = server.bean(Laying.class).of(slug);
        assertThat(then.tick(a.id(), p)).isNull();
        assertThat(then.laid().array(a.id()).ticked()).isEqualTo(a.places().size() - 1);
        String[] lines = SiteRecords.laid(then).csv().split("\r\n");
        assertThat(lines).hasSize(a.places().size() + 1);
        assertThat(Arrays.stream(lines).filter(l -> l.contains("not laid"))).hasSize(1);
        assertThatThrownBy(() -> laid.tick(slug, id, a.id(), Map.of(p, 201), said))
                .isInstanceOfAny(DataAccessException.class, org.springframework.dao.DataAccessException.class);
        assertThat(server.bean(Laying.class).of(slug).ticks()).hasSameSizeAs(then.ticks());
    }

    /** A later map may have a position a little beside: its ticks, and those taken back, are of the same blocks. */
    @Test
    void ticksOfAnEarlierMapALittleBesideAreOfTheSamePosition() {
        int id = sign("Rowan Pell");
        BallastMap.MapArray a = signed.map().arrays().get(0);
        BallastMap.Place p = a.places().get(3);
        BallastMap.Place beside =
                new BallastMap.Place("9-9", 9, "9", p.xM() + 0.1, p.yM() - 0.05, p.blocks(), false, false);
        LaidStore.Said said = new LaidStore.Said("Crew", "", "", "test");
        laid.tick(slug, id, a.id(), Map.of(beside, 4), said);
        Laying laying = server.bean(Laying.class);
        assertThat(laying.of(slug).tick(a.id(), p).blocks()).isEqualTo(4);
        laid.tick(slug, id, a.id(), Map.of(p, 5), said);
        assertThat(laying.of(slug).ticks()).hasSize(1);
        assertThat(laying.of(slug).laid().blocks(a.id(), p)).isEqualTo(5);
        laid.tick(slug, id, a.id(), Map.of(beside, 6), said);
        assertThat(laying.of(slug).laid().blocks(a.id(), p)).isEqualTo(6);
        Map<BallastMap.Place, Integer> back = new LinkedHashMap<>();
        back.put(p, null);
        laid.tick(slug, id, a.id(), back, said);
        assertThat(laying.of(slug).ticks()).isEmpty();
    }

    @Test
    void penetrationsKeepTheirNumbersAndTheirNewestState() {
        PenetrationStore.Done made = new PenetrationStore.Done("Crew", LocalDate.of(2026, 12, 1));
        PenetrationStore.Penetration first = new PenetrationStore.Penetration(
                0,
                "3-2",
                "anchor",
                made,
                PenetrationStore.Done.NOT_YET,
                PenetrationStore.Done.NOT_YET,
                "",
                List.of(),
                false);
        assertThat(penetrations.write(slug, first, "test")).isEqualTo(1);
        assertThat(penetrations.write(slug, first, "test")).isEqualTo(2);
        penetrations.write(
                slug,
                new PenetrationStore.Penetration(
                        1,
                        "3-2",
                        "anchor",
                        made,
                        new PenetrationStore.Done("Dell Roofing", LocalDate.of(2026, 12, 2)),
                        PenetrationStore.Done.NOT_YET,
                        "two coats",
                        List.of("abc"),
                        true),
                "test");
        assertThat(penetrations.of(slug)).hasSize(2);
        assertThat(penetrations.of(slug).get(0)).satisfies(p -> {
            assertThat(p.flashed().by()).isEqualTo("Dell Roofing");
            assertThat(p.pictures()).containsExactly("abc");
            assertThat(p.struckOut()).isTrue();
            assertThat(p.accepted().is()).isFalse();
        });
        assertThat(SiteRecords.penetrations(penetrations.of(slug)).csv())
                .contains("1,3-2,anchor,Crew,2026-12-01,Dell Roofing,2026-12-02,,,two coats,1,yes");
    }
}
