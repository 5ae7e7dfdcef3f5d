package whipsaw.core.structure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.design.PlaceEdits;
import whipsaw.core.design.WaysOut;
import whipsaw.core.figure.Figures;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;
import whipsaw.core.schema.Problem;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Show;

/** Members under the array's feet: nothing is lost, more load never helps, strengthening does. */
class RoofMembersTest {
    static Map<String, Object> type(Object... more) {
        Map<String, Object> type = new LinkedHashMap<>(Map.of(
                "code",
                "s",
                "edition",
                "1",
                "maker",
                "Nobody",
                "name",
                "rolled",
                "source",
                "made up",
                "status",
                "invented"));
        for (int i = 0; i < more.length; i += 2) {
            type.put((String) more[i], more[i + 1]);
        }
        return type;
    }

    static Map<String, Object> rolled(String depth) {
        return type(
                "shape",
                "i",
                "depth",
                depth,
                "width",
                "150 mm",
                "web",
                "7 mm",
                "flange",
                "10 mm",
                "material",
                "steel",
                "strength",
                "275 MPa",
                "elasticity",
                "210 GPa");
    }

    static Map<String, Object> structure(String along, String spacing, Object... more) {
        Map<String, Object> members = new LinkedHashMap<>(Map.of(
                "id",
                "j",
                "name",
                "Joists",
                "kind",
                "joist",
                "along",
                along,
                "spacing",
                spacing,
                "type",
                rolled("300 mm")));
        Map<String, Object> structure = new LinkedHashMap<>(Map.of("dead", "0.8 kPa", "live", "0.9 kPa"));
        structure.put("members", List.of(members));
        for (int i = 0; i < more.length; i += 2) {
            structure.put((String) more[i], more[i + 1]);
        }
        return structure;
    }

    /** The same with another value of its members. */
    @SuppressWarnings("unchecked")
    static Map<String, Object> with(Map<String, Object> structure, String key, Object value) {
        Map<String, Object> members =
                new LinkedHashMap<>(((List<Map<String, Object>>) structure.get("members")).get(0));
        members.put(key, value);
        structure.put("members", List.of(members));
        return structure;
    }

    static Design design(Map<String, Object> structure, Object... more) {
        Object[] all = new Object[more.length + 4];
        all[0] = "roof.structure";
        all[1] = structure;
        all[2] = "roof.bays";
        all[3] = Map.of("alongX", "12 m", "alongY", "10 m");
        System.arraycopy(more, 0, all, 4, more.length);
        return Jobs.design(all);
    }

    /** All of it on the members, but for what walls and beams take where the bays end. */
    @ParameterizedTest
    @CsvSource({"y,1.7 m", "x,2.3 m", "y,'0.9 m, 1.4 m'"})
    void whatTheArrayWeighsStandsOnTheMembers(String along, String spacing) {
        Design d = design(structure(along, spacing), "array.setback", "3 m");
        RoofMembers.Checked set = d.members().sets().get(0);
        double on =
                set.members().stream().mapToDouble(RoofMembers.Member::arrayN).sum();
        assertThat(on).isCloseTo(d.loads().totalKg() * 9.80665, within(1e-6 * on));
        assertThat(set.members()).allSatisfy(m -> {
            assertThat(m.reactions().arrayLeft() + m.reactions().arrayRight()).isCloseTo(m.arrayN(), within(1e-6));
            assertThat(2 * m.reactions().dead())
                    .isCloseTo(800 * m.line().carriesM() * m.line().spanM(), within(1e-6));
        });
        double across = along.equals("y") ? 60 : 40;
        double last =
                set.members().stream().mapToDouble(m -> m.line().atM()).max().orElseThrow();
        double carried = set.members().stream()
                .mapToDouble(m -> m.line().carriesM() * m.line().spanM())
                .sum();
        assertThat(carried).isCloseTo(d.plan().areaM2() * (1 - (across - last) / 2 / across), within(1e-6 * carried));
    }

