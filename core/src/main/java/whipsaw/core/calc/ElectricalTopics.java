package whipsaw.core.calc;

import static whipsaw.core.calc.Topic.field;

import java.util.List;
import whipsaw.core.circuit.StringLimits;
import whipsaw.core.run.Ampacity;
import whipsaw.core.run.ConductorSizing;
import whipsaw.core.run.InverterCurrent;
import whipsaw.core.run.VoltageDrop;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.ConductorTables;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Quantity;
import whipsaw.core.working.Terms;

/** String limits, inverter current, ampacity, drop and conductor sizing by the NEC. */
final class ElectricalTopics {
    private static final String[] MATERIALS = {"cu", "al"};
    private static final String[] RACEWAYS = {"steel", "pvc"};

    private ElectricalTopics() {}

    static List<Topic> topics(CodeTables tables) {
        ConductorTables conductors = tables.conductors();
        return List.of(
                stringLimits(tables),
                inverterCurrent(conductors),
                ampacity(conductors),
                voltageDrop(conductors),
                conductorSizing(conductors));
    }

    private static Topic stringLimits(CodeTables tables) {
        return new Topic(
                "string_limits",
                "Longest and shortest string",
                "NEC 690.7(A)",
                List.of(
                        field("module_voc_V", "Module Voc, V", "49.8"),
                        field("module_vmp_V", "Module Vmp, V", "41.6"),
                        field("beta_voc_pct_per_C", "Coefficient of Voc, %/°C", "-0.26"),
                        field("gamma_vmp_pct_per_C", "Coefficient of Vmp, %/°C", "-0.33"),
                        field("record_low_C", "Record low, °C", "-20"),
                        field("hot_ambient_C", "Design high, °C", "35"),
                        field("cell_rise_C", "Cell above ambient, °C", "30"),
                        field("system_limit_V", "System limit, V", "1000"),
                        field("inverter_max_V", "Inverter, highest input, V", "1100"),
                        field("mppt_min_V", "Tracker, lowest, V", "500")),
                (in, out) -> {
                    StringLimits s = StringLimits.of(new StringLimits.Input(
                            in.positive("module_voc", Quantity.VOLTAGE),
                            in.positive("module_vmp", Quantity.VOLTAGE),
                            in.number("beta_voc_pct_per_C", -1, 0),
                            in.number("gamma_vmp_pct_per_C", -1, 0),
                            in.number("record_low_C", -70, 40),
                            in.number("hot_ambient_C", -20, 60),
                            in.number("cell_rise_C", 0, 60),
                            in.positive("system_limit", Quantity.VOLTAGE),
                            in.positive("inverter_max", Quantity.VOLTAGE),
                            in.positive("mppt_min", Quantity.VOLTAGE)));
                    double factor = tables.voltageFactors().factor(s.input().recordLowC());
                    out.steps(s.longestSteps(Terms.typed())).steps(s.shortestSteps(Terms.typed()));
                    out.put("voltage_limit_V", s.limitV())
                            .put("voc_cold_per_module_V", s.coldVocV())
                            .put("n_max", s.longest())
                            .put("string_voc_at_n_max_V", s.coldVoltageV(s.longest()))
                            .put("hot_cell_C", s.hotCellC())
                            .put("vmp_hot_per_module_V", s.hotVmpV())
                            .put("n_min", s.shortest())
                            .put("feasible", s.feasible())
                            .put("table_690_7_factor", factor)
                            .put(
                                    "n_max_by_table_690_7",
                                    Double.isNaN(factor)
                                            ? null
                                            : Limits.floor(
                                                    s.limitV() / (s.input().vocV() * factor)));
                });
    }

    private static Topic inverterCurrent(ConductorTables tables) {
        return new Topic(
                "inverter_current",
                "Inverter current and device",
                "NEC 690.9(B), 240.6",
                List.of(
                        field("power_kVA", "Rated power, kVA", "150"),
                        field("line_voltage_V", "Line voltage, V", "480"),
                        field("phases", "Phases", "3", "3", "1")),
                (in, out) -> {
                    InverterCurrent c = InverterCurrent.of(
                            1,
                            in.positive("power", Quantity.POWER),
                            in.positive("line_voltage", Quantity.VOLTAGE),
                            phases(in),
                            tables);
                    out.steps(c.steps(Terms.typed()))
                            .put("current_A", c.currentA())
                            .put("continuous_x_1_25_A", c.continuousA())
                            .put("ocpd_A", c.deviceA() == 0 ? null : c.deviceA());
                });
    }

