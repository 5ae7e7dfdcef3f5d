package whipsaw.app.drawing;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.springframework.stereotype.Component;
import whipsaw.core.array.SolarTime;
import whipsaw.core.design.Design;
import whipsaw.core.section.CutLine;

/** What the bench draws of a design, drawn once for all windows that show it; the oldest designs give way. */
@Component
public class Drawings {
    private static final int KEPT = 8;

    private final Deque<Drawn> entries = new ArrayDeque<>();

    /** Drawings of one design as it is opened. */
    public static final class Drawn {
        private final Design design;
        private SolarTime sun;
        private CutLine cut;
        private String section;
        private String data;
        private String stamp;
        private String plan;

        private Drawn(Design design) {
            this.design = design;
        }

        /** Draws it for the first that asks; others wait for that. */
        private synchronized void draw() {
            if (stamp == null) {
                sun = PlanDrawing.standardSun(design);
                cut = CutLines.standard(design);
                section = SectionDrawing.of(design, cut, sun);
                data = PlanData.of(design);
                stamp = SmallDrawing.of(design);
            }
        }

        /** The moment shadows are shown for. */
        public SolarTime sun() {
            return sun;
        }

        /** What the line over the roof cuts. */
        public String section() {
            return section;
        }

        /** Where the sun stands in the section, in words. */
        public String sunWords() {
            return SectionDrawing.sunWords(design, cut, sun);
        }

        /** What the scripts need beside the plan. */
        public String data() {
            return data;
        }

        /** The small drawing. */
        public String stamp() {
            return stamp;
        }

        /**
         * The plan for the screen.
         *
         * @param changed modules that a change touched, which are marked; drawn anew when there are any
         */
        public synchronized String plan(List<Integer> changed) {
            if (!changed.isEmpty()) {
                return PlanDrawing.forScreen(design, changed);
            }
            if (plan == null) {
                plan = PlanDrawing.forScreen(design, changed);
            }
            return plan;
        }
    }

    /**
     * The drawings of a design.
     *
     * @param design as it was solved; the same object is drawn once
     * @return never null
     */
    public Drawn of(Design design) {
        Drawn drawn = entry(design);
        drawn.draw();
        return drawn;
    }

    private synchronized Drawn entry(Design design) {
        String place = design.job().place();
        for (Drawn drawn : entries) {
            if (drawn.design.whole() == design.whole()
                    && drawn.design.job().place().equals(place)) {
                return drawn;
            }
        }
        Drawn drawn = new Drawn(design);
        entries.addFirst(drawn);
        while (entries.size() > KEPT) {
            entries.removeLast();
        }
        return drawn;
    }
}