    /** With modules up to the edge the wall takes a part of those beside it, and nothing is counted twice. */
    @Test
    void theWallTakesItsPartOfWhatStandsBesideIt() {
        Design d = design(structure("y", "5.9 m"), "array.setback", "0 m");
        double on = d.members().sets().get(0).members().stream()
                .mapToDouble(RoofMembers.Member::arrayN)
                .sum();
        double all = d.loads().totalKg() * 9.80665;
        assertThat(on).isLessThan(all * 0.999).isGreaterThan(all * 0.93);
    }

    @Test
    void anEvenRoofIsTheSimpleSpanOfTheBooks() {
        Design d = design(structure("y", "2 m"), "array.setback", "19 m");
        RoofMembers.Member inner = d.members().sets().get(0).members().stream()
                .filter(m -> m.line().number().equals("B2-3"))
                .findFirst()
                .orElseThrow();
        assertThat(inner.line().carriesM()).isCloseTo(2, within(1e-9));
        double snow = d.site().snow().roofPa();
        double most = Math.max(snow, 900);
        double line = (800 + most) * 2;
        // 10 m span, a third of it wide: over 100 ft2, so GC_p is 0.2, with 0.18 inside, and no less than 16 psf
        double wind = Math.max(16 * 47.88025898, d.site().wind().pressurePa() * 0.38);
        double strong = Math.max(line, 2 * Math.max(800 + 0.75 * most + 0.45 * wind, 800 + 0.6 * wind));
        assertThat(d.downWind().roofPa(100.0 / 3)).isCloseTo(wind, within(1e-6));
        assertThat(inner.before().moment().effect()).isCloseTo(strong * 100 / 8, within(1e-6));
        assertThat(inner.before().moment().combination()).isEqualTo("D + 0.75 (0.6 W) + 0.75 S");
        assertThat(inner.before().shear().effect()).isCloseTo(strong * 5, within(1e-6));
        // I of the sharp-cornered section, by hand in mm: (150 x 300^3 - 143 x 280^3) / 12
        double inertia = (150 * 27e6 - 143 * 21.952e6) / 12 * 1e-12;
        assertThat(inner.before().total().effect()).isCloseTo(5 * line * 1e4 / (384 * 210e9 * inertia), within(1e-7));
        assertThat(inner.before().moment().limit()).isCloseTo(275e6 * 0.5988 * inertia / 0.15, within(1.0));
    }

    @Test
    void moreLoadNeverHelpsAndLiveLoadMayStopUnderModules() {
        double before = worst(design(structure("y", "1.7 m")));
        Map<String, Object> heavy = structure("y", "1.7 m");
        heavy.put("dead", "1.1 kPa");
        assertThat(worst(design(heavy))).isGreaterThan(before);
        assertThat(worst(design(structure("y", "2.4 m")))).isGreaterThan(before);
        Map<String, Object> off = structure("y", "1.7 m", "liveUnderArray", false);
        off.put("live", "3 kPa");
        Map<String, Object> on = structure("y", "1.7 m");
        on.put("live", "3 kPa");
        assertThat(worst(design(off))).isLessThan(worst(design(on)));
    }

    private static double worst(Design d) {
        return d.members().sets().get(0).worst().after().utilisation();
    }

    @ParameterizedTest
    @CsvSource({"double,0.5", "between,0.56", "support,0.4"})
    void strengtheningHelpsWhereItIsDone(String kind, double most) {
        Map<String, Object> work = Map.of("id", "w", "members", "j", "kind", kind, "bays", "b2");
        Design plain = design(structure("y", "2 m"));
        Design strong = design(structure("y", "2 m", "works", List.of(work)));
        double inBay = strong.members().sets().get(0).members().stream()
                .filter(m -> m.line().number().startsWith("B2") && m.line().carriesM() < 1.9 == kind.equals("between"))
                .mapToDouble(m -> m.after().utilisation())
                .max()
                .orElseThrow();
        double was = utilisation(plain, "B2-4");
        assertThat(inBay).isLessThan(was * most * 1.35);
        assertThat(utilisation(strong, "D3-4")).isEqualTo(utilisation(plain, "D3-4"));
        assertThat(strong.checks())
                .filteredOn(c -> c.id().equals("roof.works-w"))
                .singleElement()
                .satisfies(c -> assertThat(c.verdict()).isEqualTo(Verdict.NEEDS_ENGINEER));
    }