    private static int phases(CalcInputs in) {
        int phases = in.whole("phases");
        if (phases != 1 && phases != 3) {
            throw new CalcException("phases", phases + " is neither 1 nor 3");
        }
        return phases;
    }

    private static Topic ampacity(ConductorTables tables) {
        return new Topic(
                "ampacity_nec",
                "Ampacity after corrections",
                "NEC 310.15, 310.16",
                List.of(
                        field("size", "Size, AWG or kcmil", "10"),
                        field("material", "Material", "cu", MATERIALS),
                        field("insulation", "Insulation", "THWN-2", "THWN-2", "XHHW-2"),
                        field("terminal_C", "Terminals, °C", "75", "75", "60"),
                        field("ambient_C", "Ambient, °C", "40"),
                        field("current_carrying", "Current-carrying conductors", "3"),
                        field("sets", "Parallel sets", "1"),
                        field("in_sun", "In the sun on the roof", "false", "false", "true"),
                        field("height_above_roof_in", "Height above the roof, in", "4"),
                        field("adder_threshold_in", "Rooftop adder below, in", "0.875")),
                (in, out) -> {
                    String material = in.choice("material", MATERIALS);
                    Ampacity a = Ampacity.of(size(in, "size", material, tables), material, sets(in), place(in), tables);
                    out.steps(a.steps(false, Terms.typed()));
                    describe(a, out);
                });
    }

    private static void describe(Ampacity a, CalcOutputs out) {
        out.put("ambient_effective_C", a.ambientC())
                .put("temperature_factor_table", a.factorTable())
                .put("temperature_factor_formula", a.factorFormula())
                .put("count_factor", a.factorCount())
                .put("ampacity_terminal_A", a.terminalA())
                .put("ampacity_90C_A", a.ninetyA())
                .put("ampacity_corrected_table_A", a.correctedA())
                .put("ampacity_corrected_formula_A", a.correctedByFormulaA());
    }

    private static int sets(CalcInputs in) {
        int sets = in.has("sets") ? in.whole("sets") : 1;
        if (sets < 1) {
            throw new CalcException("sets", "must be 1 or more, not " + sets);
        }
        return sets;
    }

    private static ConductorTables.Size size(CalcInputs in, String key, String material, ConductorTables tables) {
        ConductorTables.Size size = tables.size(in.text(key));
        if (size == null) {
            throw new CalcException(key, "'" + in.text(key) + "' is no size of Table 310.16, such as 10 or 4/0");
        }
        if (material != null && Double.isNaN(size.ampacity(material, 75))) {
            throw new CalcException(key, in.text(key) + " is not made in " + material);
        }
        return size;
    }

    private static Ampacity.Place place(CalcInputs in) {
        boolean inSun = in.flag("in_sun");
        double height = inSun ? in.number("height_above_roof_in") : in.numberOr("height_above_roof_in", 0);
        return new Ampacity.Place(
                in.choice("insulation", "THWN-2", "XHHW-2"),
                Integer.parseInt(
                        in.choice("terminal_C", "60", "75", "60.0", "75.0").substring(0, 2)),
                in.number("ambient_C", -50, 90),
                in.whole("current_carrying"),
                inSun,
                height,
                in.numberOr("adder_threshold_in", 0.875));
    }

    private static VoltageDrop.Circuit circuit(CalcInputs in, String currentKey) {
        String system = in.choice("system", "dc", "1ph", "3ph");
        return new VoltageDrop.Circuit(
                switch (system) {
                    case "dc" -> VoltageDrop.System.DC;
                    case "1ph" -> VoltageDrop.System.ONE_PHASE;
                    default -> VoltageDrop.System.THREE_PHASE;
                },
                in.positive(currentKey, Quantity.CURRENT),
                in.positive("voltage", Quantity.VOLTAGE),
                in.length("length"),
                in.choice("material", MATERIALS),
                in.choice("raceway", RACEWAYS),
                in.number("power_factor", 0.1, 1),
                in.choice("resistance_basis", "table8", "table9").equals("table9"));
    }

