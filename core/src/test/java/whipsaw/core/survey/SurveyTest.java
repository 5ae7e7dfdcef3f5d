package whipsaw.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.SurveyQuestion;

/** What a survey comes to on a roof of 60 m by 40 m with trays on it. */
class SurveyTest {
    private static Map<String, Object> answers(Object... idAndValue) {
        Map<String, Object> answers = new java.util.LinkedHashMap<>();
        for (int i = 0; i < idAndValue.length; i += 2) {
            answers.put((String) idAndValue[i], Map.of("value", idAndValue[i + 1], "how", "measured"));
        }
        return Map.of("answers", answers);
    }

    private static Design surveyed(Map<String, Object> survey, Object... more) {
        Object[] all = new Object[more.length + 2];
        all[0] = "survey";
        all[1] = survey;
        System.arraycopy(more, 0, all, 2, more.length);
        return Jobs.design(all);
    }

    private static Map<String, Consequences.Consequence> consequences(Design d) {
        return Consequences.of(d.job(), d.plan(), d.layout()).stream()
                .collect(Collectors.toMap(Consequences.Consequence::id, c -> c));
    }

    private static Check check(Design d, String id) {
        return d.checks().stream().filter(c -> c.id().equals(id)).findFirst().orElse(null);
    }

    @Test
    void gravelIsATaskWithTheAreaOfTheArrayAndItsVolume() {
        Design d = surveyed(answers("gravel", "yes", "gravelDepth", "50 mm"));
        var gravel = consequences(d).get("gravel");
        double area = d.layout().footprintM2();
        assertThat(area).isGreaterThan(100);
        assertThat(gravel.amount())
                .contains(whipsaw.core.units.Show.number(area * 0.05, 1) + " m³")
                .startsWith(String.valueOf((long) area));
        assertThat(consequences(surveyed(answers("gravel", "no")))).doesNotContainKey("gravel");
    }

    private static Design agreed(String holdDown, String by) {
        return surveyed(Map.of(
                "answers",
                Map.of(
                        "coverAge",
                        Map.of("value", 40),
                        "holdDownAgreed",
                        Map.of("value", holdDown, "how", "told", "by", by))));
    }

    /** What is to be asked first stays open until its maker has agreed to that very hold-down. */
    @Test
    void anAgreementCountsForTheHoldDownItNames() {
        assertThat(check(surveyed(answers("coverAge", 40)), "array.hold-down-ballast")
                        .verdict())
                .isEqualTo(Verdict.NOT_ESTABLISHED);
        for (String[] a : new String[][] {{"bonded", "M. Hollin"}, {"ballast", ""}}) {
            assertThat(may(agreed(a[0], a[1]), "ballast")).as(a[0]).isEqualTo(HoldDowns.Answer.ASK);
        }
        Design agreed = agreed("ballast", "M. Hollin, letter of May");
        assertThat(may(agreed, "ballast")).isEqualTo(HoldDowns.Answer.PERMITTED);
        assertThat(check(agreed, "array.hold-down-ballast")).isNull();
        assertThat(may(agreed, "clamped")).isEqualTo(HoldDowns.Answer.NOT_PERMITTED);
    }

    /** Bitumen flows in the heat: without its maker's word nothing is established, and a plate spreads the load. */
    @Test
    void feetOnACoveringThatSoftensAreHeldAgainstItsStrengthInTheHeat() {
        Object[] bitumen = {
            "roof.covering",
            "bitumen",
            "array.tray.friction",
            Map.of("bitumen", 0.5),
            "array.tray.footLength",
            "300 mm",
            "array.tray.footWidth",
            "100 mm"
        };
        assertThat(check(surveyed(answers("coverAge", 5)), "roof.cover")).isNull();
        Check open = check(surveyed(answers("coverAge", 5, "coverBearing", "80 kPa"), bitumen), "roof.cover");
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        Design foot = surveyed(answers("coverBearing", "80 kPa", "coverBearingHot", "20 kPa"), bitumen);
        double newton = foot.cover().massKg() * 9.80665 / 4;
        assertThat(foot.cover().utilisation()).isCloseTo(newton / 0.03 / 20_000, within(1e-9));
        Design plate = surveyed(
                answers("coverBearing", "15 kPa", "coverBearingHot", "20 kPa", "spreaderSide", "400 mm"), bitumen);
        assertThat(plate.cover().utilisation()).isCloseTo(newton / 0.16 / 15_000, within(1e-9));
        assertThat(check(surveyed(answers("softInHeat", "yes")), "roof.cover").verdict())
                .isEqualTo(Verdict.NOT_ESTABLISHED);
    }

