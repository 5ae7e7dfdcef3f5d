package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.structure.RoofMembers.Foot;

/** What stands on one line: weights, areas that modules cover, and which modules, at their places along it. */
record Standing(List<Beam.Load> weights, List<Beam.Load> covered, List<Integer> modules) {
    Standing() {
        this(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
    }

    /** An array spread evenly over what a line carries. */
    void lay(MemberLines.Line line, double pa) {
        double area = line.spanM() * line.carriesM();
        weights.add(new Beam.Load(0, line.spanM(), pa * area));
        covered.add(new Beam.Load(0, line.spanM(), area));
        modules.add(-1);
    }

    void add(double at, Foot foot, double part) {
        if (part > 0) {
            weights.add(new Beam.Load(at, at, foot.newton() * part));
            covered.add(new Beam.Load(at, at, foot.coveredM2() * part));
            modules.add(foot.module());
        }
    }

    /** Hands a foot to the members on either side of it, or to one and the wall or beam where the bays end. */
    static void hand(List<MemberLines.Line> lines, List<Standing> standing, double across, double along, Foot foot) {
        int high = 0;
        int beyond = lines.size();
        while (high < beyond) {
            int middle = (high + beyond) / 2;
            if (lines.get(middle).atM() <= across) {
                high = middle + 1;
            } else {
                beyond = middle;
            }
        }
        MemberLines.Line a = high > 0 ? lines.get(high - 1) : null;
        MemberLines.Line b = high < lines.size() ? lines.get(high) : null;
        boolean apart = a != null && b != null && b.lowM() > a.highM() + 1e-6;
        if (a != null) {
            double end = b != null && !apart ? b.atM() : 2 * a.highM() - a.atM();
            if (across <= end) {
                standing.get(high - 1).add(along, foot, end > a.atM() ? (end - across) / (end - a.atM()) : 1);
            }
        }
        if (b != null) {
            double begin = a != null && !apart ? a.atM() : 2 * b.lowM() - b.atM();
            if (across >= begin) {
                standing.get(high).add(along, foot, (across - begin) / (b.atM() - begin));
            }
        }
    }
}
