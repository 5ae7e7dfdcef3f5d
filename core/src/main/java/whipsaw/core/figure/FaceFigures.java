package whipsaw.core.figure;

import java.util.List;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.holddown.FlushPanel;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.RoofFace;
import whipsaw.core.site.RoofZones;
import whipsaw.core.structure.MemberCapacity;
import whipsaw.core.structure.MemberUplift;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.Curve;
import whipsaw.core.table.MemberTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Plot;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;
import whipsaw.core.working.Working;

/** How the wind on pitched faces, on modules parallel to them and on their purlins came about. */
final class FaceFigures {
    private FaceFigures() {}

    private static String load(Design design, double pa) {
        return Show.both(design.job().project().units(), Dimension.LOAD, pa);
    }

    private static String area(Design design, double m2) {
        return Show.both(design.job().project().units(), Dimension.AREA, m2);
    }

    private static String nodes(Curve curve) {
        Curve.Node a = curve.nodes().get(0);
        Curve.Node b = curve.nodes().get(curve.nodes().size() - 1);
        return Show.number(a.y(), 2) + " up to " + Show.number(a.x(), 0) + " ft², " + Show.number(b.y(), 2) + " from "
                + Show.number(b.x(), 0) + " ft², straight in the logarithm of the area between";
    }

    private static Term velocity(Design design) {
        return Term.computed(
                "q_h", "velocity pressure", load(design, design.faceWind().qhPa()), "site.qh");
    }

    private static String down(Design design, FlushPanel.Pressure p) {
        return Double.isNaN(p.downPa()) ? "not established" : load(design, p.downPa());
    }

    /** Zones of the roof there are pressures for, or {@code roof} where there are none. */
    static List<String> zones(Design design) {
        FaceWind wind = design.faceWind();
        if (!wind.established()) {
            return List.of("roof");
        }
        return wind.steep()
                ? wind.tables().gableZones()
                : wind.zones().areas().stream().map(RoofZones.Area::name).toList();
    }

    /** Pressures on modules where no coefficients are at hand: what is known, and an engineer's value. */
    private static Working withoutMethod(Design design) {
        FaceWind wind = design.faceWind();
        Structure.OnFaces faces = design.job().roof().fabric().structure().onFaces();
        String engineer = faces.uplift() == null
                ? "none entered"
                : load(design, faces.uplift().si());
        Working.Builder w = Working.of(
                "flush/roof",
                "Modules parallel to the roof",
                faces.uplift() == null ? "not established" : engineer + " up, by an engineer");
        if (design.site().wind() != null) {
            w.step(
                    "q_h",
                    "velocity pressure",
                    "{q}",
                    load(design, design.site().wind().pressurePa()),
                    "",
                    Term.computed(
                            "q",
                            "of the site",
                            load(design, design.site().wind().pressurePa()),
                            "site.qh"));
        }
        for (RoofFace f : design.plan().faces().faces()) {
            w.step("θ", "slope of face " + f.number(), "as surveyed", Show.number(f.slopeDeg(), 1) + "°", "");
        }
        return w.step(
                        "p",
                        "net uplift",
                        "{p_e}",
                        engineer,
                        "not by a method: " + wind.missing(),
                        Term.computed("p_e", "by an engineer", engineer, null))
                .note("Enter the engineer's net uplift under Structure, loads of pitched faces.")
                .build();
    }

    /** @param zone of the roof; null for one that does not exist on it */
    static Working panel(Design design, String zone, CodeTables tables) {
        FaceWind wind = design.faceWind();
        if (wind == null || !zones(design).contains(zone)) {
            return null;
        }
        if (!wind.established()) {
            return withoutMethod(design);
        }
        double m2 = design.job().array().module().areaM2();
        FlushPanel.Pressure p = wind.panel(zone, m2);
        return Working.of(
                        "flush/" + zone,
                        "Modules parallel to the roof, zone " + FaceWind.shown(zone),
                        load(design, p.upliftPa()) + " up, " + down(design, p) + " down")
                .step(
                        "GC_p",
                        "suction of the roof at the area of a module",
                        "curve of zone {zone} at {A}",
                        Show.number(p.suction(), 3),
                        nodes(wind.suction(zone)),
                        Term.computed(
                                "zone",
                                "zone",
                                FaceWind.shown(zone) + ": "
                                        + (wind.steep()
                                                ? "the worst of these is taken all over the roof"
                                                : wind.zones().rule()),
                                null),
                        Term.data(
                                "A",
                                "one module",
                                area(design, m2),
                                Origin.CATALOGUE,
                                design.job().array().module().info()))
                .steps(p.steps(
                        Terms.of(Term.computed("q_h", "", "", "site.qh")),
                        design.job().project().units()))
                .plot(Plot.of(
                        "area, ft²",
                        "−GC_p, zone " + FaceWind.shown(zone),
                        1,
                        1000,
                        a -> -wind.suction(zone).at(a),
                        Unit.SQUARE_FOOT.fromSi(m2)))
                .note(
                        "Holds for modules at most 10 in above the roof, within 2° of its slope, and at least twice their height from an edge, ridge or hip. A minimum design pressure may govern. A licensed engineer confirms it.")
                .build();
    }