    /** From each module: how far a flue is, which way it lies, and whether the module is where it blows. */
    @Test
    void dirtIsToldModuleByModule() {
        Map<String, Object> flue = Map.of(
                "id", "f", "name", "Flue", "kind", "flue", "x", "29.5 m", "y", "19.5 m", "width", "1 m", "depth", "1 m",
                "height", "1 m", "exhaust", "90 deg");
        Map<String, Object> survey = answers("dirt", "railway", "dirtDistance", "50 m", "dirtDirection", "270 deg");
        Design d = surveyed(survey, "roof.obstructions", List.of(flue), "roof.upAzimuth", "0 deg");
        Soiling soiling = Soiling.of(d.job(), d.layout());
        int in = 0;
        for (var m : d.layout().modules()) {
            var c = d.layout().corners(m);
            double dx = 30 - (c[0].x + c[2].x) / 2;
            double dy = 20 - (c[0].y + c[2].y) / 2;
            Soiling.From from = soiling.from(d.layout(), m).stream()
                    .filter(f -> f.name().equals("Flue"))
                    .findFirst()
                    .orElseThrow();
            assertThat(from.distanceM()).isCloseTo(Math.hypot(dx, dy), within(1e-9));
            assertThat(Math.sin(Math.toRadians(from.bearingDeg())) * from.distanceM())
                    .isCloseTo(dx, within(1e-6));
            // it blows to the east
            assertThat(!from.inDrift() || dx < 0).isTrue();
            in += from.inDrift() ? 1 : 0;
        }
        assertThat(in).isPositive();
        assertThat(consequences(d).get("drift-f").amount()).isEqualTo(in + " modules");
        double nearest = d.layout().modules().stream()
                .flatMap(m -> soiling.from(d.layout(), m).stream())
                .filter(f -> f.name().equals("railway"))
                .mapToDouble(Soiling.From::distanceM)
                .min()
                .orElseThrow();
        assertThat(nearest).isBetween(50.0, 60.0);
    }

    @Test
    void anOldRoofStopsTheJobAndOneThatEndsBeforeTheArrayWarns() {
        assertThat(check(surveyed(answers("coverAge", 40)), "survey.cover-age").verdict())
                .isEqualTo(Verdict.FAILS);
        assertThat(check(surveyed(answers("coverAge", 5)), "survey.cover-age").verdict())
                .isEqualTo(Verdict.CLOSE);
        assertThat(check(surveyed(answers("coverState", "leaking")), "survey.cover-state")
                        .verdict())
                .isEqualTo(Verdict.FAILS);
        assertThat(check(surveyed(answers("coverState", "sound")), "survey.cover-state"))
                .isNull();
    }

    private static HoldDowns.Answer may(Design d, String way) {
        return HoldDowns.of(d.job(), way).answer();
    }

