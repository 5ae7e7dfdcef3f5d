package whipsaw.core.structure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.design.WaysOut;
import whipsaw.core.figure.Figures;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;

/** Attachments in place of weight: what the blocks give up they take, no more and no less. */
class AttachedArrayTest {
    private static Map<String, Object> each(int mostBlocks, String bays) {
        Map<String, Object> each = new LinkedHashMap<>(Map.of("tension", "4 kN", "shear", "3 kN"));
        each.put("mostBlocks", mostBlocks);
        each.put("bays", bays);
        return each;
    }

    private static Design design(int mostBlocks, Object... more) {
        List<Object> all = new ArrayList<>(List.of("array.attachments", each(mostBlocks, ""), "site.sds", 0.5));
        all.addAll(Arrays.asList(more));
        return Jobs.design(all.toArray());
    }

    private static Check check(Design d, String id) {
        return d.checks().stream().filter(c -> c.id().equals(id)).findFirst().orElse(null);
    }

    @Test
    void whatPositionsLackIsSummedOverEveryGroupAndNothingIsLost() {
        Design d = design(0);
        assertThat(d.holdDown().blocks()).isZero();
        AttachedArray a = d.attached();
        double tension = 0;
        double shear = 0;
        for (HoldDown.Position p : d.holdDown().positions()) {
            Ballast b = p.ballast();
            assertThat(b.blocksPlaced()).isZero();
            tension += b.tensionN();
            shear += b.shearN();
        }
        assertThat(a.groups().stream()
                        .mapToDouble(AttachedArray.Group::tensionN)
                        .sum())
                .isCloseTo(tension, within(1e-6));
        assertThat(a.groups().stream().mapToDouble(AttachedArray.Group::shearN).sum())
                .isCloseTo(shear, within(1e-6));
        int within = d.holdDown().sharedModules(0, d.job().array().module().areaM2());
        for (AttachedArray.Group g : a.groups()) {
            assertThat(g.attachments())
                    .isEqualTo((int) Math.max(1, Math.ceil(g.tensionN() / 4000 + g.shearN() / 3000 - 1e-9)));
            // no attachment serves more than has been shown to share
            assertThat(g.positions().size()).isLessThanOrEqualTo(within + 1);
        }
        assertThat(d.counts().lines()).anySatisfy(l -> {
            assertThat(l.item()).contains("Attachments");
            assertThat(l.quantity()).isEqualTo(String.valueOf(a.needed()));
        });
    }

    @Test
    void fewerBlocksNeverWantFewerAttachmentsByWind() {
        int before = 0;
        for (int blocks = 6; blocks >= 0; blocks--) {
            Design d = design(blocks);
            int now = d.attached() == null ? 0 : d.attached().byWind();
            assertThat(now).isGreaterThanOrEqualTo(before);
            before = now;
        }
        assertThat(before).isPositive();
    }

    @Test
    void theSeismicForceByHandTakesThePlaceOfRoomToSlide() {
        Design d = design(0);
        AttachedArray.Quake q = d.attached().quake();
        double weight = d.loads().totalKg() * Ballast.GRAVITY;
        // 0.4 x 1 x 0.5 / 1.5 x 3 = 0.4 of the weight, between 0.15 and 0.8 of it
        assertThat(q.force().strengthN()).isCloseTo(0.4 * weight, within(1e-6));
        assertThat(q.attachments()).isEqualTo((int) Math.ceil(0.7 * q.force().strengthN() / 3000));
        assertThat(d.attached().needed()).isEqualTo(Math.max(d.attached().byWind(), q.attachments()));
        assertThat(d.seismic()).isNull();
        assertThat(check(d, "ballast.position")).isNull();
        Check c = check(d, "array.attachments");
        assertThat(c.verdict()).isEqualTo(Verdict.NEEDS_ENGINEER);
        assertThat(c.demand()).contains("presses down");
        assertThat(d.exitCode()).isNotZero();
        assertThat(new Figures(d, Jobs.SOLVER.tables()).working(c.figure()).toString())
                .contains("linear interaction", "Eq. 13.3-1");
        assertThat(check(design(0, "site.sds", null), "array.attachments").verdict())
                .isEqualTo(Verdict.NOT_ESTABLISHED);
    }

