package whipsaw.core.job;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.catalogue.CatalogueInfo;
import whipsaw.core.catalogue.ConductorType;
import whipsaw.core.catalogue.InverterType;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.units.Quantity;

/**
 * Writes a job as a document. Each dimension is written with the typed text and the exact SI value
 * beside it; reading the document back gives an equal job.
 */
public final class JobWriter {
    private JobWriter() {}

    /** A year of readings as a document holds it. */
    public static Object year(Survey.Year year) {
        return SurveyWriter.year(year);
    }

    public static Map<String, Object> write(Job job) {
        Tree doc = new Tree().put("schema", Job.SCHEMA);
        doc.put(
                "project",
                new Tree()
                        .put("name", job.project().name())
                        .put("place", job.project().place())
                        .put("preparedBy", job.project().preparedBy())
                        .text("signatory", job.project().signatory())
                        .put("units", job.project().units().key())
                        .map);
        doc.put("roof", RoofWriter.roof(job.roof()));
        if (!job.survey().equals(Survey.NONE)) {
            doc.put("survey", SurveyWriter.survey(job.survey()));
        }
        doc.put("site", site(job.site()));
        doc.put("array", array(job.array()));
        doc.put("electrical", electrical(job.electrical()));
        doc.put("codeTables", Tree.list(job.codeTables(), t -> new Tree()
                .put("id", t.id())
                .put("edition", t.edition())
                .put("hash", t.hash())
                .map));
        return doc.map;
    }

    private static Object site(Job.Site site) {
        Tree doc = new Tree()
                .put("family", site.code().family())
                .measure("latitude", site.latitude(), Quantity.ANGLE)
                .measure("longitude", site.longitude(), Quantity.ANGLE)
                .length("elevation", site.elevation())
                .measure("recordLow", site.recordLow(), Quantity.TEMPERATURE)
                .measure("designHigh", site.designHigh(), Quantity.TEMPERATURE)
                .measure("leastUplift", site.leastUplift(), Quantity.PRESSURE)
                .measure("wind", site.wind(), Quantity.SPEED);
        if (site.code() instanceof Job.AsceSite asce) {
            Job.Hill hill = asce.ground().hill();
            doc.put("edition", asce.edition().name())
                    .put("olderFigures", asce.edition().olderFigures() ? true : null)
                    .put("method", asce.edition().strength() ? "strength" : null)
                    .text("coefficients", asce.coefficients())
                    .put("sds", Double.isNaN(asce.sds()) ? null : asce.sds())
                    .put("stories", asce.stories() == 0 ? null : asce.stories())
                    .put("riskCategory", asce.riskCategory())
                    .put("exposure", asce.ground().exposure())
                    .put("kzt", asce.ground().kzt());
            if (hill != null) {
                doc.put(
                        "hill",
                        new Tree()
                                .put("shape", hill.shape())
                                .length("height", hill.height())
                                .length("halfLength", hill.halfLength())
                                .length("distance", hill.distance())
                                .map);
            }
        } else if (site.code() instanceof Job.EnSite en) {
            doc.put("terrain", en.terrain())
                    .put("directionFactor", en.factors().direction())
                    .put("seasonFactor", en.factors().season())
                    .put("orography", en.factors().orography())
                    .put("returnYears", en.factors().returnYears())
                    .put("coefficients", en.coefficients())
                    .text("national", en.national());
        }
        doc.put("floorShare", Double.isNaN(site.floorShare()) ? null : site.floorShare())
                .measure("roofSnow", site.roofSnow(), Quantity.PRESSURE);
        return doc.measure("snow", site.snow(), Quantity.PRESSURE)
                .put("snowExposure", site.code().snowExposure())
                .put("snowThermal", site.code().snowThermal())
                .map;
    }

