package whipsaw.core.figure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.NetPressure;
import whipsaw.core.table.CodeTables;
import whipsaw.core.working.DataSource;
import whipsaw.core.working.DataStatus;
import whipsaw.core.working.Working;

/**
 * The way from a figure's key to its working. A key is {@code site.qh}, or a kind and a place,
 * {@code ballast/3-12}, by its place on the array's grid. Workings are written when asked for, from the results of the solve.
 */
public final class Figures {
    private final Design design;
    private final CodeTables tables;

    public Figures(Design design, CodeTables tables) {
        this.design = design;
        this.tables = tables.forJob(design.job());
    }

    /** The working of a figure, or null when there is none of that key. */
    public Working working(String key) {
        int slash = key.indexOf('/');
        String kind = slash < 0 ? key : key.substring(0, slash);
        String place = slash < 0 ? "" : key.substring(slash + 1);
        return switch (kind) {
            case "survey.closure" -> design.plan().tape() == null ? null : SiteFigures.closure(design);
            case "survey.fit" -> design.plan().fit() == null ? null : SurveyFigures.fit(design);
            case "survey.sizes" -> SurveyFigures.sizes(design);
            case "survey.found" -> SurveyFigures.found(design, place);
            case "survey.sight" -> design.job().survey().viewers().isEmpty() ? null : SurveyFigures.sight(design);
            case "site.qh" -> SiteFigures.windPressure(design, tables);
            case "site.snow" -> SnowFigures.snow(design, tables);
            case "site.drift" -> SnowFigures.drifts(design, tables);
            case "seismic.room" -> StandingFigures.room(design, tables);
            case "array.attachments" -> AttachmentFigures.attachments(design);
            case "roof.deck" -> DeckFigures.deck(design, tables);
            case "roof.cover" -> StandingFigures.cover(design);
            case "roof.feet" -> StandingFigures.feet(design, tables);
            case "wind.down" -> DownFigures.down(design, tables);
            case "wind.scope" -> NetFigures.scope(design, tables);
            case "array.gap" -> SiteFigures.rowGap(design);
            case "array.setback" -> SiteFigures.setback(design, tables);
            case "array.reach" -> ReachFigures.reach(design);
            case "array.paths" -> ReachFigures.paths(design);
            case "array.shade" -> ShadeFigures.window(design);
            case "shade" -> ShadeFigures.thing(design, place);
            case "shaded" -> ShadeFigures.module(design, place);
            case "total.modules" -> TotalFigures.modules(design);
            case "total.dc" -> TotalFigures.dc(design);
            case "total.ac" -> TotalFigures.ac(design);
            case "total.ratio" -> TotalFigures.ratio(design);
            case "total.energy" -> EnergyFigures.year(design);
            case "total.blocks" -> TotalFigures.blocks(design);
            case "roof.footprint" -> TotalFigures.footprint(design);
            case "roof.window" -> TotalFigures.window(design, tables);
            case "existing.building" -> ExistingFigures.building(design, tables);
            case "member" -> MemberFigures.member(design, place, tables);
            case "lifted" -> FaceFigures.purlin(design, place, tables);
            case "zone" -> ZoneFigures.zone(design, place, tables);
            case "flush" -> FaceFigures.panel(design, place, tables);
            case "roof.bay" -> TotalFigures.bay(design, place);
            case "ballast.connected" -> HoldDownFigures.connected(design, tables);
            case "ballast.weighed" -> HoldDownFigures.weighed(design);
            case "uplift" -> uplift(place);
            case "ballast" -> ballast(place);
            case "strings.longest" -> CircuitFigures.longest(design);
            case "strings.shortest" -> CircuitFigures.shortest(design);
            case "strings.current" -> CircuitFigures.trackerCurrent(design);
            case "run.length" -> CircuitFigures.runLength(design);
            case "run.size" -> design.run().sizing() == null ? null : CircuitFigures.runSize(design, tables);
            case "run.drop" -> design.run().sizing() == null
                            || !design.run().sizing().feasible()
                    ? null
                    : CircuitFigures.runDrop(design);
            default -> null;
        };
    }