    /** A tray system that has not been shown to share anything has every position held by itself. */
    @Test
    void withoutShownSharingEveryPositionHasItsOwn() {
        Design d = design(0, "array.tray.shared", null, "array.tray.sharedReport", null);
        AttachedArray a = d.attached();
        assertThat(a.groups()).allSatisfy(g -> assertThat(g.positions()).hasSize(1));
        assertThat(a.byWind())
                .isGreaterThanOrEqualTo(a.groups().size())
                .isGreaterThan(design(0).attached().byWind());
    }

    /** What one takes is an allowable load: combining for strength changes which positions are full, not that. */
    @Test
    void demandsAreHeldAgainstAllowableLoadsAtTheirOwnLevel() {
        Design allowable = design(0);
        Design strength = design(0, "site.method", "strength");
        assertThat(strength.attached().groups().stream()
                        .mapToDouble(AttachedArray.Group::tensionN)
                        .sum())
                .isCloseTo(
                        allowable.attached().groups().stream()
                                .mapToDouble(AttachedArray.Group::tensionN)
                                .sum(),
                        within(1e-6));
        assertThat(strength.attached().quake().force().allowableN())
                .isCloseTo(0.7 * strength.attached().quake().force().strengthN(), within(1e-6));
        Design four = design(0, "site.riskCategory", "IV");
        assertThat(four.attached().quake().force().strengthN())
                .isCloseTo(1.5 * allowable.attached().quake().force().strengthN(), within(1e-6));
    }

    /** Attachments in some bays say nothing of positions that lack weight elsewhere. */
    @Test
    void whatLacksWeightOutsideTheBaysWithAttachmentsStillFails() {
        Map<String, Object> bays = Map.of("alongX", "15 m", "alongY", "10 m");
        Design d = Jobs.design(
                "array.attachments", each(0, "B2"), "roof.bays", bays, "site.sds", 0.5, "site.wind", "180 mph");
        assertThat(d.attached()).isNotNull();
        assertThat(d.holdDown().lacking()).isNotEmpty();
        assertThat(check(d, "ballast.position").verdict()).isEqualTo(Verdict.FAILS);
    }

    @Test
    void whereWeightAloneHoldsNothingChanges() {
        Design d = design(60);
        assertThat(d.attached()).isNull();
        assertThat(d.holdDown().blocks()).isEqualTo(Jobs.design().holdDown().blocks());
        assertThat(d.seismic()).isNotNull();
    }

    @Test
    void inNamedBaysOnlyTheirPositionsGiveBlocksUp() {
        Map<String, Object> bays = Map.of("alongX", "15 m", "alongY", "10 m");
        Design d = Jobs.design("array.attachments", each(0, "B2, C2"), "roof.bays", bays);
        Design plain = Jobs.design("roof.bays", bays);
        var cells = d.plan().bays().stream()
                .filter(b -> List.of("B2", "C2").contains(b.name()))
                .toList();
        assertThat(cells).hasSize(2);
        int inside = 0;
        for (int i = 0; i < d.holdDown().positions().size(); i++) {
            HoldDown.Position p = d.holdDown().positions().get(i);
            var at = d.layout().frame().plan(p.s(), p.t());
            boolean in = cells.stream().anyMatch(b -> b.cell().covers(at));
            int was = plain.holdDown().positions().get(i).ballast().blocksPlaced();
            assertThat(p.ballast().blocksPlaced()).isEqualTo(in ? 0 : was);
            inside += in ? 1 : 0;
        }
        assertThat(inside).isPositive();
    }