    /** @param place id of the set and number of the member */
    static Working purlin(Design design, String place, CodeTables tables) {
        int slash = place.indexOf('/');
        for (RoofMembers.Checked set : design.members().sets()) {
            for (RoofMembers.Member m : set.members()) {
                if (slash > 0
                        && set.set().id().equals(place.substring(0, slash))
                        && m.line().number().equals(place.substring(slash + 1))
                        && m.uplift() != null) {
                    return purlin(design, set.set(), m, "lifted/" + place, tables);
                }
            }
        }
        return null;
    }

    private static Working purlin(
            Design design, Structure.Members set, RoofMembers.Member m, String key, CodeTables tables) {
        UnitSystem units = design.job().project().units();
        MemberUplift u = m.uplift();
        FaceWind wind = design.faceWind();
        Structure.OnFaces faces = design.job().roof().fabric().structure().onFaces();
        boolean asce = wind.established();
        MemberTables.Combination c =
                tables.members().uplift(design.job().site().code().combinations());
        Working.Builder w = Working.of(
                key,
                set.name() + " " + m.line().number() + " lifted",
                Show.both(units, Dimension.MOMENT, u.momentNm()) + " and " + Show.both(units, Dimension.FORCE, u.endN())
                        + " at an end, upward");
        w.step(
                "p",
                "largest net pressure away from the roof",
                asce ? "{q_h} · ({GC_pi} − GC_p at {A})" : "{p_e}",
                load(design, u.peakPa()),
                asce
                        ? "the larger of the bare roof and of modules on it (γ_E and γ_a in place of 1), with the pressure inside; zone by zone along it"
                        : "by an engineer: " + wind.missing() + " are not at hand",
                asce ? velocity(design) : Term.given("p_e", "entered", load(design, wind.engineerPa()), faces.uplift()),
                Term.data(
                        "GC_pi",
                        "inside",
                        asce ? Show.number(wind.internal(), 2) : "in it",
                        Origin.TABLE,
                        tables.panels().internalTable()),
                Term.computed(
                        "A",
                        "span times the width it carries, at least a third of the span",
                        area(design, u.areaM2()),
                        null));
        w.step(
                "M",
                "moment upward, bare roof and with the array",
                "combination {c}",
                Show.both(units, Dimension.MOMENT, u.bareNm()) + "; " + Show.both(units, Dimension.MOMENT, u.withNm()),
                c.clause(),
                Term.data(
                        "c", "factors", c.name(), Origin.TABLE, tables.members().combinationTable()));
        if (set.type().shape() == MemberType.Shape.TABLE) {
            w.note("A load table says nothing of a member that is lifted.");
        } else if (Double.isNaN(set.freeFlange())) {
            w.note(
                    "The moment it takes with its lower flange free is not established: the share is not entered with the members.");
        } else {
            MemberCapacity capacity = MemberCapacity.of(
                    set.type(), design.job().site().code().combinations(), c.duration(), m.count(), tables.members());
            w.steps(capacity.moment(units))
                    .steps(capacity.free(set.freeFlange()).steps(Terms.typed(), units));
        }
        end(w, set, u, units);
        return w.note(
                        "A simple span; the roof sheet holds the upper flange. The load acts where clamps are, which is not in it. A licensed engineer checks purlins under uplift.")
                .build();
    }

    private static void end(Working.Builder w, Structure.Members set, MemberUplift u, UnitSystem units) {
        w.step(
                "R",
                "uplift at an end, bare roof and with the array",
                "against {R_c}",
                Show.both(units, Dimension.FORCE, u.bareEndN()) + "; "
                        + Show.both(units, Dimension.FORCE, u.withEndN()),
                "at the level of the combination",
                set.connection() == null
                        ? Term.byRule("R_c", "allowable end uplift", "not given", "entered with the members")
                        : Term.given(
                                "R_c",
                                "allowable end uplift",
                                Show.both(
                                        units, Dimension.FORCE, set.connection().si()),
                                set.connection()));
    }
}