    private Working uplift(String id) {
        for (HoldDown.Demand demand : design.holdDown().demands()) {
            if (demand.module().id().equals(id)) {
                if (!design.holdDown().established()) {
                    return NetFigures.scope(design, tables);
                }
                Working w = demand.pressure().byMethod() instanceof NetPressure net
                        ? NetFigures.uplift(design, demand, net)
                        : HoldDownFigures.uplift(design, demand, tables);
                return FloorFigures.with(w, design, demand, tables);
            }
        }
        return null;
    }

    private Working ballast(String id) {
        for (HoldDown.Position position : design.holdDown().positions()) {
            if (position.id().equals(id)) {
                return design.holdDown().established()
                        ? HoldDownFigures.ballast(design, position, tables)
                        : NetFigures.scope(design, tables);
            }
        }
        return null;
    }

    /** Keys of the figures of the whole job, in the order in which the building is checked and then the circuits. */
    public List<String> keys() {
        List<String> keys = new ArrayList<>(loads());
        keys.addAll(standing());
        keys.addAll(List.of(
                "ballast.connected",
                "ballast.weighed",
                "array.gap",
                "array.setback",
                "array.shade",
                "array.reach",
                "total.dc",
                "total.ac",
                "total.ratio",
                "total.energy",
                "strings.longest",
                "strings.shortest",
                "strings.current",
                "run.length",
                "run.size",
                "run.drop"));
        keys.removeIf(key -> working(key) == null);
        return keys;
    }

    /** Those an engineer of the building checks. */
    public List<String> ofTheBuilding() {
        List<String> keys = new ArrayList<>(loads());
        keys.addAll(standing());
        keys.removeIf(key -> working(key) == null);
        return keys;
    }

    /** The survey, and what the place does to roof and array. */
    private List<String> loads() {
        List<String> keys =
                new ArrayList<>(List.of("survey.closure", "survey.fit", "survey.sizes", "survey.sight", "site.qh"));
        HoldDown.Position worst = design.holdDown().worst();
        if (worst != null && design.holdDown().established()) {
            int module = worst.shares().get(0).module();
            ArrayLayout.Module m = design.layout().modules().get(module);
            keys.add("uplift/" + m.id());
            keys.add("ballast/" + worst.id());
        }
        if (design.faceWind() != null) {
            keys.addAll(
                    FaceFigures.zones(design).stream().map(z -> "flush/" + z).toList());
        }
        keys.addAll(List.of("wind.down", "array.attachments", "site.snow", "site.drift", "seismic.room"));
        return keys;
    }

    /** What it comes to on the roof and what carries it. */
    private List<String> standing() {
        List<String> keys = new ArrayList<>(List.of(
                "total.modules",
                "total.blocks",
                "roof.footprint",
                "roof.window",
                "existing.building",
                "roof.feet",
                "roof.cover",
                "roof.deck"));
        if (design.loads().worstBay() != null) {
            keys.add("roof.bay/" + design.loads().worstBay().bay().name());
        }
        design.members()
                .sets()
                .forEach(s -> keys.add(
                        "member/" + s.set().id() + "/" + s.worst().line().number()));
        design.members().sets().stream()
                .filter(s -> s.lifted() != null)
                .forEach(s -> keys.add(
                        "lifted/" + s.set().id() + "/" + s.lifted().line().number()));
        return keys;
    }

    /** Code tables and catalogue entries the design rests on, the least reliable first. */
    public List<DataSource> sources() {
        Set<DataSource> sources = new LinkedHashSet<>();
        sources.add(design.job().array().tray().info());
        sources.add(design.job().array().module().info());
        sources.add(design.job().array().block().info());
        design.job()
                .document()
                .groups()
                .forEach(g -> sources.add(g.electrical().inverter().info()));
        sources.add(design.job().electrical().run().conductor().info());
        design.job()
                .roof()
                .fabric()
                .structure()
                .members()
                .forEach(m -> sources.add(m.type().info()));
        sources.addAll(tables.inUse(design.job()));
        return sources.stream()
                .sorted(Comparator.comparing(DataSource::status).reversed())
                .toList();
    }

    /** Status of the least reliable data the design rests on. */
    public DataStatus status() {
        return sources().stream().map(DataSource::status).reduce(null, DataStatus::worse);
    }
}
