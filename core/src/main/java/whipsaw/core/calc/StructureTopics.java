package whipsaw.core.calc;

import static whipsaw.core.calc.Topic.field;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.structure.Beam;
import whipsaw.core.structure.SeismicDisplacement;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Quantity;
import whipsaw.core.working.Terms;

/** Single members and what an earthquake does to an array that nothing holds. */
final class StructureTopics {
    private StructureTopics() {}

    static List<Topic> topics(CodeTables tables) {
        return List.of(member(), seismic(tables));
    }

    private static Topic member() {
        return new Topic(
                "member_check",
                "Single member, before and after, and three ways to strengthen it",
                "statics of a simple span under a uniform load",
                List.of(
                        field("span_m", "Span, m", "6"),
                        field("spacing_m", "Spacing of members, m", "1.5"),
                        field("existing_load_kPa", "Existing load, kPa", "1.25"),
                        field("array_load_kPa", "Load of the array, kPa", "0.2"),
                        field("E_GPa", "Modulus of elasticity, GPa", "200"),
                        field("I_cm4", "Second moment of area, cm⁴", "520"),
                        field("S_cm3", "Section modulus, cm³", "55"),
                        field("allow_bending_MPa", "Allowable bending stress, MPa", "165"),
                        field("defl_ratio", "Deflection limit, span over", "180")),
                (in, out) -> {
                    Case c = new Case(
                            in.positive("span", Quantity.LENGTH),
                            in.positive("spacing", Quantity.LENGTH),
                            in.number("E_GPa", 0.1, 1000) * 1e9,
                            in.number("I_cm4", 1e-6, 1e9) * 1e-8,
                            in.number("S_cm3", 1e-6, 1e9) * 1e-6,
                            in.number("allow_bending_MPa", 1e-3, 1e5) * 1e6,
                            in.number("defl_ratio", 1, 5000));
                    double existing = in.si("existing_load", Quantity.PRESSURE);
                    double after = existing + in.si("array_load", Quantity.PRESSURE);
                    out.put("before", c.state(existing, 1, 1, 1));
                    out.put("after", c.state(after, 1, 1, 1));
                    out.put("sistered", c.state(after, 1, 1, 2));
                    out.put("midspan_support", c.state(after, 2, 1, 1));
                    out.put("added_member", c.state(after, 1, 2, 1));
                    double line = after * c.spacingM();
                    out.put("midspan_reaction_simple_kN", line * c.spanM() / 2 / 1000);
                    out.put("midspan_reaction_continuous_kN", 5 * line * c.spanM() / 8 / 1000);
                });
    }

    private record Case(
            double spanM,
            double spacingM,
            double elasticityPa,
            double inertiaM4,
            double modulusM3,
            double allowablePa,
            double deflectionRatio) {

        /** @param members side by side */
        Map<String, Object> state(double loadPa, int spans, int between, int members) {
            double span = spanM / spans;
            double line = loadPa * spacingM / between;
            List<Beam.Load> loads = List.of(Beam.Load.uniform(span, line));
            Beam.Effect effect = Beam.of(span, loads);
            double deflection = Beam.deflectionM(span, loads, elasticityPa * inertiaM4 * members);
            double stress = effect.momentNm() / (modulusM3 * members);
            double bending = stress / allowablePa;
            double bent = deflection * deflectionRatio / span;
            Map<String, Object> state = new LinkedHashMap<>();
            state.put("w_kN_per_m", line / 1000);
            state.put("M_kNm", effect.momentNm() / 1000);
            state.put("V_kN", effect.shearN() / 1000);
            state.put("deflection_mm", deflection * 1000);
            state.put("deflection_ratio", span / deflection);
            state.put("stress_MPa", stress / 1e6);
            state.put("bending_utilisation", bending);
            state.put("deflection_utilisation", bent);
            state.put("ok", Limits.atMost(bending, 1) && Limits.atMost(bent, 1));
            return state;
        }
    }

    private static Topic seismic(CodeTables tables) {
        return new Topic(
                "seismic",
                "Displacement of an unattached array",
                "ASCE 7-16 13.6.12",
                Topic.whole(
                        """
                        {"SDS": 1.0, "Ie": 1.0, "friction": 0.45, "roof_slope_rise_over_run": 0.02,
                         "risk_category": "II", "stories": 3, "clearances": [
                         {"kind": "obstruction", "clear_ft": 3.0, "factor": 1.0}]}"""),
                (in, out) -> {
                    List<SeismicDisplacement.Clearance> clearances = new ArrayList<>();
                    if (in.has("clearances")) {
                        for (CalcInputs c : in.objects("clearances")) {
                            clearances.add(new SeismicDisplacement.Clearance(
                                    c.text("kind"), c.length("clear"), c.number("factor", 0, 10)));
                        }
                    }
                    SeismicDisplacement s = SeismicDisplacement.of(
                            new SeismicDisplacement.Input(
                                    in.number("SDS", 0, 10),
                                    in.number("Ie", 0.5, 2),
                                    in.number("friction", 0, 2),
                                    in.number("roof_slope_rise_over_run", 0, 1),
                                    in.choice("risk_category", "I", "II", "III", "IV"),
                                    in.whole("stories")),
                            clearances,
                            tables.seismic());
                    out.steps(s.displacement().steps(Terms.typed()));
                    out.feet("displacement", s.displacementM())
                            .put("displacement_in", s.displacementM() / 0.0254)
                            .put("displacement_mm", s.displacementM() * 1000);
                    List<Map<String, Object>> needs = new ArrayList<>();
                    for (SeismicDisplacement.Need need : s.needs()) {
                        CalcOutputs line = new CalcOutputs();
                        line.put("kind", need.clearance().kind())
                                .feet("required", need.requiredM())
                                .put("ok", need.ok());
                        needs.add(new LinkedHashMap<>(line.values()));
                    }
                    out.put("clearances", needs)
                            .put("unattached_allowed", s.reasons().isEmpty())
                            .put("reasons", s.reasons());
                });
    }
}