    @Test
    void whatMayHoldTheArrayGoesByCoveringAgeGravelAndDeck() {
        Design unknown = surveyed(answers());
        assertThat(may(unknown, "ballast")).isEqualTo(HoldDowns.Answer.NOT_KNOWN);
        assertThat(check(unknown, "array.hold-down-ballast").verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        Design bare = surveyed(answers("coverAge", 5));
        assertThat(may(bare, "ballast")).isEqualTo(HoldDowns.Answer.PERMITTED);
        assertThat(may(bare, "screwed")).isEqualTo(HoldDowns.Answer.NOT_KNOWN);
        assertThat(may(bare, "clamped")).isEqualTo(HoldDowns.Answer.NOT_PERMITTED);
        assertThat(check(bare, "array.hold-down-ballast")).isNull();

        Map<String, Object> onConcrete = answers("coverAge", 5);
        Object[] concrete = {"roof.covering", "TPO", "roof.buildUps", List.of(Map.of("face", 0, "deck", "concrete"))};
        Design slab = surveyed(onConcrete, concrete);
        assertThat(may(slab, "bolted")).isEqualTo(HoldDowns.Answer.PERMITTED);
        assertThat(may(slab, "screwed")).isEqualTo(HoldDowns.Answer.NOT_PERMITTED);
        assertThat(may(slab, "bonded")).isEqualTo(HoldDowns.Answer.PERMITTED);
        assertThat(may(surveyed(answers("coverAge", 15), concrete), "bonded")).isEqualTo(HoldDowns.Answer.ASK);
        assertThat(may(surveyed(answers("coverAge", 5, "gravel", "yes"), concrete), "bonded"))
                .isEqualTo(HoldDowns.Answer.ASK);

        Map<String, Object> screwed = new java.util.LinkedHashMap<>(
                Map.of("tension", "4 kN", "shear", "3 kN", "mostBlocks", 0, "bays", "", "kind", "screwed"));
        Object[] all = {
            concrete[0], concrete[1], concrete[2], concrete[3], "array.attachments", screwed, "site.sds", 0.5
        };
        assertThat(check(surveyed(onConcrete, all), "array.hold-down-screwed").verdict())
                .isEqualTo(Verdict.FAILS);
        screwed.put("kind", "bolted");
        assertThat(check(surveyed(onConcrete, all), "array.hold-down-bolted")).isNull();
        screwed.remove("kind");
        assertThat(check(surveyed(onConcrete, all), "array.attachment-kind").verdict())
                .isEqualTo(Verdict.NOT_ESTABLISHED);
    }

    @Test
    void dirtFromTheWestIsNearestToTheWestEndAndANewOccupantIsAskedAbout() {
        Design d = surveyed(answers("dirt", "farm", "dirtDistance", "80 m", "dirtDirection", "270 deg"));
        String reach = consequences(d).get("dirt").amount();
        var near = java.util.regex.Pattern.compile("nearest module (\\S+) at (\\S+) m")
                .matcher(reach);
        assertThat(near.find()).as(reach).isTrue();
        double westmost = d.layout().modules().stream()
                .mapToDouble(m -> d.layout().corners(m)[0].x)
                .min()
                .orElseThrow();
        assertThat(d.layout().modules().stream()
                        .filter(m -> m.number().equals(near.group(1)))
                        .findFirst()
                        .map(m -> d.layout().corners(m)[0].x))
                .hasValue(westmost);
        assertThat(Double.parseDouble(near.group(2))).isBetween(80.0, 80.2);
        assertThat(consequences(surveyed(answers("dirt", "farm"))).get("dirt").amount())
                .isEmpty();
        assertThat(consequences(surveyed(answers("newOccupant", "yes")))).containsKey("new-occupant");
        assertThat(consequences(d)).doesNotContainKey("new-occupant");
    }

    @Test
    void aWarrantyAddsItsStepsAndNoneAddsNone() {
        Design d = surveyed(answers(
                "warrantyHolder",
                "Hollin Roofing",
                "warrantyRequires",
                "no screws",
                "whoFlashes",
                "their own crew",
                "inspectionNeeded",
                "yes"));
        assertThat(consequences(d).values().stream().filter(c -> c.kind() == Consequences.Kind.WARRANTY))
                .extracting(Consequences.Consequence::id)
                .containsExactlyInAnyOrder(
                        "warranty-letter", "warranty-requires", "warranty-flash", "warranty-inspection");
        assertThat(consequences(surveyed(answers("warrantyHolder", "None"))).values())
                .noneMatch(c -> c.kind() == Consequences.Kind.WARRANTY);
    }

    @Test
    void fragileThingsMakePlacesNotToStepOnAndAnExhaustSoilsDownwindOnly() {
        Map<String, Object> light = Map.of(
                "id",
                "l",
                "name",
                "Light",
                "kind",
                "skylight",
                "x",
                "10 m",
                "y",
                "10 m",
                "width",
                "2 m",
                "depth",
                "1 m",
                "height",
                "0.1 m");
        Design d = surveyed(answers(), "roof.obstructions", List.of(light));
        // 2 by 1 with half a metre around, corners rounded by a polygon
        assertThat(NoWalk.of(d.job(), d.plan()).getArea()).isBetween(5 + 0.7, 5 + Math.PI / 4);
        assertThat(consequences(d)).containsKey("no-walk");
        Map<String, Object> sound = new java.util.LinkedHashMap<>(light);
        sound.put("fragile", false);
        assertThat(NoWalk.of(
                                surveyed(answers(), "roof.obstructions", List.of(sound))
                                        .job(),
                                d.plan())
                        .isEmpty())
                .isTrue();
        long north = drift("0 deg");
        long south = drift("180 deg");
        assertThat(north).isPositive();
        assertThat(south).as("nothing stands beyond the edge").isZero();
    }

    private static long drift(String azimuth) {
        Map<String, Object> flue = Map.of(
                "id", "f", "name", "Flue", "kind", "flue", "shape", "circle", "x", "30 m", "y", "1 m", "width", "0.4 m",
                "height", "1 m", "exhaust", azimuth);
        Design d = surveyed(answers(), "roof.obstructions", List.of(flue), "roof.upAzimuth", "0 deg");
        var later = consequences(d).get("drift-f");
        return later == null ? 0 : Long.parseLong(later.amount().replace(" modules", ""));
    }

    @Test
    void whatTheSurveyContradictsIsAFailedCheckAtItsPlace() {
        assertThat(check(surveyed(answers("terrainE", "D")), "survey.terrain-E").remark())
                .contains("exposure to D");
        assertThat(check(surveyed(answers("terrainE", "B")), "survey.terrain-E"))
                .isNull();
        assertThat(check(surveyed(answers("terrainE", "II")), "survey.terrain-E")
                        .verdict())
                .isEqualTo(Verdict.NOT_ESTABLISHED);
        assertThat(check(surveyed(answers("busbar", "400 A", "mainDevice", "600 A")), "survey.busbar"))
                .isNotNull();
        Design bay = Jobs.design(
                "roof.bays", Map.of("alongX", "2 @ 10 m, 20 m", "alongY", "20 m"),
                "roof.bayNotes", List.of(Map.of("bay", "C1", "fall", "3 deg", "undulation", "4 deg", "ponds", true)));
        assertThat(bay.plan().bays()).hasSize(8);
        assertThat(check(bay, "survey.fall-C1").place().items()).containsExactly(2);
        assertThat(check(bay, "survey.even-C1").verdict()).isEqualTo(Verdict.FAILS);
        assertThat(check(bay, "survey.ponds-C1").verdict()).isEqualTo(Verdict.CLOSE);
        double spread =
                bay.loads().bays().stream().mapToDouble(b -> b.load().massKg()).sum();
        assertThat(spread)
                .as("uneven bays lose no load")
                .isCloseTo(bay.loads().footprint().massKg(), within(1e-6));
    }

    @Test
    void purlinsThatDoNotAddUpToTheSlopeAreFound() {
        Object form = Map.of(
                "kind",
                "folded",
                "edge",
                1,
                "folds",
                List.of(Map.of("across", "0 m", "height", "0 m"), Map.of("across", "40 m", "height", "2 m")));
        for (var c : Map.of("26 @ 1.5 m, 1 m", false, "24 @ 1.5 m", true, "28 @ 1.5 m", true)
                .entrySet()) {
            Design d = Jobs.design(
                    "roof.covering",
                    "standing seam",
                    "roof.form",
                    form,
                    "roof.buildUps",
                    List.of(Map.of("face", 0, "purlins", c.getKey())));
            assertThat(check(d, "survey.purlins-1") != null).as(c.getKey()).isEqualTo(c.getValue());
            assertThat(check(d, "array.method").verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        }
    }

    @Test
    void theSheetSaysWhatIsMissingForWhichStage() {
        SurveySheet bare = SurveySheet.of(Jobs.job());
        assertThat(bare.missing("R")).extracting(l -> l.question().id()).contains("busbar", "mainDevice", "routes");
        assertThat(bare.lines())
                .extracting(l -> l.question().id())
                .contains("gravel")
                .doesNotContain("purlins", "sheet");
        SurveySheet some = SurveySheet.of(surveyed(answers("busbar", "800 A")).job());
        assertThat(some.missing("R")).hasSize(bare.missing("R").size() - 1);
        assertThat(some.count(SurveySheet.Status.MEASURED)).isEqualTo(bare.count(SurveySheet.Status.MEASURED) + 1);
        SurveySheet metal = SurveySheet.of(Jobs.job("roof.covering", "standing seam"));
        assertThat(metal.missing("C")).extracting(l -> l.question().id()).contains("purlins", "sheet", "firstRib");
        assertThat(metal.lines()).extracting(l -> l.question().id()).doesNotContain("gravel");
    }

    @Test
    void answersAreReadByTheirQuestionAndRefusedInWords() {
        Map<String, Object> document = Jobs.document();
        Jobs.with(
                document,
                "survey",
                answers("coverAge", 300, "gravelDepth", "4 m", "coverState", "fine", "warrantyUntil", "soon"));
        assertThat(JobReader.read(document, false).problems())
                .extracting(p -> p.path() + " " + p.message())
                .anyMatch(t -> t.startsWith("$.survey.answers.coverAge.value") && t.contains("0 to 80"))
                .anyMatch(t -> t.startsWith("$.survey.answers.gravelDepth.value") && t.contains("outside"))
                .anyMatch(t -> t.startsWith("$.survey.answers.coverState.value") && t.contains("sound, worn"))
                .anyMatch(t -> t.startsWith("$.survey.answers.warrantyUntil.value") && t.contains("2026-05-31"));
    }

    private static Map<String, Object> way(String name, String length, String toX) {
        return Map.of(
                "name",
                name,
                "vertical",
                false,
                "length",
                length,
                "place",
                Map.of("x", "-4 m", "y", "2 m", "toX", toX, "toY", "2 m"));
    }

    /** A leg is at least as long as its ends are apart; photographs that were taken have a place. */
    @Test
    void whatAVisitWroteDownIsHeldAgainstItself() {
        for (String[] c : new String[][] {{"10 m", "fits"}, {"9.9 m", "fails"}, {"14 m", "fits"}}) {
            Map<String, Object> survey = new java.util.LinkedHashMap<>(answers());
            survey.put(
                    "routes", List.of(Map.of("id", "r", "name", "Shaft", "legs", List.of(way("over", c[0], "6 m")))));
            Check leg = check(surveyed(survey), "survey.leg-r-1");
            assertThat(leg == null).as(c[0]).isEqualTo(c[1].equals("fits"));
        }
        Map<String, Object> seen = new java.util.LinkedHashMap<>(answers("seenBelow", "yes"));
        assertThat(check(surveyed(seen), "survey.seen-below").verdict()).isEqualTo(Verdict.CLOSE);
        Map<String, Object> pin =
                new java.util.LinkedHashMap<>(Map.of("id", "p", "kind", "seen from below", "x", "12 m", "y", "3 m"));
        seen.put("pins", List.of(pin));
        assertThat(check(surveyed(seen), "survey.seen-below")).isNotNull();
        pin.put("photos", List.of("abc"));
        assertThat(check(surveyed(seen), "survey.seen-below")).isNull();
    }

    @Test
    void everythingASurveyHoldsIsWrittenAsItWasRead() {
        Map<String, Object> survey = new java.util.LinkedHashMap<>(answers("coverAge", 7, "exportLimit", "150 kW"));
        survey.put(
                "pins",
                List.of(Map.of(
                        "id",
                        "p",
                        "kind",
                        "hoist",
                        "x",
                        "1 m",
                        "y",
                        "2 m",
                        "reach",
                        "12 m",
                        "load",
                        "200 kg",
                        "seen",
                        "2026-11-03",
                        "photos",
                        List.of("abc"))));
        survey.put(
                "routes",
                List.of(Map.of(
                        "id",
                        "r",
                        "name",
                        "Shaft",
                        "keys",
                        "caretaker, until 4 pm",
                        "legs",
                        List.of(
                                Map.of("name", "down", "vertical", true, "length", "8 m", "photos", List.of("abc")),
                                way("over the corridor", "12 m", "6 m")))));
        survey.put(
                "viewers",
                List.of(Map.of(
                        "id", "v", "name", "Bridge", "x", "140 m", "y", "22 m", "eye", "1.6 m", "ground", "4 m")));
        survey.put("unseen", true);
        survey.put(
                "occupants", List.of(Map.of("id", "o", "name", "Shop", "kw", java.util.Collections.nCopies(24, 2.5))));
        survey.put(
                "underlay",
                Map.of(
                        "picture",
                        "abc",
                        "x",
                        "0 m",
                        "y",
                        "0 m",
                        "metresPerPixel",
                        0.02,
                        "turnDeg",
                        3.5,
                        "opacityPct",
                        60));
        var job = surveyed(
                        survey,
                        "roof.obstructions",
                        List.of(Map.of(
                                "id",
                                "q",
                                "name",
                                "Odd",
                                "kind",
                                "plant",
                                "shape",
                                "polygon",
                                "x",
                                "5 m",
                                "y",
                                "5 m",
                                "corners",
                                List.of(
                                        Map.of("x", "0 m", "y", "0 m"),
                                        Map.of("x", "3 m", "y", "0 m"),
                                        Map.of("x", "0 m", "y", "2 m")),
                                "height",
                                "1 m",
                                "shades",
                                false,
                                "measured",
                                "5 m from 1, 5 m from 4")))
                .job();
        assertThat(JobReader.read(JobWriter.write(job), false).job()).isEqualTo(job);
        assertThat(job.survey().routes().get(0).lengthM()).isEqualTo(20);
        assertThat(job.survey().occupants().get(0).kwhPerDay()).isEqualTo(60);
    }

    @Test
    void everyQuestionFoundElsewhereHasAWayToBeFound() {
        for (String covering : List.of("TPO", "standing seam")) {
            assertThat(SurveySheet.of(Jobs.job("roof.covering", covering)).lines())
                    .isNotEmpty();
        }
        assertThat(SurveyQuestion.all()).extracting(SurveyQuestion::id).doesNotHaveDuplicates();
        assertThat(SurveyQuestion.all()).allSatisfy(q -> assertThat(
                        q.stages().chars().allMatch(c -> SurveySheet.STAGES.containsKey(String.valueOf((char) c))))
                .as(q.id())
                .isTrue());
    }

    @Test
    @SuppressWarnings("unchecked")
    void whatLiesInTheSiteIsSeenFromEveryRoofWhereItLies() {
        Map<String, Object> survey = new java.util.LinkedHashMap<>(answers());
        Map<String, Object> annex = new java.util.LinkedHashMap<>(
                ((List<Map<String, Object>>) JobWriter.write(Jobs.job()).get("roofs")).get(0));
        annex.keySet().removeAll(List.of("id", "name"));
        annex.put("upAzimuth", "40 deg");
        survey.put("roofs", List.of(Map.of("id", "a", "name", "Annex", "x", "70 m", "y", "-5 m", "roof", annex)));
        survey.put("pins", List.of(Map.of("id", "p", "kind", "leak", "x", "12 m", "y", "3 m")));
        survey.put("routes", List.of(Map.of("id", "r", "name", "Shaft", "legs", List.of(way("over", "12 m", "6 m")))));
        var job = surveyed(survey, "roof.upAzimuth", "10 deg").job();
        assertThat(job.document().places()).containsExactly("A", "a");
        var over = job.at("a");
        assertThat(over.on().name()).isEqualTo("Annex");
        assertThat(over.placed()).isNull();
        assertThat(over.roof().upAzimuth().si()).isEqualTo(40);
        var pin = over.survey().pins().get(0);
        // 58 m to the left and 8 m up of the annex's corner, on a sheet turned 30 degrees clockwise
        double turn = Math.toRadians(30);
        assertThat(pin.x().si()).isCloseTo(-58 * Math.cos(turn) - 8 * Math.sin(turn), within(1e-3));
        assertThat(pin.y().si()).isCloseTo(-58 * Math.sin(turn) + 8 * Math.cos(turn), within(1e-3));
        var leg = over.survey().routes().get(0).legs().get(0).place();
        assertThat(leg.lengthM()).isCloseTo(10, within(1e-3));
        assertThat(leg.x().si()).isNotCloseTo(-4, within(1.0));
        var move = whipsaw.core.job.SheetMove.of(job.on(), over.on());
        double[] back = move.inSite(pin.x().si(), pin.y().si());
        assertThat(back[0]).isCloseTo(12, within(1e-3));
        assertThat(back[1]).isCloseTo(3, within(1e-3));
        assertThat(over.at("A")).isEqualTo(job);
        assertThat(JobReader.read(JobWriter.write(over), false).job().at("a")).isEqualTo(over);
        // nothing is placed on it, and nothing is asked of an array there
        Design design = Jobs.SOLVER.solve(job);
        assertThat(design.at("a").layout().modules()).isEmpty();
        assertThat(design.at("a").plan().areaM2()).isEqualTo(2400);
        assertThat(design.checks()).noneMatch(c -> c.about().contains("a"));
    }

    @Test
    void whatTheSurveyContradictsIsPutRightByOneChange() {
        Design windy = surveyed(answers("terrainE", "D"));
        var ways = whipsaw.core.design.WaysOut.of(windy, check(windy, "survey.terrain-E"), List.of(), Jobs.SOLVER);
        assertThat(ways).anySatisfy(w -> {
            assertThat(w.words()).isEqualTo("Exposure D for wind");
            assertThat(w.after()).as("the check no longer arises").isNull();
        });
        Map<String, Object> vent = new java.util.LinkedHashMap<>(Map.of(
                "id",
                "v",
                "name",
                "Vent",
                "kind",
                "vent",
                "x",
                "10 m",
                "y",
                "10 m",
                "width",
                "1 m",
                "depth",
                "1 m",
                "height",
                "1 m",
                "measured",
                "12 m from edge 1, 10 m from edge 4"));
        Design moved = Jobs.design("roof.parapets", List.of(), "roof.obstructions", List.of(vent));
        assertThat(check(moved, "survey.offset-v").demand()).startsWith("2 m");
        var back = whipsaw.core.design.WaysOut.of(moved, check(moved, "survey.offset-v"), List.of(), Jobs.SOLVER);
        assertThat(back)
                .extracting(w -> w.words())
                .contains(
                        "Vent back to 12 m from edge 1, 10 m from edge 4",
                        "Vent stays where it is drawn, the measurement goes");
        assertThat(back.get(0).after()).isNull();
    }
}
