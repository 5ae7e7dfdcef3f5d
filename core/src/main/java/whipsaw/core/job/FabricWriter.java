package whipsaw.core.job;

import whipsaw.core.units.Quantity;

/** Writes how a roof rises and what it is made of, where anything is known of it. */
final class FabricWriter {
    private FabricWriter() {}

    static void into(Tree roof, Fabric fabric) {
        if (!fabric.flat()) {
            roof.put("form", form(fabric.form()));
        }
        if (!fabric.buildUps().isEmpty()) {
            roof.put("buildUps", Tree.list(fabric.buildUps(), FabricWriter::buildUp));
        }
        if (!fabric.structure().equals(Structure.UNKNOWN)) {
            roof.put("structure", structure(fabric.structure()));
        }
        if (!fabric.bayNotes().isEmpty()) {
            roof.put("bayNotes", Tree.list(fabric.bayNotes(), FabricWriter::bayNote));
        }
    }

    private static Object structure(Structure s) {
        return new Tree()
                .measure("dead", s.dead(), Quantity.PRESSURE)
                .measure("live", s.live(), Quantity.PRESSURE)
                .put("liveUnderArray", s.liveUnderArray())
                .put("smallIncrease", s.smallIncrease())
                .put("onFaces", onFaces(s.onFaces()))
                .put(
                        "deck",
                        s.deck() == null
                                ? null
                                : new Tree()
                                        .put("type", JobWriter.entry(s.deck().type()))
                                        .length("width", s.deck().width())
                                        .map)
                .put("members", Tree.list(s.members(), m -> new Tree()
                        .put("id", m.id())
                        .put("name", m.name())
                        .put("kind", m.kind())
                        .put("along", m.alongX() ? "x" : "y")
                        .text("bays", String.join(", ", m.bays()))
                        .length("first", m.first())
                        .spacings("spacing", m.spacing())
                        .put("surveyed", m.surveyed() ? true : null)
                        .put("type", JobWriter.entry(m.type()))
                        .put("freeFlange", Double.isNaN(m.freeFlange()) ? null : m.freeFlange())
                        .measure("connection", m.connection(), Quantity.FORCE)
                        .measure("bearing", m.bearing(), Quantity.FORCE)
                        .map))
                .put("works", Tree.list(s.works(), w -> new Tree()
                        .put("id", w.id())
                        .put("members", w.members())
                        .put("kind", w.kind())
                        .text("bays", String.join(", ", w.bays()))
                        .put(
                                "seen",
                                w.signedBy().isEmpty()
                                        ? null
                                        : new Tree()
                                                .put("by", w.signedBy())
                                                .put("on", w.signedOn().toString())
                                                .put(
                                                        "what",
                                                        w.signedFor() == null
                                                                ? null
                                                                : w.signedFor().what())
                                                .put(
                                                        "utilisation",
                                                        w.signedFor() == null
                                                                ? null
                                                                : w.signedFor().utilisation())
                                                .map)
                        .put("photos", w.photos().isEmpty() ? null : w.photos())
                        .map))
                .measure("windDown", s.windDown(), Quantity.PRESSURE)
                .measure("seismicWeight", s.seismicWeight(), Quantity.MASS)
                .measure("construction", s.construction(), Quantity.PRESSURE)
                .put("setDowns", s.setDowns().isEmpty() ? null : Tree.list(s.setDowns(), FabricWriter::setDown))
                .put("laid", s.laid().isEmpty() ? null : Tree.list(s.laid(), FabricWriter::laid))
                .map;
    }

    private static Object laid(Structure.Laid l) {
        return new Tree()
                .put("id", l.id())
                .put("name", l.name())
                .put("line", l.line() == null ? null : line(l.line()))
                .measure("perMetre", l.perMetre(), Quantity.LINE_LOAD)
                .measure("support", l.support(), Quantity.MASS)
                .length("spacing", l.spacing())
                .map;
    }

    private static Object line(Structure.Line l) {
        return new Tree()
                .length("x", l.x())
                .length("y", l.y())
                .length("toX", l.toX())
                .length("toY", l.toY())
                .map;
    }

    private static Object setDown(Structure.SetDown d) {
        return new Tree()
                .put("id", d.id())
                .put("name", d.name())
                .put("stage", d.stage())
                .length("x", d.x())
                .length("y", d.y())
                .length("width", d.width())
                .length("depth", d.depth())
                .measure("mass", d.mass(), Quantity.MASS)
                .put("high", d.high())
                .map;
    }

    private static Object onFaces(Structure.OnFaces f) {
        return f.equals(Structure.OnFaces.UNKNOWN)
                ? null
                : new Tree()
                        .measure("array", f.array(), Quantity.PRESSURE)
                        .measure("snow", f.snow(), Quantity.PRESSURE)
                        .measure("uplift", f.uplift(), Quantity.PRESSURE)
                        .put("partlyEnclosed", f.partlyEnclosed() ? true : null)
                        .map;
    }

    private static Object form(RoofForm form) {
        Tree doc = new Tree();
        if (form instanceof RoofForm.Folded folded) {
            doc.put("kind", "folded").put("edge", folded.edge()).put("folds", Tree.list(folded.folds(), f -> new Tree()
                    .length("across", f.across())
                    .length("height", f.height())
                    .map));
        } else if (form instanceof RoofForm.Hipped hipped) {
            doc.put("kind", "hipped").measure("slope", hipped.slope(), Quantity.ANGLE);
        } else if (form instanceof RoofForm.Faces faces) {
            doc.put("kind", "faces").put("faces", Tree.list(faces.faces(), f -> new Tree()
                    .put("corners", Tree.list(f.corners(), RoofWriter::corner))
                    .measure("slope", f.slope(), Quantity.ANGLE)
                    .measure("fallsTo", f.fallsTo(), Quantity.ANGLE)
                    .length("low", f.low())
                    .map));
        }
        return doc.map;
    }

    private static Object buildUp(Fabric.BuildUp b) {
        Fabric.Sheet s = b.sheet();
        Fabric.Deck d = b.deck();
        return new Tree()
                .put("face", b.face())
                .length("ribPitch", s.pitch())
                .length("ribTop", s.ribTop())
                .length("ribHeight", s.ribHeight())
                .length("firstRib", s.firstRib())
                .length("thickness", s.thickness())
                .text("material", s.material())
                .text("coating", s.coating())
                .spacings("screws", s.screws())
                .spacings("purlins", b.purlins())
                .text("purlinSection", b.purlinSection())
                .spacings("joists", b.joists())
                .text("deck", d.deck())
                .text("insulation", d.insulation())
                .length("insulationThickness", d.insulationThickness())
                .measure("strength", d.strength(), Quantity.PRESSURE)
                .map;
    }

    private static Object bayNote(Fabric.BayNote n) {
        return new Tree()
                .put("bay", n.bay())
                .measure("fall", n.fall(), Quantity.ANGLE)
                .measure("fallsTo", n.fallsTo(), Quantity.ANGLE)
                .measure("undulation", n.undulation(), Quantity.ANGLE)
                .put("ponds", n.ponds())
                .text("note", n.note())
                .map;
    }
}
