package whipsaw.core.structure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Structure;

/** Where members lie on roofs of any outline, what a load table says between its lines, and how both are written. */
class MemberLinesTest {
    private static Map<String, Object> set(String id, String along, String bays, String spacing) {
        Map<String, Object> set = new LinkedHashMap<>(Map.of(
                "id",
                id,
                "name",
                id,
                "kind",
                "joist",
                "along",
                along,
                "spacing",
                spacing,
                "type",
                table("30 m", "9 kN/m")));
        if (!bays.isEmpty()) {
            set.put("bays", bays);
        }
        return set;
    }

    private static Map<String, Object> table(String... spansAndLoads) {
        List<Map<String, Object>> lines = new ArrayList<>();
        for (int i = 0; i < spansAndLoads.length; i += 2) {
            lines.add(Map.of("span", spansAndLoads[i], "total", spansAndLoads[i + 1]));
        }
        return RoofMembersTest.type("shape", "table", "material", "steel", "table", lines);
    }

    private static List<MemberLines.Strip> strips(Object outline, List<Map<String, Object>> works, Object... sets) {
        Map<String, Object> structure = Map.of("dead", "1 kPa", "members", List.of(sets), "works", works);
        Design d = outline == null
                ? Jobs.design("roof.bays", Map.of("alongX", "12 m", "alongY", "10 m"), "roof.structure", structure)
                : Jobs.design(
                        "roof.bays",
                        Map.of("alongX", "12 m", "alongY", "10 m"),
                        "roof.structure",
                        structure,
                        "roof.outline",
                        outline);
        return MemberLines.of(d.plan(), d.job().roof().fabric().structure());
    }

    private static Map<String, Object> corner(double x, double y) {
        return Map.of("x", x + " m", "y", y + " m");
    }

    /** An L out of square: 60 m by 40 m without its upper right quarter. */
    private static final Map<String, Object> L = Map.of(
            "kind",
            "drawn",
            "corners",
            List.of(
                    corner(0, 0),
                    corner(60, 0.4),
                    corner(60.3, 20),
                    corner(30, 20.2),
                    corner(29.8, 40),
                    corner(0, 39.7)));

    @Test
    void membersEndWhereTheRoofDoes() {
        List<MemberLines.Strip> strips = strips(L, List.of(), set("j", "y", "", "2 m"));
        for (MemberLines.Strip strip : strips) {
            double middle = (strip.fromM() + strip.toM()) / 2;
            double end = middle < 20 ? 60.3 : 30.1;
            assertThat(strip.lines()).allSatisfy(l -> {
                assertThat(l.atM()).isLessThan(end);
                assertThat(l.carriesM()).isPositive().isLessThanOrEqualTo(2.2);
            });
            // neighbours share the roof between them without a gap
            for (int i = 1; i < strip.lines().size(); i++) {
                assertThat(strip.lines().get(i).lowM())
                        .isCloseTo(strip.lines().get(i - 1).highM(), within(1e-9));
            }
        }
        assertThat(strips).hasSize(4);
        assertThat(strips.get(0).lines().size())
                .isGreaterThan(strips.get(3).lines().size() + 10);
        assertThat(strips(L, List.of(), set("j", "x", "", "2 m")))
                .allSatisfy(s -> assertThat(s.alongX()).isTrue());
    }

    /** Two sets side by side are neighbours; of another kind they are not. */
    @Test
    void setsOfOneKindShareTheRoofAtTheirBorder() {
        List<MemberLines.Strip> one =
                strips(null, List.of(), set("a", "y", "A1, A2, A3, A4", "3 m"), set("b", "y", "B1, B2, B3, B4", "4 m"));
        MemberLines.Line last = one.get(0).lines().stream()
                .filter(l -> l.set().id().equals("a"))
                .reduce((x, y) -> y)
                .orElseThrow();
        MemberLines.Line first = one.get(0).lines().stream()
                .filter(l -> l.set().id().equals("b"))
                .findFirst()
                .orElseThrow();
        assertThat(last.atM()).isEqualTo(9);
        assertThat(first.atM()).isEqualTo(12);
        assertThat(last.highM()).isEqualTo(10.5);
        assertThat(first.lowM()).isEqualTo(10.5);
        Map<String, Object> other = set("b", "y", "B1, B2, B3, B4", "4 m");
        other.put("kind", "beam");
        assertThat(strips(null, List.of(), set("a", "y", "A1, A2, A3, A4", "3 m"), other))
                .hasSize(8);
    }

    @ParameterizedTest
    @CsvSource({"0 m,12", "1 m,12", "2.5 m,12"})
    void oneBetweenHalvesWhatEachCarries(String first, double to) {
        Map<String, Object> joists = set("j", "y", "B2", "3 m");
        joists.put("first", first);
        List<MemberLines.Line> plain = strips(null, List.of(), joists).get(0).lines();
        List<MemberLines.Line> more = strips(
                        null, List.of(Map.of("id", "w", "members", "j", "kind", "between", "bays", "B2")), joists)
                .get(0)
                .lines();
        assertThat(more).hasSize(2 * plain.size());
        assertThat(more.stream().filter(MemberLines.Line::added))
                .hasSize(plain.size())
                .allSatisfy(l -> assertThat(l.number()).endsWith("a"));
        double most =
                plain.stream().mapToDouble(MemberLines.Line::carriesM).max().orElseThrow();
        assertThat(more.stream().mapToDouble(MemberLines.Line::carriesM).max().orElseThrow())
                .isLessThanOrEqualTo(most * 0.75 + 1e-9);
        assertThat(plain.get(0).atM()).isEqualTo(12 + Double.parseDouble(first.replace(" m", "")));
        assertThat(plain.get(plain.size() - 1).atM()).isLessThan(12 + to);
    }

