package whipsaw.core.structure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.design.Design;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;

/** Tray and pipe on the roof: every kilogram of it reaches bays, members and the heaviest square. */
class LaidLoadsTest {
    private static final Map<String, Object> LINE = Map.of("x", "5 m", "y", "20 m", "toX", "55 m", "toY", "20 m");

    private static Map<String, Object> tray(Map<String, Object> line, String weight) {
        Map<String, Object> tray = new LinkedHashMap<>(
                Map.of("id", "t", "name", "Tray", "perMetre", weight, "support", "10 kg", "spacing", "2.6 m"));
        if (line != null) {
            tray.put("line", line);
        }
        return tray;
    }

    @SafeVarargs
    private static Design with(Map<String, Object>... laid) {
        Map<String, Object> structure = new LinkedHashMap<>(RoofMembersTest.structure("y", "1.7 m"));
        structure.put("laid", List.of(laid));
        return RoofMembersTest.design(structure, "array.setback", "3 m");
    }

    @Test
    void itsMassIsThatOfTheLengthAndOfSupportsNoFartherApartThanAsked() {
        Design d = with(tray(LINE, "12 kg/m"));
        assertThat(d.loads().laid()).singleElement().satisfies(l -> {
            assertThat(l.lengthM()).isEqualTo(50);
            assertThat(l.supports()).isEqualTo(21);
            assertThat(l.kg()).isCloseTo(12 * 50 + 21 * 10, within(1e-9));
        });
    }

    @Test
    void whatIsLaidStandsOnBaysAndMembersBesideTheArray() {
        Design bare = with();
        Design d = with(tray(LINE, "12 kg/m"));
        double laid = d.loads().laidKg();
        double more =
                d.loads().bays().stream().mapToDouble(b -> b.load().massKg()).sum()
                        - bare.loads().bays().stream()
                                .mapToDouble(b -> b.load().massKg())
                                .sum();
        assertThat(more).isCloseTo(laid, within(1e-6));
        assertThat(onMembers(d) - onMembers(bare)).isCloseTo(laid * 9.80665, within(1e-4));
        assertThat(d.loads().wholeRoofPa()).isCloseTo((bare.loads().arrayKg() + laid) * 9.80665 / 2400, within(1e-9));
    }

    private static double onMembers(Design d) {
        return d.members().sets().get(0).members().stream()
                .mapToDouble(RoofMembers.Member::arrayN)
                .sum();
    }

    /** A line that weighs as much as the array draws the heaviest square onto it, and the square holds what lies in it. */
    @Test
    void theHeaviestSquareFollowsIt() {
        Map<String, Object> piece = Map.of("x", "48 m", "y", "31 m", "toX", "53 m", "toY", "31 m");
        Design bare = with();
        Design d = with(tray(piece, "2 kN/m"));
        LoadWindow w = d.loads().window();
        var frame = d.layout().frame();
        double inside = 0;
        for (LaidLoads.Support s : LaidLoads.of(d.job(), d.plan()).supports()) {
            double along = frame.s(s.x(), s.y()) - w.s();
            double across = frame.t(s.x(), s.y()) - w.t();
            boolean in = along > -1e-5 && along < w.alongM() + 1e-5 && across > -1e-5 && across < w.acrossM() + 1e-5;
            inside += in ? s.kg() : 0;
        }
        assertThat(inside).isCloseTo(d.loads().laidKg(), within(1e-6));
        double least = inside + bare.loads().window().load().massKg() * 0.3;
        assertThat(w.load().massKg())
                .isBetween(least, inside + bare.loads().window().load().massKg());
    }

    @Test
    void whatIsBeyondTheRoofIsNotCounted() {
        Map<String, Object> out = Map.of("x", "30 m", "y", "20 m", "toX", "90 m", "toY", "20 m");
        Design d = with(tray(out, "10 kg/m"));
        assertThat(d.loads().laidKg()).isCloseTo(d.loads().laid().get(0).supports() * 10 + 30 * 10, within(30.0));
    }

    @Test
    void oneWithoutALineFollowsTheAcRunAndIsWrittenAsItWasRead() {
        Design d = with(
                tray(null, "8 lb/ft"),
                tray(LINE, "100 N/m").entrySet().stream()
                        .collect(
                                LinkedHashMap::new,
                                (m, e) -> m.put(e.getKey(), e.getKey().equals("id") ? "u" : e.getValue()),
                                Map::putAll));
        assertThat(d.loads().laid().get(0).lengthM()).isCloseTo(d.run().planM(), within(1e-9));
        assertThat(JobReader.read(JobWriter.write(d.job()), false).job()).isEqualTo(d.job());
    }
}
