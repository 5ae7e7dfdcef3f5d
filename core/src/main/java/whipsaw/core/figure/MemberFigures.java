package whipsaw.core.figure;

import whipsaw.core.catalogue.MemberType;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.job.Structure;
import whipsaw.core.structure.MemberCapacity;
import whipsaw.core.structure.MemberState;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.MemberTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** The working of one roof member: what it carries before and after, and what it takes. */
final class MemberFigures {

    private final Design design;
    private final UnitSystem units;
    private final RoofMembers.Member member;
    private final MemberType type;
    private final MemberTables tables;
    private final String family;
    private final Working.Builder w;
    private final PartSteps steps;

    private MemberFigures(
            Design design, RoofMembers.Checked set, RoofMembers.Member member, String key, CodeTables tables) {
        this.design = design;
        this.units = design.job().project().units();
        this.member = member;
        this.type = set.set().type();
        this.tables = tables.members();
        this.family = design.job().site().code().combinations();
        this.w = Working.of(
                key,
                set.set().name() + " " + member.line().number(),
                Show.number(100 * member.after().utilisation(), 1) + " % in "
                        + member.after().governing() + "; "
                        + Show.number(100 * member.before().utilisation(), 1)
                        + " % without the array");
        this.steps = new PartSteps(w, units);
    }

    /** @param place id of the set and number of the member, joists/B2-3 */
    static Working member(Design design, String place, CodeTables tables) {
        int slash = place.indexOf('/');
        for (RoofMembers.Checked set : design.members().sets()) {
            if (slash < 0 || !set.set().id().equals(place.substring(0, slash))) {
                continue;
            }
            for (RoofMembers.Member m : set.members()) {
                if (m.line().number().equals(place.substring(slash + 1))) {
                    return new MemberFigures(design, set, m, "member/" + place, tables).working();
                }
            }
        }
        return null;
    }

    private Working working() {
        loads();
        if (type.shape() == MemberType.Shape.TABLE) {
            table();
        } else {
            section();
        }
        bearing();
        increase();
        if (!member.strengthened().isEmpty()) {
            w.note("Strengthened: " + String.join(", ", member.strengthened())
                    + ". A member or support fitted under load takes only what comes later, unless the roof is jacked"
                    + " first; here all load is put on the strengthened member.");
        }
        if (type.shape() == MemberType.Shape.GIVEN) {
            w.note("The area that takes shear is not given: shear is not checked.");
        }
        return w.note(
                        design.faceWind() != null
                                ? "Loads are taken square to the roof, as if it were level; uneven snow is an engineer's value or is not in it; the part along the slope is left to the sheet."
                                : "A module stands on four feet at its corners, each with a quarter of it and its blocks; the deck hands a foot to the members on either side by the lever rule.")
                .note(
                        "Simple spans. Ponds are not in it, nor twisting, buckling of thin webs and connections. A licensed engineer checks the members.")
                .build();
    }

    private String length(double m) {
        return Show.both(units, Dimension.ROOF_LENGTH, m);
    }

    private String load(double pa) {
        return Show.both(units, Dimension.LOAD, pa);
    }

    private void loads() {
        Structure s = design.job().roof().fabric().structure();
        double carries = member.line().carriesM();
        w.step(
                "b",
                "width of roof it carries, half way to its neighbours",
                "{b_2} − {b_1}",
                length(carries),
                "",
                Term.computed("b_1", "from", length(member.line().lowM()), null),
                Term.computed("b_2", "to", length(member.line().highM()), null));
        Structure.OnFaces faces = s.onFaces();
        boolean pitched = design.faceWind() != null;
        boolean byEngineer = pitched
                && faces.snow() != null
                && faces.snow().si() > design.site().snow().roofPa();
        double snow = byEngineer ? faces.snow().si() : design.site().snow().roofPa();
        w.step(
                "w",
                "along it without the array, loads as they are",
                s.live() == null ? "({g} + {s}) · {b}" : "({g} + {s} or {l}) · {b}",
                s.live() == null
                        ? line((s.dead().si() + snow) * carries)
                        : line((s.dead().si() + snow) * carries) + " or "
                                + line((s.dead().si() + s.live().si()) * carries),
                "",
                Term.given("g", "existing dead load", load(s.dead().si()), s.dead()),
                byEngineer
                        ? Term.given("s", "uneven snow, by an engineer", load(snow), faces.snow())
                        : Term.computed("s", "snow", load(snow), "site.snow"),
                Term.computed("b", "width", length(carries), null),
                s.live() == null
                        ? Term.byRule("l", "roof live load", "none given", "")
                        : Term.given("l", "roof live load", load(s.live().si()), s.live()));
        drifts();
        wind();
        if (pitched) {
            w.step(
                    "P",
                    "from modules parallel to the roof, taken as all over it",
                    "{a} · {b} · {L}",
                    Show.both(units, Dimension.FORCE, member.arrayN()),
                    s.live() != null && !s.liveUnderArray() ? "no live load where modules lie, as chosen" : "",
                    Term.given("a", "weight of the array", load(faces.array().si()), faces.array()),
                    Term.computed("b", "width", length(carries), null),
                    Term.computed("L", "span", length(member.line().spanM()), null));
            return;
        }
        w.step(
                "P",
                "from the array, at the places of its feet",
                "Σ {feet}",
                Show.both(units, Dimension.FORCE, member.arrayN()),
                s.live() != null && !s.liveUnderArray() ? "no live load where modules lie, as chosen" : "",
                Term.computed("feet", "feet on it, whole or in part", String.valueOf(member.feet()), null));
    }

