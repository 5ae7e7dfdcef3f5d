package whipsaw.core.job;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.catalogue.CatalogueInfo;
import whipsaw.core.catalogue.ConductorType;
import whipsaw.core.catalogue.InverterType;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.units.Measure;
import whipsaw.core.working.DataStatus;

/** Reads catalogue entries, on their own or as the copies a job holds. */
final class CatalogueReader {
    private CatalogueReader() {}

    static CatalogueInfo info(Doc doc) {
        return new CatalogueInfo(
                doc.text("code", "Code", 60),
                doc.text("edition", "Edition", 40),
                doc.text("maker", "Maker", 80),
                doc.text("name", "Name", 120),
                doc.text("source", "Source", 300),
                doc.dateOrNull("dated", "Date of the source"),
                DataStatus.valueOf(doc.choice("status", "Status", List.of("confirmed", "unconfirmed", "invented"))
                        .toUpperCase(Locale.ROOT)));
    }

    static ModuleType module(Doc doc) {
        ModuleType type = new ModuleType(
                info(doc),
                doc.measure("power", Fields.MODULE_POWER),
                doc.measure("length", Fields.MODULE_SIDE),
                doc.measure("width", Fields.MODULE_SIDE),
                doc.measure("mass", Fields.MODULE_MASS),
                doc.measure("voc", Fields.MODULE_VOLTAGE),
                doc.measure("vmp", Fields.MODULE_VOLTAGE),
                doc.measure("isc", Fields.MODULE_CURRENT),
                doc.measure("imp", Fields.MODULE_CURRENT),
                doc.measure("vocCoefficient", Fields.COEFFICIENT),
                doc.measure("vmpCoefficient", Fields.COEFFICIENT),
                doc.measure("largestFuse", Fields.MODULE_CURRENT),
                doc.measureOrNull("clampLongFrom", Fields.ALONG_FRAME),
                doc.measureOrNull("clampLongTo", Fields.ALONG_FRAME),
                doc.measureOrNull("clampShortFrom", Fields.ALONG_FRAME),
                doc.measureOrNull("clampShortTo", Fields.ALONG_FRAME),
                doc.measureOrNull("holes", Fields.ALONG_FRAME));
        both(doc, "clampLongTo", "Clamps on the long side", type.clampLongFrom(), type.clampLongTo());
        both(doc, "clampShortTo", "Clamps on the short side", type.clampShortFrom(), type.clampShortTo());
        doc.done();
        return type;
    }

    private static void both(Doc doc, String key, String label, Measure from, Measure to) {
        if ((from == null) != (to == null)) {
            doc.problem(key, label, "", "take two distances from a corner, for example 250 mm and 550 mm");
        }
    }

    static InverterType inverter(Doc doc) {
        InverterType type = new InverterType(
                info(doc),
                doc.measure("power", Fields.INVERTER_POWER),
                doc.measure("lineVoltage", Fields.INVERTER_VOLTAGE),
                doc.measure("highestInput", Fields.INVERTER_VOLTAGE),
                doc.measure("trackerLowest", Fields.INVERTER_VOLTAGE),
                doc.whole("trackers", "Trackers", 1, 40),
                doc.whole("stringsPerTracker", "Strings per tracker", 1, 20),
                doc.measure("trackerShortCircuit", Fields.INVERTER_CURRENT));
        doc.done();
        return type;
    }

    static BlockType block(Doc doc) {
        BlockType type = new BlockType(
                info(doc),
                doc.measure("mass", Fields.BLOCK_MASS),
                doc.measure("length", Fields.BLOCK_SIDE),
                doc.measure("width", Fields.BLOCK_SIDE),
                doc.measure("height", Fields.BLOCK_SIDE));
        doc.done();
        return type;
    }

    static ConductorType conductor(Doc doc) {
        ConductorType type = new ConductorType(
                info(doc),
                doc.choice("material", "Material", List.of("cu", "al")),
                doc.choice("insulation", "Insulation", List.of("THWN-2", "XHHW-2")));
        doc.done();
        return type;
    }

    static TraySystem tray(Doc doc) {
        Map<String, Double> friction = new LinkedHashMap<>();
        Doc pads = doc.object("friction", "Friction by covering");
        if (pads != null) {
            for (String covering : Job.COVERINGS) {
                if (pads.has(covering)) {
                    friction.put(covering, pads.number(covering, "Friction on " + covering, 0.1, 1.5));
                }
            }
            pads.done();
        }
        boolean pairs = doc.choice("arrangement", "Arrangement", List.of("one-way", "pairs"))
                .equals("pairs");
        Measure ridge = doc.measureOrNull("ridgeGap", Fields.RIDGE_GAP);
        if (pairs != (ridge != null)) {
            doc.problem(
                    "ridgeGap",
                    "Ridge gap",
                    ridge == null ? "" : ridge.typed(),
                    pairs
                            ? "is missing: pairs need the gap between their high edges, for example 60 mm"
                            : "belongs to pairs only: leave it out for one-way rows");
        }
        String positions = doc.choice("positions", "Ballast positions", List.of("module", "joint"));
        TraySystem type = new TraySystem(
                info(doc),
                pairs ? TraySystem.Arrangement.PAIRS : TraySystem.Arrangement.ONE_WAY,
                ridge,
                doc.measures("tilts", Fields.TILT),
                doc.measures("gaps", Fields.GAP),
                doc.measure("moduleGap", Fields.MODULE_GAP),
                doc.measure("lowEdge", Fields.LOW_EDGE),
                doc.measure("rackingMass", Fields.RACKING_MASS),
                TraySystem.Positions.valueOf(positions.toUpperCase(Locale.ROOT)),
                doc.whole("mostBlocks", "Blocks a position takes", 0, 60),
                doc.measureOrNull("shared", Fields.SHARED_AREA),
                doc.textOrEmpty("sharedReport", "Report on sharing", 200),
                doc.flag("linksRows", "Rows joined", false),
                doc.whole("shortestRow", "Fewest modules side by side", 1, 20),
                friction,
                doc.measureOrNull("footLength", Fields.FOOT),
                doc.measureOrNull("footWidth", Fields.FOOT));
        if ((type.footLength() == null) != (type.footWidth() == null)) {
            doc.problem("footWidth", "Foot", "", "takes a length and a width, for example 300 mm and 100 mm");
        }
        doc.done();
        return type;
    }
}