    private static Object array(Job.ArrayChoice a) {
        Tree doc = new Tree()
                .put("tray", tray(a.tray()))
                .put("module", module(a.module()))
                .put("block", block(a.block()))
                .measure("tilt", a.tilt(), Quantity.ANGLE)
                .length("gap", a.gap());
        doc.put(
                "facing",
                a.facing() instanceof Job.ToEdge edge
                        ? new Tree().put("edge", edge.edge()).map
                        : new Tree().measure("azimuth", ((Job.ToAzimuth) a.facing()).azimuth(), Quantity.ANGLE).map);
        doc.length("setback", a.setback());
        if (a.walkway() != null) {
            doc.put(
                    "walkway",
                    new Tree()
                            .put("every", a.walkway().every())
                            .put("first", a.walkway().first())
                            .length("width", a.walkway().width())
                            .map);
        }
        if (a.attachments() != null) {
            doc.put(
                    "attachments",
                    new Tree()
                            .measure("tension", a.attachments().tension(), Quantity.FORCE)
                            .measure("shear", a.attachments().shear(), Quantity.FORCE)
                            .put("mostBlocks", a.attachments().mostBlocks())
                            .text("bays", String.join(", ", a.attachments().bays()))
                            .text("kind", a.attachments().kind())
                            .map);
        }
        return doc.put("windowFrom", a.windowFrom())
                .put("windowTo", a.windowTo())
                .length("shiftAlong", a.shiftAlong())
                .length("shiftAcross", a.shiftAcross())
                .put("removed", Tree.list(a.removed(), RoofWriter::corner))
                .map;
    }

    private static Tree info(CatalogueInfo info) {
        return new Tree()
                .put("code", info.code())
                .put("edition", info.edition())
                .put("maker", info.maker())
                .put("name", info.name())
                .put("source", info.source())
                .put("dated", info.dated() == null ? null : info.dated().toString())
                .put("status", info.status().name().toLowerCase(Locale.ROOT));
    }

    public static Map<String, Object> tray(TraySystem t) {
        Map<String, Object> friction = new LinkedHashMap<>();
        Job.COVERINGS.stream()
                .filter(t.friction()::containsKey)
                .forEach(covering -> friction.put(covering, t.friction().get(covering)));
        return info(t.info())
                .put("arrangement", t.arrangement().key())
                .length("ridgeGap", t.ridgeGap())
                .put("tilts", Tree.list(t.tilts(), m -> Tree.of(m, Quantity.ANGLE)))
                .put("gaps", Tree.list(t.gaps(), m -> Tree.of(m, Quantity.LENGTH)))
                .length("moduleGap", t.moduleGap())
                .length("lowEdge", t.lowEdge())
                .measure("rackingMass", t.rackingMass(), Quantity.MASS)
                .put("positions", t.positions().key())
                .put("mostBlocks", t.mostBlocks())
                .measure("shared", t.shared(), Quantity.AREA)
                .put("sharedReport", t.sharedReport())
                .put("linksRows", t.linksRows())
                .put("shortestRow", t.shortestRow())
                .length("footLength", t.footLength())
                .length("footWidth", t.footWidth())
                .put("friction", friction)
                .map;
    }

    private static Map<String, Object> module(ModuleType m) {
        return info(m.info())
                .measure("power", m.power(), Quantity.POWER)
                .length("length", m.length())
                .length("width", m.width())
                .measure("mass", m.mass(), Quantity.MASS)
                .measure("voc", m.voc(), Quantity.VOLTAGE)
                .measure("vmp", m.vmp(), Quantity.VOLTAGE)
                .measure("isc", m.isc(), Quantity.CURRENT)
                .measure("imp", m.imp(), Quantity.CURRENT)
                .measure("vocCoefficient", m.vocCoefficient(), Quantity.PER_CENT_PER_DEGREE)
                .measure("vmpCoefficient", m.vmpCoefficient(), Quantity.PER_CENT_PER_DEGREE)
                .measure("largestFuse", m.largestFuse(), Quantity.CURRENT)
                .length("clampLongFrom", m.clampLongFrom())
                .length("clampLongTo", m.clampLongTo())
                .length("clampShortFrom", m.clampShortFrom())
                .length("clampShortTo", m.clampShortTo())
                .length("holes", m.holes())
                .map;
    }