    private void drifts() {
        if (member.driftN() > 0) {
            w.step(
                    "S_d",
                    design.rowSnow() == null
                            ? "from drifts, above the even snow"
                            : "from drifts, those against rows of modules too, above the even snow",
                    "Σ over its length",
                    Show.both(units, Dimension.FORCE, member.driftN()),
                    "the larger of even and drifted snow at every place",
                    Term.computed(
                            "Σ",
                            "in sixteen pieces",
                            Show.both(units, Dimension.FORCE, member.driftN()),
                            "site.drift"));
        }
    }

    /** What the wind presses on the roof it carries; on modules by their own method. */
    private void wind() {
        DownWind down = design.downWind();
        if (!down.known()) {
            w.note("What the wind presses on the roof is not known: " + down.missing() + ".");
            return;
        }
        double area = member.spanM() * Math.max(member.line().carriesM(), member.spanM() / 3);
        w.step(
                "W",
                "wind pressing on the bare roof, before factors; on modules their own pressure takes its place",
                "at {A}",
                load(down.roofPa(area)),
                "",
                Term.computed(
                        "A",
                        "span times the width it carries, at least a third of the span",
                        Show.both(units, Dimension.AREA, area),
                        "wind.down"));
    }

    private String line(double newtonPerMetre) {
        return Show.both(units, Dimension.LINE_LOAD, newtonPerMetre);
    }

    private String moment(double nm) {
        return Show.both(units, Dimension.MOMENT, nm);
    }

    private void section() {
        MemberState.Part m = member.after().moment();
        w.steps(MemberCapacity.of(type, family, duration(m.combination()), member.count(), tables)
                .steps(units));
        steps.compare(
                "M",
                "moment",
                moment(m.effect()),
                moment(m.limit()),
                m,
                member.before().moment());
        MemberState.Part v = member.after().shear();
        if (!Double.isNaN(v.limit())) {
            steps.compare(
                    "V",
                    "shear at a support",
                    Show.both(units, Dimension.FORCE, v.effect()),
                    Show.both(units, Dimension.FORCE, v.limit()),
                    v,
                    member.before().shear());
        }
        MemberTables.Deflection limits = tables.deflection(family, type.material());
        steps.deflection(
                limits.creep() > 0
                        ? "deflection in the end under all of it, lasting loads with creep"
                        : "deflection under all of it",
                limits.totalSpanOver(),
                limits,
                member.after().total(),
                member.before().total());
        steps.deflection(
                "deflection under snow, live load or wind",
                limits.variableSpanOver(),
                limits,
                member.after().variable(),
                member.before().variable());
    }

    /** The shortest load of a combination by name. */
    private String duration(String name) {
        return tables.combinations(family, true).stream()
                .filter(c -> c.name().equals(name))
                .findFirst()
                .orElseThrow()
                .duration();
    }

    private void table() {
        MemberState.Part m = member.after().moment();
        double span = member.spanM();
        w.step(
                "w_R",
                "load along it that its table allows at its span",
                "table at {L}",
                line(m.limit() * 8 / (span * span)),
                "maker's or engineer's load table; straight between two spans of it",
                Term.computed("L", "span", length(span), null),
                Term.data("table", "load table", type.info().name(), Origin.CATALOGUE, type.info()));
        steps.compare(
                "M",
                "moment, against that of the table's load",
                moment(m.effect()),
                moment(m.limit()),
                m,
                member.before().moment());
        MemberState.Part v = member.after().shear();
        steps.compare(
                "V",
                "shear, against that of the table's load",
                Show.both(units, Dimension.FORCE, v.effect()),
                Show.both(units, Dimension.FORCE, v.limit()),
                v,
                member.before().shear());
        MemberState.Part d = member.after().variable();
        if (!Double.isNaN(d.limit())) {
            steps.compare(
                    "w_d",
                    "snow or live load, against the load of the table's deflection limit",
                    line(d.effect()),
                    line(d.limit()),
                    d,
                    member.before().variable());
        }
    }

    private void bearing() {
        MemberState.Part b = member.after().bearing();
        if (Double.isNaN(b.limit())) {
            w.note("The allowable end reaction is not entered: bearing is not checked.");
            return;
        }
        steps.compare(
                "R",
                "end reaction against the allowable",
                Show.both(units, Dimension.FORCE, b.effect()),
                Show.both(units, Dimension.FORCE, b.limit()),
                b,
                member.before().bearing());
    }

    private void increase() {
        double allowed = tables.limit("small_increase_ratio");
        w.step(
                "",
                "moment or shear with the array over that without, under gravity, loads as they are",
                "{after} / {before}",
                Show.number(member.increase(), 3),
                "an existing building's member may take up to " + Show.number(allowed, 2)
                        + " where that rule is adopted; "
                        + (design.job().roof().fabric().structure().smallIncrease()
                                ? "chosen in this job" + (member.bySmallIncrease() ? ", and decides here" : "")
                                : "not chosen in this job"));
    }
}