    @Test
    void membersBearTheFeetOfEveryArray() {
        Design whole = design(structure("y", "2 m"));
        var changes = new PlaceEdits(whole).split(new Coordinate(25, -1), new Coordinate(25, 41));
        Design d = Jobs.SOLVER.solve(
                JobReader.read(DocumentPatch.apply(whole.job(), changes), false).job());
        double borne = d.members().sets().stream()
                .flatMap(s -> s.members().stream())
                .mapToDouble(RoofMembers.Member::arrayN)
                .sum();
        // walls take a little of what stands beside them
        double all = d.loads().totalKg() * 9.80665;
        assertThat(borne).isBetween(0.99 * all, all * 1.000001);
        double inBays =
                d.loads().bays().stream().mapToDouble(b -> b.load().massKg()).sum();
        assertThat(inBays).isCloseTo(d.loads().totalKg(), within(1e-6 * inBays));
        assertThat(d.at("B").members()).isSameAs(d.members());
    }

    /** A signature is kept with what it was given on, and lapses when members are used more or the work is another one. */
    @Test
    void aSignatureHoldsForTheFiguresItWasGivenOn() {
        Map<String, Object> work = Map.of("id", "w", "members", "j", "kind", "double", "bays", "b2");
        Map<String, Object> plain = structure("y", "2 m", "works", List.of(work));
        Design unsigned = design(plain);
        Map<String, Object> signedWork = new LinkedHashMap<>(work);
        signedWork.put("seen", Map.of("by", "E. Ngineer", "on", "2026-10-01"));
        plain.put("works", List.of(signedWork));
        Design signed = design(plain);
        assertThat(verdict(signed)).isEqualTo(Verdict.NEEDS_ENGINEER);
        assertThat(SignOff.any(unsigned.job(), signed.job())).isTrue();
        var figures = SignOff.records(unsigned.job(), signed.job(), signed.members());
        Map<String, Object> document = DocumentPatch.apply(signed.job(), figures);
        var kept = JobReader.read(document, false);
        assertThat(kept.problems()).isEmpty();
        Design holds = Jobs.SOLVER.solve(kept.job());
        assertThat(verdict(holds)).isEqualTo(Verdict.CLOSE);
        assertThat(SignOff.any(signed.job(), holds.job())).isFalse();
        for (DocumentPatch.Change worse : List.of(
                new DocumentPatch.Change("set", "$.roof.structure.dead", "1.1 kPa"),
                new DocumentPatch.Change("set", "$.roof.structure.works[id=w].bays", "B2, C2"),
                new DocumentPatch.Change("set", "$.roof.structure.works[id=w].kind", "support"))) {
            var reading = JobReader.read(DocumentPatch.apply(kept.job(), List.of(worse)), false);
            assertThat(verdict(Jobs.SOLVER.solve(reading.job())))
                    .as(worse.path())
                    .isEqualTo(Verdict.NEEDS_ENGINEER);
        }
        var lighter = JobReader.read(
                DocumentPatch.apply(
                        kept.job(), List.of(new DocumentPatch.Change("set", "$.roof.structure.dead", "0.7 kPa"))),
                false);
        assertThat(verdict(Jobs.SOLVER.solve(lighter.job()))).isEqualTo(Verdict.CLOSE);
    }

    private static Verdict verdict(Design d) {
        return d.checks().stream()
                .filter(c -> c.id().equals("roof.works-w"))
                .findFirst()
                .orElseThrow()
                .verdict();
    }

