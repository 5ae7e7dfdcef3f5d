package whipsaw.core.table;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import whipsaw.core.data.CsvRows;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobRoof;
import whipsaw.core.job.Site;
import whipsaw.core.job.Structure;
import whipsaw.core.working.DataStatus;

/** All code tables, loaded once. {@code tables/index.csv} names each with its source and status. */
public final class CodeTables {
    private final Map<String, CodeTable> byId;

    private final WindTables wind;
    private final ConductorTables conductors;
    private final VoltageFactorTable voltageFactors;
    private final SetbackTable setbacks;
    private final FirePathTable firePaths;
    private final EnTables en;
    private final ParameterTable snow;
    private final ParameterTable drift;
    private final ParameterTable zones;
    private final ParameterTable seismic;
    private final ParameterTable feet;
    private final ParameterTable loadWindow;
    private final ParameterTable arraySpacing;
    private final ParameterTable arrayAccess;
    private final DcVoltageTable dcVoltage;
    private final PanelTables panels;
    private final PriceTable prices;
    private final MemberTables members;
    private final EditionTable editions;
    private final Map<String, NetCoefficients> netCoefficients = new LinkedHashMap<>();
    private final Map<String, CodeTables> national = new ConcurrentHashMap<>();

    private CodeTables(Map<String, CodeTable> byId) {
        this.byId = byId;
        this.wind = new WindTables(this);
        this.conductors = new ConductorTables(this);
        this.voltageFactors = new VoltageFactorTable(table("nec_690_7_a_voltage_factor"));
        this.setbacks = new SetbackTable(table("fire_setback"));
        this.firePaths = new FirePathTable(table("fire_paths"));
        this.en = new EnTables(this);
        this.snow = new ParameterTable(table("asce_snow"));
        this.zones = new ParameterTable(table("asce_zones"));
        this.drift = new ParameterTable(table("asce_snow_drift"));
        this.seismic = new ParameterTable(table("asce_seismic"));
        this.feet = new ParameterTable(table("foot_limits"));
        this.dcVoltage = new DcVoltageTable(table("dc_voltage_limits"));
        this.loadWindow = new ParameterTable(table("load_window"));
        this.arraySpacing = new ParameterTable(table("array_spacing"));
        this.arrayAccess = new ParameterTable(table("array_access"));
        this.panels = new PanelTables(this);
        this.prices = new PriceTable(this);
        this.members = new MemberTables(this);
        this.editions = new EditionTable(this);
        for (CodeTable table : byId.values()) {
            if (table.id().startsWith(NetCoefficients.ID_PREFIX)) {
                netCoefficients.put(table.id(), new NetCoefficients(table));
            }
        }
    }

    /** The tables that ship with the product. */
    public static CodeTables shipped() {
        Map<String, CodeTable> tables = new LinkedHashMap<>();
        CodeTable index = CodeTable.read("index", "", "", "", DataStatus.UNCONFIRMED, "", resource("index.csv"));
        for (Map<String, String> row : index.rows()) {
            tables.put(
                    row.get("id"),
                    CodeTable.read(
                            row.get("id"),
                            row.get("title"),
                            row.get("source"),
                            row.get("edition"),
                            DataStatus.valueOf(row.get("status").toUpperCase(Locale.ROOT)),
                            row.get("remark"),
                            resource(row.get("file"))));
        }
        return new CodeTables(tables);
    }

    /** All tables. */
    public Collection<CodeTable> all() {
        return byId.values();
    }

    /** Whether there is a table of that id. */
    public boolean has(String id) {
        return byId.containsKey(id);
    }

    /** A table by id; throws when there is none. */
    public CodeTable table(String id) {
        CodeTable table = byId.get(id);
        if (table == null) {
            throw new IllegalArgumentException("no code table " + id);
        }
        return table;
    }

    /** Sets of national parameters. */
    public List<CodeTable> nationals() {
        return byId.values().stream()
                .filter(t -> t.id().startsWith(NationalParameters.ID_PREFIX))
                .toList();
    }

    /** The tables as a job reads them: with the national parameters it chose, where they are still there. */
    public CodeTables forJob(Job job) {
        return job.site().code() instanceof Site.EnSite en && has(en.national())
                ? national.computeIfAbsent(en.national(), id -> NationalParameters.over(this, table(id)))
                : this;
    }

