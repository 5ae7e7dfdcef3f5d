package whipsaw.core.job;

import whipsaw.core.units.Quantity;

/** Writes the roof of a job. */
final class RoofWriter {
    private RoofWriter() {}

    static Object corner(Job.Corner c) {
        return new Tree().length("x", c.x()).length("y", c.y()).map;
    }

    static Object roof(Job.Roof roof) {
        Tree doc = new Tree().put("outline", outline(roof.outline()));
        if (roof.sizes() != null) {
            doc.put(
                    "sizes",
                    new Tree()
                            .put("face", roof.sizes().insideFace() ? "inside" : null)
                            .put("tapes", Tree.list(roof.sizes().tapes(), t -> new Tree()
                                    .put("from", t.from())
                                    .put("to", t.to())
                                    .length("length", t.length())
                                    .map))
                            .map);
        }
        doc.measure("upAzimuth", roof.upAzimuth(), Quantity.ANGLE)
                .length("height", roof.height())
                .measure("slope", roof.slope(), Quantity.ANGLE)
                .put("covering", roof.covering());
        doc.put("parapets", Tree.list(roof.parapets(), p -> new Tree()
                .put("edge", p.edge())
                .length("height", p.height())
                .length("thickness", p.thickness())
                .put("curb", p.curb() ? true : null)
                .map));
        if (roof.allowance() != null) {
            doc.put(
                    "allowance",
                    new Tree()
                            .measure("load", roof.allowance().load(), Quantity.PRESSURE)
                            .put("givenBy", roof.allowance().givenBy())
                            .put("date", roof.allowance().date().toString())
                            .text("letter", roof.allowance().letter())
                            .text(
                                    "conditions",
                                    String.join("; ", roof.allowance().conditions()))
                            .map);
        }
        if (roof.bays() != null) {
            doc.put(
                    "bays",
                    new Tree()
                            .spacings("alongX", roof.bays().alongX())
                            .spacings("alongY", roof.bays().alongY())
                            .map);
        }
        doc.put("obstructions", Tree.list(roof.obstructions(), RoofWriter::obstruction));
        FabricWriter.into(doc, roof.fabric());
        return doc.map;
    }

    private static Object obstruction(Job.Obstruction o) {
        Footprint f = o.footprint();
        Tree doc = new Tree()
                .put("id", o.id())
                .put("name", o.name())
                .put("kind", o.kind())
                .put("shape", f.shape().key())
                .length("x", f.x())
                .length("y", f.y());
        switch (f.shape()) {
            case RECTANGLE -> doc.length("width", f.width()).length("depth", f.depth());
            case CIRCLE -> doc.length("width", f.width());
            case POLYGON -> doc.put("corners", Tree.list(f.corners(), RoofWriter::corner));
        }
        return doc.text("measured", f.measured())
                .length("height", o.height())
                .length("clear", o.clear())
                .put("shades", o.conduct().shades())
                .put("fragile", o.conduct().fragile())
                .measure("exhaust", o.conduct().exhaust(), Quantity.ANGLE)
                .map;
    }

    private static Object outline(Job.Outline outline) {
        if (outline instanceof Job.Taped taped) {
            return new Tree()
                    .put("kind", "taped")
                    .put("face", taped.insideFace() ? "inside" : "outside")
                    .put("closing", taped.closing() == Job.Closing.FIT ? "fit" : "compass")
                    .put("legs", Tree.list(taped.legs(), leg -> new Tree()
                            .length("length", leg.length())
                            .put("turnDeg", leg.turnDeg())
                            .put("measured", leg.measured())
                            .map))
                    .put("diagonals", Tree.list(taped.diagonals(), d -> new Tree()
                            .put("from", d.from())
                            .put("to", d.to())
                            .length("length", d.length())
                            .map))
                    .put("offsets", Tree.list(taped.offsets(), o -> new Tree()
                            .put("corner", o.corner())
                            .put("from", o.from())
                            .put("to", o.to())
                            .length("length", o.length())
                            .map))
                    .map;
        }
        Job.Drawn drawn = (Job.Drawn) outline;
        return new Tree().put("kind", "drawn").put("corners", Tree.list(drawn.corners(), RoofWriter::corner)).map;
    }
}