    private static double utilisation(Design d, String number) {
        return d.members().sets().get(0).members().stream()
                .filter(m -> m.line().number().equals(number))
                .findFirst()
                .orElseThrow()
                .after()
                .utilisation();
    }

    /** A section that passes bare and not with the array is brought to pass by single changes, each of which holds. */
    @Test
    void waysOutOfMembersThatCarryTooMuch() {
        Map<String, Object> weak = structure("y", "2 m");
        double least = worst(design(weak));
        // the strength at which the worst carries a tenth too much
        String strength = 275 * least / 1.1 + " MPa";
        Map<String, Object> type = rolled("300 mm");
        type.put("strength", strength);
        with(weak, "type", type);
        Design d = design(weak);
        Check check = d.checks().stream()
                .filter(c -> c.id().equals("roof.members-j"))
                .findFirst()
                .orElseThrow();
        assertThat(check.verdict()).isEqualTo(Verdict.FAILS);
        List<WaysOut.Way> ways = WaysOut.of(d, check, List.of(), Jobs.SOLVER);
        assertThat(ways)
                .filteredOn(WaysOut.Way::clears)
                .extracting(WaysOut.Way::kind)
                .contains("double", "between", "support");
        for (WaysOut.Way way : ways.stream().filter(WaysOut.Way::clears).toList()) {
            var reading = JobReader.read(DocumentPatch.apply(d.job(), way.changes()), false);
            assertThat(reading.problems()).isEmpty();
            Design after = Jobs.SOLVER.solve(reading.job());
            assertThat(after.checks())
                    .filteredOn(c -> c.id().equals("roof.members-j"))
                    .allSatisfy(c -> assertThat(c.verdict().stops()).isFalse());
        }
        // costs: a length of members and a number of supports, at the prices of the list
        var prices = CodeTables.shipped().prices();
        WaysOut.Way support = way(ways, "support");
        int bays = support.words().split(" in ")[1].split(":")[0].split(",").length;
        double cost =
                supports(support) * prices.price("support") + prices.price("design") + bays * prices.price("access");
        assertThat(support.cost())
                .contains(Show.number(cost, 0))
                .contains(prices.currency())
                .contains("invented price list");
        assertThat(way(ways, "double").cost()).startsWith("costs").contains("of members");
    }

    private static WaysOut.Way way(List<WaysOut.Way> ways, String kind) {
        return ways.stream().filter(w -> w.kind().equals(kind)).findFirst().orElseThrow();
    }

    /** The number of supports as the words of a way say it. */
    private static int supports(WaysOut.Way way) {
        var m = Pattern.compile("the (\\d+) ").matcher(way.words());
        assertThat(m.find()).isTrue();
        return Integer.parseInt(m.group(1));
    }

    @Test
    void theRuleOfSmallIncreasesActsOnlyWhereItIsChosenAndIsSaid() {
        Map<String, Object> heavy = structure("y", "2 m", "smallIncrease", true);
        heavy.put("dead", "18 kPa");
        Design d = design(heavy);
        RoofMembers.Member worst = d.members().sets().get(0).worst();
        assertThat(worst.after().ok()).isFalse();
        assertThat(worst.increase()).isLessThan(1.05);
        assertThat(worst.bySmallIncrease()).isTrue();
        assertThat(d.checks())
                .filteredOn(c -> c.id().equals("roof.members-j"))
                .singleElement()
                .satisfies(c -> {
                    assertThat(c.verdict()).isEqualTo(Verdict.CLOSE);
                    assertThat(c.remark()).contains("rule of small increases");
                });
        heavy.put("smallIncrease", false);
        assertThat(design(heavy).members().sets().get(0).worst().ok()).isFalse();
    }