    /** A catalogue entry of any kind, as a job holds it. */
    public static Map<String, Object> entry(Object part) {
        if (part instanceof TraySystem t) {
            return tray(t);
        } else if (part instanceof ModuleType m) {
            return module(m);
        } else if (part instanceof BlockType b) {
            return block(b);
        } else if (part instanceof InverterType i) {
            return inverter(i);
        } else if (part instanceof MemberType m) {
            return member(m);
        }
        return conductor((ConductorType) part);
    }

    private static Map<String, Object> member(MemberType m) {
        return info(m.info())
                .put("shape", m.shape().key())
                .length("depth", m.depth())
                .length("width", m.width())
                .length("web", m.web())
                .length("flange", m.flange())
                .length("lip", m.lip())
                .measure("inertia", m.inertia(), Quantity.SECOND_MOMENT)
                .measure("modulus", m.modulus(), Quantity.SECTION_MODULUS)
                .put("material", m.material())
                .measure("strength", m.strength(), Quantity.PRESSURE)
                .measure("shear", m.shear(), Quantity.PRESSURE)
                .measure("elasticity", m.elasticity(), Quantity.PRESSURE)
                .put(
                        "table",
                        m.table().isEmpty()
                                ? null
                                : Tree.list(m.table(), t -> new Tree()
                                        .length("span", t.span())
                                        .measure("total", t.total(), Quantity.LINE_LOAD)
                                        .measure("variable", t.variable(), Quantity.LINE_LOAD)
                                        .map))
                .map;
    }

    private static Map<String, Object> conductor(ConductorType c) {
        return info(c.info()).put("material", c.material()).put("insulation", c.insulation()).map;
    }

    /** A block as a catalogue entry or a job holds it. */
    public static Map<String, Object> block(BlockType b) {
        return info(b.info())
                .measure("mass", b.mass(), Quantity.MASS)
                .length("length", b.length())
                .length("width", b.width())
                .length("height", b.height())
                .map;
    }

    private static Object electrical(Job.Electrical e) {
        return new Tree()
                .put("inverter", inverter(e.inverter()))
                .put("place", e.place().equals("building") ? null : e.place())
                .put("dcAcMost", e.dcAcMost())
                .measure("systemLimit", e.systemLimit(), Quantity.VOLTAGE)
                .put("cellRiseC", e.cellRiseC())
                .put("run", run(e.run()))
                .map;
    }

    private static Map<String, Object> inverter(InverterType i) {
        return info(i.info())
                .measure("power", i.power(), Quantity.POWER)
                .measure("lineVoltage", i.lineVoltage(), Quantity.VOLTAGE)
                .measure("highestInput", i.highestInput(), Quantity.VOLTAGE)
                .measure("trackerLowest", i.trackerLowest(), Quantity.VOLTAGE)
                .put("trackers", i.trackers())
                .put("stringsPerTracker", i.stringsPerTracker())
                .measure("trackerShortCircuit", i.trackerShortCircuit(), Quantity.CURRENT)
                .map;
    }

    private static Object run(Job.AcRun run) {
        return new Tree()
                .put("points", Tree.list(run.points(), RoofWriter::corner))
                .put("legs", Tree.list(run.legs(), leg -> new Tree()
                        .put("name", leg.name())
                        .length("length", leg.length())
                        .map))
                .put("slackPct", run.slackPct())
                .put("conductor", conductor(run.conductor()))
                .put("raceway", run.raceway())
                .put("terminals", run.terminalC() + " C")
                .put("inSun", run.inSun())
                .length("aboveRoof", run.aboveRoof())
                .put("dropLimitPct", run.dropLimitPct())
                .put("powerFactor", run.powerFactor())
                .put("feeders", run.feeders())
                .map;
    }
}
