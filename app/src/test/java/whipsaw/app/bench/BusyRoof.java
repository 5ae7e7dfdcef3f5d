package whipsaw.app.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.app.catalogue.Seeds;

/** A roof of 300 corners with 200 things on it, and a drawing of 20,000 lines: more than most jobs ever have. */
public final class BusyRoof {
    private static final int CORNERS = 300;
    private static final int THINGS = 200;

    private BusyRoof() {}

    private static Map<String, Object> corner(double x, double y) {
        return Map.of("x", Math.round(x * 1000) / 1000.0 + " m", "y", Math.round(y * 1000) / 1000.0 + " m");
    }

    /** An ellipse of 140 m by 90 m whose every other corner steps in, and rows of vents. */
    @SuppressWarnings("unchecked")
    public static Map<String, Object> document() {
        Map<String, Object> job = new LinkedHashMap<>(Seeds.demoJob());
        Map<String, Object> roof = new LinkedHashMap<>(((List<Map<String, Object>>) job.get("roofs")).get(0));
        List<Object> corners = new ArrayList<>();
        for (int i = 0; i < CORNERS; i++) {
            double angle = 2 * Math.PI * i / CORNERS;
            double in = i % 2 == 0 ? 1 : 0.985;
            corners.add(corner(70 + 70 * in * Math.cos(angle), 45 + 45 * in * Math.sin(angle)));
        }
        List<Object> things = new ArrayList<>();
        for (int i = 0; i < THINGS; i++) {
            Map<String, Object> thing = new LinkedHashMap<>();
            thing.put("id", "t-" + i);
            thing.put("name", "Vent " + (i + 1));
            thing.put("kind", "vent");
            thing.put("shape", i % 3 == 0 ? "circle" : "rectangle");
            thing.putAll(corner(30 + i % 20 * 4, 20 + i / 20 * 5));
            thing.put("width", "0.6 m");
            if (i % 3 != 0) {
                thing.put("depth", "0.4 m");
            }
            thing.put("height", "0.5 m");
            things.add(thing);
        }
        roof.put("outline", Map.of("kind", "drawn", "corners", corners));
        roof.put("parapets", List.of());
        roof.remove("structure");
        roof.remove("buildUps");
        roof.put("obstructions", things);
        job.put("roofs", List.of(roof));
        Map<String, Object> project = new LinkedHashMap<>((Map<String, Object>) job.get("project"));
        project.put("name", "Busy roof");
        job.put("project", project);
        return job;
    }

    /** A DXF of an outline and 20,000 lines beside it. */
    static String drawing() {
        StringBuilder dxf =
                new StringBuilder("0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n6\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n");
        for (int i = 0; i < 20_000; i++) {
            double x = i % 200;
            double y = i / 200;
            dxf.append("0\nLINE\n8\nL")
                    .append(i % 7)
                    .append("\n10\n")
                    .append(x)
                    .append("\n20\n")
                    .append(y)
                    .append("\n11\n")
                    .append(x + 0.7)
                    .append("\n21\n")
                    .append(y + 0.4)
                    .append('\n');
        }
        return dxf.append("0\nENDSEC\n0\nEOF\n").toString();
    }
}