    @Test
    void whatIsNotKnownIsSaidAndNothingIsPassed() {
        Map<String, Object> bare = structure("y", "2 m");
        bare.remove("dead");
        assertThat(design(bare).members().missing()).containsExactly("the existing dead load");
        Map<String, Object> table = with(
                structure("y", "2 m"),
                "type",
                type(
                        "shape",
                        "table",
                        "material",
                        "steel",
                        "table",
                        List.of(Map.of("span", "8 m", "total", "5 kN/m"))));
        Design d = design(table);
        assertThat(d.members().sets()).isEmpty();
        assertThat(d.checks())
                .filteredOn(c -> c.id().equals("roof.members"))
                .singleElement()
                .satisfies(c -> {
                    assertThat(c.verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
                    assertThat(c.demand()).contains("load table of Joists");
                });
    }

    @Test
    void aBayTheRoofHasNotIsNamed() {
        Map<String, Object> structure = structure("y", "2 m");
        Map<String, Object> members = new LinkedHashMap<>(
                (Map<String, Object>) ((List<Map<String, Object>>) structure.get("members")).get(0));
        members.put("bays", "B2, Z9");
        structure.put("members", List.of(members));
        Design d = design(structure);
        assertThat(d.members().missing()).singleElement().asString().contains("Z9 of Joists");
        assertThat(d.members().sets()).hasSize(1);
        assertThat(d.members().sets().get(0).members())
                .allSatisfy(m -> assertThat(m.line().number()).startsWith("B2-"));
    }

    @Test
    void aWorkingSaysWhatIsPutIn() {
        Design d = design(structure("y", "2 m"));
        String worst = d.members().sets().get(0).worst().line().number();
        var working = new Figures(d, CodeTables.shipped()).working("member/j/" + worst);
        assertThat(working.title()).isEqualTo("Joists " + worst);
        assertThat(working.toString()).contains("section modulus", "feet on it", "D + ", "licensed engineer");
        assertThat(new Figures(d, CodeTables.shipped()).working("member/j/Z9-1"))
                .isNull();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "bays|corner bay|is no bay",
                "kind|roofbeam|joist",
                "spacing|0 m|more than 0",
                "first|40 m|0 m to 30 m"
            })
    void badMembersAreNamedAtTheirField(String key, String value, String message) {
        Map<String, Object> structure = structure("y", "2 m");
        Map<String, Object> members = new LinkedHashMap<>(
                (Map<String, Object>) ((List<Map<String, Object>>) structure.get("members")).get(0));
        members.put(key, value);
        structure.put("members", List.of(members));
        List<Problem> problems = JobReader.read(Jobs.with(Jobs.document(), "roof.structure", structure), false)
                .problems();
        assertThat(problems).isNotEmpty().allSatisfy(p -> assertThat(p.path())
                .isEqualTo("$.roof.structure.members[0]." + key));
        assertThat(problems.get(0).words()).contains(message);
    }

    @Test
    void formedSectionsAgreeWithASumOverTheirSheet() {
        MemberType z = (MemberType) JobReader.readEntry(
                        "member",
                        type(
                                "shape",
                                "z",
                                "depth",
                                "200 mm",
                                "width",
                                "65 mm",
                                "web",
                                "1.8 mm",
                                "lip",
                                "20 mm",
                                "material",
                                "cold-formed",
                                "strength",
                                "350 MPa",
                                "elasticity",
                                "210 GPa"))
                .job();
        Section s = Section.of(z);
        double h = 200 - 1.8;
        double sum = 0;
        for (double y = -h / 2; y < h / 2; y += 0.01) {
            sum += 1.8 * 0.01 * Math.pow(y + 0.005, 2);
        }
        sum += 2 * (65 - 1.8) * 1.8 * Math.pow(h / 2, 2);
        for (double y = h / 2 - (20 - 0.9); y < h / 2; y += 0.01) {
            sum += 2 * 1.8 * 0.01 * Math.pow(y + 0.005, 2);
        }
        assertThat(s.inertiaM4() * 1e12).isCloseTo(sum, within(sum * 1e-3));
        assertThat(s.modulusM3() * 1e9).isCloseTo(sum / 100, within(sum * 1e-5));
    }
}