    @Test
    void baysThatAreNotThereAreSaidAndNothingIsTakenForAttached() {
        Design d = Jobs.design(
                "array.attachments", each(0, "Z9"), "roof.bays", Map.of("alongX", "15 m", "alongY", "10 m"));
        assertThat(d.attached()).isNull();
        assertThat(check(d, "array.attached-bays").demand()).contains("Z9");
        assertThat(check(d, "array.attached-bays").verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
    }

    /** A bay that carries too much is made to pass by attachments, and the blocks come off there. */
    @ParameterizedTest
    @ValueSource(strings = {"roof.bay", "roof.window"})
    void attachmentsAreAWayOutOfTooMuchWeight(String id) {
        Map<String, Object> bays = Map.of("alongX", "15 m", "alongY", "10 m");
        Design free = Jobs.design("array.attachments", each(60, ""), "roof.bays", bays);
        double load = id.equals("roof.bay")
                ? free.loads().worstBay().load().loadPa()
                : free.loads().window().load().loadPa();
        Map<String, Object> allowance =
                Map.of("load", 0.97 * load + " Pa", "givenBy", "an engineer", "date", "2026-05-01");
        Design d = Jobs.design(
                "array.attachments", each(60, ""), "roof.bays", bays, "roof.allowance", allowance, "site.sds", 0.5);
        Check check = check(d, id);
        assertThat(check.verdict()).isEqualTo(Verdict.FAILS);
        WaysOut.Way way = WaysOut.of(d, check, List.of(), Jobs.SOLVER).stream()
                .filter(w -> w.kind().equals("attachments"))
                .findFirst()
                .orElseThrow();
        assertThat(way.clears()).isTrue();
        assertThat(way.cost()).contains("attachments");
        assertThat(way.effect().toString()).contains("attachment");
        Design after = Jobs.SOLVER.solve(JobReader.read(DocumentPatch.apply(d.job(), way.changes()), false)
                .job());
        assertThat(after.attached().needed()).isPositive();
        assertThat(after.loads().totalKg()).isLessThan(d.loads().totalKg());
    }

    /** Modules of a bay that carries too much go where places were left free, and none of them is lost that need not be. */
    @Test
    void modulesMoveToPlacesLeftFreeInAStrongerBay() {
        Map<String, Object> bays = Map.of("alongX", "15 m", "alongY", "10 m");
        Design all = Jobs.design("roof.bays", bays);
        RoofLoads.BayLoad light = all.loads().bays().stream()
                .min(Comparator.comparingDouble(b -> b.load().loadPa()))
                .orElseThrow();
        List<Object> free = new ArrayList<>();
        for (ArrayLayout.Module m : all.layout().modules()) {
            var at = all.layout()
                    .frame()
                    .plan(
                            m.s() + all.layout().alongM() / 2,
                            m.t() + all.layout().depthM() / 2);
            if (light.bay().cell().covers(at) && free.size() < 8) {
                free.add(Map.of("x", at.x + " m", "y", at.y + " m"));
            }
        }
        Map<String, Object> allowance = Map.of(
                "load",
                0.97 * all.loads().worstBay().load().loadPa() + " Pa",
                "givenBy",
                "an engineer",
                "date",
                "2026-05-01");
        Design d = Jobs.design("roof.bays", bays, "array.removed", free, "roof.allowance", allowance);
        assertThat(d.layout().modules()).hasSize(all.layout().modules().size() - free.size());
        List<WaysOut.Way> ways = WaysOut.of(d, check(d, "roof.bay"), List.of(), Jobs.SOLVER);
        WaysOut.Way out = ways.stream()
                .filter(w -> w.kind().equals("modules"))
                .findFirst()
                .orElseThrow();
        WaysOut.Way moved =
                ways.stream().filter(w -> w.kind().equals("move")).findFirst().orElseThrow();
        assertThat(moved.clears()).isTrue();
        assertThat(moved.modulesLost()).isLessThan(out.modulesLost());
        assertThat(ways.indexOf(moved)).isLessThan(ways.indexOf(out));
    }
}