    @Test
    void aLoadTableIsStraightBetweenItsSpansAndSaysNothingBeyond() {
        MemberType t =
                (MemberType) JobReader.readEntry("member", table("8 m", "5 kN/m", "10 m", "3 kN/m", "12 m", "2 kN/m"))
                        .job();
        assertThat(LoadTable.total(t, 9)).isCloseTo(4000, within(1e-9));
        assertThat(LoadTable.total(t, 11.5)).isCloseTo(2250, within(1e-9));
        assertThat(LoadTable.total(t, 12)).isEqualTo(2000);
        assertThat(LoadTable.total(t, 5)).isEqualTo(5000);
        assertThat(LoadTable.total(t, 12.1)).isNaN();
        assertThat(LoadTable.variable(t, 9)).isNaN();
        double last = Double.POSITIVE_INFINITY;
        for (double span = 4; span <= 12; span += 0.1) {
            assertThat(LoadTable.total(t, span)).isLessThanOrEqualTo(last);
            last = LoadTable.total(t, span);
        }
    }

    @Test
    void whatCarriesTheRoofIsWrittenAsItWasRead() {
        List<Map<String, Object>> sets = new ArrayList<>();
        sets.add(set("t", "x", "A1, B2", "1.2 m, 2 @ 1.5 m"));
        Map<String, Object> timber = set("w", "y", "", "600 mm");
        timber.put("kind", "rafter");
        timber.put("first", "~0.3 m");
        timber.put(
                "type",
                RoofMembersTest.type(
                        "shape",
                        "rectangle",
                        "depth",
                        "225 mm",
                        "width",
                        "63 mm",
                        "material",
                        "timber",
                        "strength",
                        "24 MPa",
                        "shear",
                        "4 MPa",
                        "elasticity",
                        "11 GPa"));
        sets.add(timber);
        Map<String, Object> given = set("g", "y", "", "5 ft");
        given.put("kind", "beam");
        given.put("bearing", "40 kN");
        given.put(
                "type",
                RoofMembersTest.type(
                        "shape",
                        "given",
                        "inertia",
                        "52 in4",
                        "modulus",
                        "13 in3",
                        "material",
                        "steel",
                        "strength",
                        "50 ksi",
                        "elasticity",
                        "29000 ksi"));
        sets.add(given);
        Map<String, Object> structure = new LinkedHashMap<>(
                Map.of("dead", "12 psf", "live", "20 psf", "liveUnderArray", false, "smallIncrease", true));
        structure.put("members", sets);
        structure.put("deck", Map.of("type", given.get("type"), "width", "1 ft"));
        structure.put(
                "works",
                List.of(
                        Map.of("id", "one", "members", "t", "kind", "support", "bays", "A1"),
                        Map.of(
                                "id",
                                "two",
                                "members",
                                "w",
                                "kind",
                                "double",
                                "photos",
                                List.of("0a1b"),
                                "seen",
                                Map.of("by", "A. Example", "on", "2026-05-31"))));
        Structure read = Jobs.job("roof.structure", structure).roof().fabric().structure();
        var again = JobReader.read(JobWriter.write(Jobs.job("roof.structure", structure)), false);
        assertThat(again.problems()).isEmpty();
        assertThat(again.job().roof().fabric().structure()).isEqualTo(read);
        assertThat(read.works().get(1).signedBy()).isEqualTo("A. Example");
        assertThat(Section.of(read.members().get(2).type()).inertiaM4())
                .isCloseTo(52 * Math.pow(0.0254, 4), within(1e-12));
        assertThat(Section.of(read.members().get(1).type()).modulusM3())
                .isCloseTo(0.063 * 0.225 * 0.225 / 6, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "works|[{id=w, members=none, kind=double}]|are not there",
                "works|[{id=w, members=j, kind=paint}]|support",
                "dead|-1 kPa|outside 0 kPa",
                "live|3 m|kPa"
            })
    void badStructureIsNamed(String key, String value, String message) {
        Map<String, Object> structure =
                new LinkedHashMap<>(Map.of("dead", "1 kPa", "members", List.of(set("j", "y", "", "2 m"))));
        Object put = value;
        if (value.startsWith("[")) {
            Map<String, Object> work = new LinkedHashMap<>();
            for (String pair : value.substring(2, value.length() - 2).split(", ")) {
                work.put(pair.split("=")[0], pair.split("=")[1]);
            }
            put = List.of(work);
        }
        structure.put(key, put);
        assertThat(JobReader.read(Jobs.with(Jobs.document(), "roof.structure", structure), false)
                        .problems())
                .anySatisfy(p -> {
                    assertThat(p.path()).startsWith("$.roof.structure." + key);
                    assertThat(p.words()).contains(message);
                });
    }
}