    private static Topic voltageDrop(ConductorTables tables) {
        return new Topic(
                "voltage_drop_nec",
                "Voltage drop",
                "NEC Chapter 9 Tables 8 and 9",
                List.of(
                        field("system", "System", "3ph", "3ph", "1ph", "dc"),
                        field("current_A", "Current, A", "180"),
                        field("voltage_V", "Voltage, V", "480"),
                        field("length_ft", "Length one way, ft", "300"),
                        field("size", "Size, AWG or kcmil", "4/0"),
                        field("material", "Material", "cu", MATERIALS),
                        field("sets", "Parallel sets", "1"),
                        field("raceway", "Raceway", "steel", RACEWAYS),
                        field("power_factor", "Power factor", "1.0"),
                        field("resistance_basis", "Resistance", "table9", "table9", "table8")),
                (in, out) -> {
                    VoltageDrop.Circuit circuit = circuit(in, "current");
                    String size = size(in, "size", circuit.material(), tables).name();
                    VoltageDrop drop = VoltageDrop.of(circuit, size, sets(in), tables);
                    if (Double.isNaN(drop.dropV())) {
                        throw new CalcException("size", size + " is not in the resistance table");
                    }
                    out.steps(drop.steps(Terms.typed()))
                            .put("r_ohm_per_kft", drop.ohmPerKft())
                            .put("x_ohm_per_kft", drop.reactancePerKft())
                            .put("drop_V", drop.dropV())
                            .put("drop_pct", drop.dropPct());
                });
    }

    private static Topic conductorSizing(ConductorTables tables) {
        return new Topic(
                "conductor_sizing_nec",
                "Conductor, device and ground",
                "NEC 215.2, 240.4, 250.122, 310.15, 690.8, 705.28",
                List.of(
                        field("continuous_current_A", "Continuous current, A", "180.4"),
                        field("system", "System", "3ph", "3ph", "1ph", "dc"),
                        field("voltage_V", "Voltage, V", "480"),
                        field("length_ft", "Length one way, ft", "240"),
                        field("material", "Material", "cu", MATERIALS),
                        field("insulation", "Insulation", "THWN-2", "THWN-2", "XHHW-2"),
                        field("terminal_C", "Terminals, °C", "75", "75", "60"),
                        field("ambient_C", "Ambient, °C", "35"),
                        field("current_carrying", "Current-carrying in a raceway", "3"),
                        field("raceway", "Raceway", "steel", RACEWAYS),
                        field("drop_limit_pct", "Drop limit, %", "2"),
                        field("in_sun", "In the sun on the roof", "false", "false", "true"),
                        field("height_above_roof_in", "Height above the roof, in", "4"),
                        field("adder_threshold_in", "Rooftop adder below, in", "0.875"),
                        field("power_factor", "Power factor", "1.0"),
                        field("resistance_basis", "Resistance", "table9", "table9", "table8"),
                        field("max_size", "Largest size", "600"),
                        field("max_sets", "Most parallel sets", "8"),
                        field("pv_dc_circuit", "PV dc circuit", "false", "false", "true"),
                        field("factor_method", "Ambient factor", "table", "table", "formula")),
                (in, out) -> describe(ConductorSizing.of(sizingInput(in, tables), tables), out));
    }

    private static ConductorSizing.Input sizingInput(CalcInputs in, ConductorTables tables) {
        VoltageDrop.Circuit circuit = circuit(in, "continuous_current");
        return new ConductorSizing.Input(
                circuit,
                place(in),
                in.number("drop_limit_pct", 0.01, 100),
                size(in, "max_size", null, tables).name(),
                (int) in.number("max_sets", 1, 40),
                in.has("ocpd_A") ? in.whole("ocpd_A") : 0,
                in.has("egc_material") ? in.choice("egc_material", MATERIALS) : circuit.material(),
                in.flag("pv_dc_circuit"),
                in.has("factor_method")
                        && in.choice("factor_method", "table", "formula").equals("formula"));
    }

    private static void describe(ConductorSizing s, CalcOutputs out) {
        out.put("feasible", s.feasible())
                .put("required_terminal_ampacity_A", s.requiredA())
                .put("ocpd_A", s.deviceA() == 0 ? null : s.deviceA());
        if (!s.feasible()) {
            return;
        }
        out.put("size_for_ampacity", s.forAmpacity().size().name())
                .put("sets_for_ampacity", s.forAmpacity().sets())
                .put("drop_pct_at_size_for_ampacity", s.forAmpacity().drop().dropPct())
                .put("size", s.chosen().size().name())
                .put("sets", s.chosen().sets())
                .put("governed_by", s.governedBy());
        out.steps(s.chosen().ampacity().steps(s.input().byFormula(), Terms.typed()))
                .steps(s.chosen().drop().steps(Terms.typed()));
        describe(s.chosen().ampacity(), out);
        out.put("drop_V", s.chosen().drop().dropV())
                .put("drop_pct", s.chosen().drop().dropPct())
                .put("egc_base", s.groundBase())
                .put("area_ratio", s.areaRatio())
                .put("egc", s.ground());
    }
}
