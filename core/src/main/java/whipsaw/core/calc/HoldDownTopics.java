package whipsaw.core.calc;

import static whipsaw.core.calc.Topic.field;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.structure.RoofReserve;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Quantity;
import whipsaw.core.working.Terms;

/** Ballast of a module and of an array, and the roof's allowance. */
final class HoldDownTopics {
    private HoldDownTopics() {}

    static List<Topic> topics(CodeTables tables) {
        return List.of(module(tables), array(tables), reserve());
    }

    private static Topic module(CodeTables tables) {
        return new Topic(
                "ballast_module",
                "Ballast of one module",
                "ASCE 7-16 2.4.1 (ASD) or EN 1990 (EQU)",
                List.of(
                        field("module_mass_kg", "Module, kg", "28"),
                        field("racking_mass_kg", "Racking per module, kg", "6"),
                        field("module_area_m2", "Module area, m²", "2.58"),
                        field("p_up_kPa", "Wind away from the roof, kPa", "0.35"),
                        field("p_drag_kPa", "Wind along the roof, kPa", "0.06"),
                        field("friction", "Friction", "0.5"),
                        field("block_mass_kg", "Block, kg", "15"),
                        field("max_blocks", "Blocks a position takes", "8"),
                        field("method", "Method", "ASD", "ASD", "EN_EQU"),
                        field("roof_slope_deg", "Roof slope, deg", "0")),
                (in, out) -> describe(ballast(in, in.si("p_up", Quantity.PRESSURE), drag(in), tables), out));
    }

    private static double drag(CalcInputs in) {
        return in.si("p_drag", Quantity.PRESSURE);
    }

    private static Ballast ballast(CalcInputs in, double upliftPa, double dragPa, CodeTables tables) {
        double areaM2 = in.positive("module_area", Quantity.AREA);
        try {
            return Ballast.of(
                    new Ballast.Demand(
                            upliftPa * areaM2,
                            dragPa * areaM2,
                            in.positive("module_mass", Quantity.MASS) + in.si("racking_mass", Quantity.MASS)),
                    new Ballast.Hold(
                            in.number("friction", 0.01, 2),
                            in.positive("block_mass", Quantity.MASS),
                            in.whole("max_blocks"),
                            in.number("roof_slope_deg", 0, 45),
                            tables.wind().loadFactors(in.choice("method", "ASD", "EN_EQU"))));
        } catch (CalcException e) {
            throw e;
        } catch (IllegalArgumentException e) {
            throw new CalcException("friction", e.getMessage());
        }
    }

    private static void describe(Ballast b, CalcOutputs out) {
        out.steps(b.steps(Terms.typed(), null));
        out.put("required_total_uplift_kg", b.upliftKg())
                .put("required_total_sliding_kg", b.slidingKg())
                .put("required_ballast_kg", b.requiredKg())
                .put("blocks_required", b.blocksNeeded())
                .put("blocks_installed", b.blocksPlaced())
                .put("installed_ballast_kg", b.placedKg())
                .put("governing", b.governing())
                .put("tray_capacity_exceeded", b.full())
                .put("unresisted_tension_kN", b.tensionN() / 1000)
                .put("unresisted_shear_kN", b.shearN() / 1000);
    }

    private static Topic array(CodeTables tables) {
        return new Topic(
                "ballast_array",
                "Ballast of an array in groups",
                "ASCE 7-16 2.4.1 (ASD) or EN 1990 (EQU)",
                Topic.whole(
                        """
                        {"groups": [{"count": 40, "p_up_kPa": 0.45, "p_drag_kPa": 0.08},
                                    {"count": 8, "p_up_kPa": 0.9, "p_drag_kPa": 0.16}],
                         "method": "ASD", "module_mass_kg": 28, "racking_mass_kg": 5.4,
                         "module_area_m2": 2.58, "friction": 0.5, "block_mass_kg": 14.5,
                         "max_blocks": 12, "allow_tension_kN": 2.2, "allow_shear_kN": 1.5,
                         "footprint_m2": 190, "roof_slope_deg": 0}"""),
                (in, out) -> {
                    List<Map<String, Object>> groups = new ArrayList<>();
                    long blocks = 0;
                    long attachments = 0;
                    long modules = 0;
                    double tensionN = in.positive("allow_tension", Quantity.FORCE);
                    double shearN = in.positive("allow_shear", Quantity.FORCE);
                    for (CalcInputs group : in.objects("groups")) {
                        int count = group.whole("count");
                        Ballast b = ballast(in, group.si("p_up", Quantity.PRESSURE), drag(group), tables);
                        CalcOutputs lines = new CalcOutputs();
                        describe(b, lines);
                        int held = b.attachments(count, tensionN, shearN);
                        groups.add(new LinkedHashMap<>(
                                lines.put("attachments", held).values()));
                        blocks += (long) count * b.blocksPlaced();
                        attachments += held;
                        modules += count;
                    }
                    double footprintM2 = in.positive("footprint", Quantity.AREA);
                    double ballastKg = blocks * in.si("block_mass", Quantity.MASS);
                    double totalKg = ballastKg
                            + modules * (in.si("module_mass", Quantity.MASS) + in.si("racking_mass", Quantity.MASS));
                    out.put("groups", groups)
                            .put("total_blocks", blocks)
                            .put("total_ballast_kg", ballastKg)
                            .put("total_mass_kg", totalKg)
                            .put("total_attachments", attachments)
                            .pressure("ballast_avg", ballastKg * Ballast.GRAVITY / footprintM2)
                            .pressure("total_avg", totalKg * Ballast.GRAVITY / footprintM2);
                });
    }

    private static Topic reserve() {
        return new Topic(
                "roof_reserve",
                "Added load against the allowance",
                "average over footprint and bay",
                List.of(
                        field("array_mass_kg", "Array with ballast, kg", "5200"),
                        field("footprint_m2", "Array footprint, m²", "210"),
                        field("mass_in_bay_kg", "Mass inside the bay, kg", "2100"),
                        field("bay_area_m2", "Bay area, m²", "120"),
                        field("reserve_kPa", "Allowance for added load, kPa", "0.25")),
                (in, out) -> {
                    double reserve = in.positive("reserve", Quantity.PRESSURE);
                    RoofReserve footprint = RoofReserve.of(
                            in.si("array_mass", Quantity.MASS), in.positive("footprint", Quantity.AREA), reserve);
                    RoofReserve bay = RoofReserve.of(
                            in.si("mass_in_bay", Quantity.MASS), in.positive("bay_area", Quantity.AREA), reserve);
                    out.pressure("footprint", footprint.loadPa())
                            .pressure("bay_avg", bay.loadPa())
                            .put("utilisation_footprint", footprint.utilisation())
                            .put("utilisation_bay", bay.utilisation())
                            .put("ok_footprint", Limits.atMost(footprint.utilisation(), 1))
                            .put("ok_bay", Limits.atMost(bay.utilisation(), 1));
                });
    }
}