    /** The tables a solve of a job reads. */
    public List<CodeTable> inUse(Job job) {
        List<CodeTable> used = new ArrayList<>();
        if (netCoefficients(job.site().code().coefficients()) != null) {
            used.add(table(job.site().code().coefficients()));
        }
        if (job.site().code() instanceof Site.EnSite site) {
            used.add(en.terrainTable());
            if (!Double.isNaN(job.site().floorShare())) {
                used.add(en.roofTable());
            }
            used.add(en.recommendedTable());
            if (has(site.national())) {
                used.add(table(site.national()));
            }
        } else {
            used.add(wind.coefficientTable());
            used.add(wind.exposureTable());
            used.add(editions.table());
            used.add(zones.table());
            if (((Site.AsceSite) job.site().code()).ground().hill() != null) {
                used.add(table("asce_topography"));
            }
            used.add(snow.table());
            used.add(drift.table());
            used.add(seismic.table());
        }
        used.add(wind.factorTable());
        used.add(setbacks.table());
        if (job.document().arrays().stream().anyMatch(a -> !a.choice().paths().isEmpty())) {
            used.add(firePaths.table());
        }
        used.add(table("house_rules"));
        used.add(loadWindow.table());
        used.add(dcVoltage.table());
        used.addAll(conductors.all());
        used.add(arrayAccess.table());
        if (job.document().arrays().size() > 1) {
            used.add(arraySpacing.table());
        }
        List<JobRoof> roofs = job.document().roofs();
        boolean asce = job.site().code() instanceof Site.AsceSite;
        if (roofs.stream().anyMatch(r -> members(r).isEmpty()) && asce) {
            used.add(table("member_limits"));
        }
        if (roofs.stream().anyMatch(r -> !members(r).isEmpty())) {
            List<CodeTable> there = List.copyOf(used);
            members.all().stream().filter(t -> !there.contains(t)).forEach(used::add);
            if (asce) {
                used.addAll(panels.all());
            }
        }
        return used;
    }

    private static List<Structure.Members> members(JobRoof roof) {
        return roof.roof().fabric().structure().members();
    }

    /** The same tables with one put in or replaced. */
    public CodeTables with(CodeTable table) {
        Map<String, CodeTable> tables = new LinkedHashMap<>(byId);
        tables.put(table.id(), table);
        return new CodeTables(tables);
    }

    /** The table of the house rules. */
    public CodeTable houseRules() {
        return table("house_rules");
    }

    /** A figure of the house rules. */
    public double houseRule(String rule) {
        return table("house_rules").rows().stream()
                .filter(row -> row.get("rule").equals(rule))
                .mapToDouble(row -> CodeTable.number(row, "value"))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no house rule " + rule));
    }

    /** Tables of ASCE 7 wind. */
    public WindTables wind() {
        return wind;
    }

    /** Tables of conductors, NEC chapters 3 and 9. */
    public ConductorTables conductors() {
        return conductors;
    }

    /** Voltage by ambient temperature, NEC 690.7(A). */
    public VoltageFactorTable voltageFactors() {
        return voltageFactors;
    }

    /** Set-backs by the sides of a building. */
    public SetbackTable setbacks() {
        return setbacks;
    }

    /** Paths for the fire service and for repair. */
    public FirePathTable firePaths() {
        return firePaths;
    }

    /** Tables of EN 1991-1-3 and 1991-1-4. */
    public EnTables en() {
        return en;
    }

    /** Figures of ASCE 7 chapter 7. */
    public ParameterTable snow() {
        return snow;
    }

    /** Widths of the wind zones of ASCE 7 and limits of their figures. */
    public ParameterTable zones() {
        return zones;
    }

    /** Snow drift, ASCE 7-16 7.7 and 7.8. */
    public ParameterTable drift() {
        return drift;
    }

    /** Pressure of feet on insulation. */
    public ParameterTable feet() {
        return feet;
    }

    /** DC voltage by where the array is. */
    public DcVoltageTable dcVoltage() {
        return dcVoltage;
    }

    /** Size of the square over which added load is judged. */
    public ParameterTable loadWindow() {
        return loadWindow;
    }

    /** How modules are got at. */
    public ParameterTable arrayAccess() {
        return arrayAccess;
    }

    /** Clear distance between arrays. */
    public ParameterTable arraySpacing() {
        return arraySpacing;
    }

    /** Unattached arrays in an earthquake, ASCE 7-16 13.6.12. */
    public ParameterTable seismic() {
        return seismic;
    }

    /** What is at hand of the editions of ASCE 7. */
    public EditionTable editions() {
        return editions;
    }

    /** Roof members. */
    public MemberTables members() {
        return members;
    }

    /** Prices that ways out are costed with. */
    public PriceTable prices() {
        return prices;
    }

    /** Panels parallel to a roof, ASCE 7-16 29.4.4. */
    public PanelTables panels() {
        return panels;
    }

    /** A net-coefficient set; null when there is none of that id. */
    public NetCoefficients netCoefficients(String id) {
        return netCoefficients.get(id);
    }

    /** All net-coefficient sets. */
    public Collection<NetCoefficients> netCoefficients() {
        return netCoefficients.values();
    }

    static String resource(String name) {
        return CsvRows.resource("tables/" + name);
    }
}
