package whipsaw.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Laying;
import whipsaw.app.job.Signatures;
import whipsaw.app.job.Signing;
import whipsaw.app.store.LaidStore;
import whipsaw.app.store.PenetrationStore;
import whipsaw.core.design.Design;
import whipsaw.core.design.SignedDesign;
import whipsaw.core.job.JobReader;

/** What is typed wrong under a map, on the roof and in the log is refused with its reason, and nothing is stored. */
class SignatureInputTest extends ServedTest {
    private static final int REFUSED = 422;

    private final JobService jobs = server.bean(JobService.class);

    private String job(int demo) {
        return jobs.create(JobReader.read(Seeds.demoJobs().get(demo), false).job());
    }

    private static Map<String, String> signer() {
        Map<String, String> fields = new HashMap<>();
        fields.put("base", "1");
        fields.put("name", "Rowan Pell");
        fields.put("licence", "CEng 570112, London");
        fields.put("on", LocalDate.now().toString());
        fields.put("reliedOn", "Survey of 3 November");
        return fields;
    }

    @ParameterizedTest
    @CsvSource({
        "name, '', Engineer: is missing",
        "licence, '', Licence: is missing",
        "licence, 7, has 1 characters",
        "on, '', Signed on: is missing",
        "on, tomorrow, is no day",
        "on, 2091-01-01, is outside of what can be",
        "on, 2001-01-01, is outside of what can be",
        "reliedOn, '', Relied on: is missing",
        "base, 7, is not the newest any more"
    })
    void aSignatureThatLacksSomethingIsRefused(String field, String value, String why) {
        String slug = job(1);
        Map<String, String> fields = signer();
        fields.put(field, value);
        var answer = server.form("/jobs/" + slug + "/signature", fields);
        assertThat(answer.statusCode()).isEqualTo(REFUSED);
        String[] words = why.split(": ");
        assertThat(answer.body()).contains(words);
        assertThat(server.bean(Signatures.class).all(slug)).isEmpty();
        assertThat(jobs.open(slug).revision().number()).isEqualTo(1);
    }

    /** An open check is settled by whoever signs, or the map is not signed; one that fails is never. */
    @Test
    void openChecksHaveToBeSettledAndFailingOnesCannotBe() {
        String library = jobs.create(jobs.accept(Seeds.signedDemoJob(), false));
        Design design = jobs.open(library).design();
        assertThat(SignedDesign.open(design)).isNotEmpty();
        var unsettled = server.form("/jobs/" + library + "/signature", signer());
        assertThat(unsettled.statusCode()).isEqualTo(REFUSED);
        assertThat(unsettled.body()).contains("tick it once you have settled it");
        Map<String, String> settled = signer();
        settled.put("settled", Signing.key(SignedDesign.open(design).get(0)));
        assertThat(server.form("/jobs/" + library + "/signature", settled).statusCode())
                .isLessThan(400);
        assertThat(server.bean(Signatures.class).newest(library).signer().settled())
                .containsExactly(SignedDesign.open(design).get(0).heading());
        String hall = job(0);
        var failing = server.form("/jobs/" + hall + "/signature", signer());
        assertThat(failing.statusCode()).isEqualTo(REFUSED);
        assertThat(failing.body()).contains("cannot be signed", "fails");
    }

    @ParameterizedTest
    @CsvSource({
        "set, 2-1, 2.5, is not a whole number",
        "set, 2-1, -1, is not a whole number",
        "set, 2-1, 201, is not a whole number",
        "set, 2-1, '', is missing",
        "set, 99-1, 3, is not on the signed map",
        "number, 99-1, '', is not on the signed map",
        "clear, 99-1, '', is not on the signed map"
    })
    void aTickThatMakesNoSenseIsRefused(String what, String number, String blocks, String why) {
        Laying.OnRoof roof = server.bean(Laying.class).of("tollgate-library");
        int ticked = server.bean(LaidStore.class).of("tollgate-library").size();
        Map<String, String> fields = new HashMap<>();
        fields.put("signature", String.valueOf(roof.signature().id()));
        fields.put("array", "A");
        fields.put("row", "2");
        fields.put(what, number);
        fields.put("blocks", blocks);
        var answer = server.form("/jobs/tollgate-library/laid", fields);
        assertThat(answer.statusCode()).isEqualTo(REFUSED);
        assertThat(answer.body()).contains(why);
        fields.put("signature", "999999");
        assertThat(server.form("/jobs/tollgate-library/laid", fields).statusCode())
                .isEqualTo(REFUSED);
        fields.put("signature", String.valueOf(roof.signature().id()));
        fields.put("array", "Z");
        assertThat(server.form("/jobs/tollgate-library/laid", fields).statusCode())
                .isEqualTo(REFUSED);
        assertThat(server.bean(LaidStore.class).of("tollgate-library")).hasSize(ticked);
    }

    @ParameterizedTest
    @CsvSource({
        "place, '', is missing",
        "kind, '', is missing",
        "madeBy, '', is wanted with its day",
        "madeOn, 1 May, is no day",
        "madeOn, 2091-01-01, is still to come",
        "flashedOn, 2026-01-01, is wanted with its day",
        "acceptedBy, Dell, comes after the flashing"
    })
    void aPenetrationThatLacksSomethingIsRefused(String field, String value, String why) {
        String slug = job(1);
        Map<String, String> fields = new HashMap<>();
        fields.put("place", "3-2");
        fields.put("kind", "anchor");
        fields.put("madeBy", "Crew 2");
        fields.put("madeOn", "2026-06-01");
        if (field.equals("acceptedBy")) {
            fields.put("acceptedOn", "2026-06-02");
        }
        fields.put(field, value);
        var answer = server.form("/jobs/" + slug + "/penetrations", fields);
        assertThat(answer.statusCode()).isEqualTo(REFUSED);
        assertThat(answer.body()).contains(why);
        assertThat(server.bean(PenetrationStore.class).of(slug)).isEmpty();
    }

    /** The demo tells the three ways as named revisions, and its rows add up to what was ticked. */
    @Test
    void theDemoIsSignedAndHalfLaid() {
        assertThat(jobs.names("tollgate-library").values().stream().map(n -> n.name()))
                .containsExactlyInAnyOrder(
                        "Blocks alone", "Blocks with attachments", "Attachments alone", "Signed for laying");
        assertThat(jobs.standing(jobs.open("tollgate-library")).locked()).isTrue();
        int[] blocks = new int[4];
        for (int i = 1; i <= 3; i++) {
            Design d = jobs.at("tollgate-library", i).design();
            blocks[i] = d.holdDown().blocks();
            assertThat(d.attached() == null).isEqualTo(i == 1);
        }
        assertThat(blocks[1]).isGreaterThan(blocks[2]);
        assertThat(blocks[3]).isZero();
        String page = server.get("/jobs/tollgate-library/laid").body();
        Laying.OnRoof roof = server.bean(Laying.class).of("tollgate-library");
        int ticked = roof.ticks().stream().mapToInt(LaidStore.Laid::blocks).sum();
        assertThat(roof.laid().array("A").laid()).isEqualTo(ticked);
        assertThat(roof.laid().array("A").missing()).isEqualTo(1);
        assertThat(roof.laid().array("A").surplus()).isEqualTo(1);
        assertThat(page)
                .contains("one broke, to follow", ticked + " of " + roof.map().blocks() + " blocks");
    }
}
