package whipsaw.core.table;

import java.util.List;

/** A curve given by nodes, linear in log10 of its argument and constant beyond its ends. */
public record Curve(List<Node> nodes) {

    /** One point of a curve. */
    public record Node(double x, double y) {}

    public Curve {
        nodes = List.copyOf(nodes);
        for (int i = 1; i < nodes.size(); i++) {
            if (nodes.get(i).x() <= nodes.get(i - 1).x()) {
                throw new IllegalArgumentException("curve nodes must rise: " + nodes);
            }
        }
    }

    /** The ordinate at {@code x > 0}. */
    public double at(double x) {
        Node last = nodes.get(0);
        if (x <= last.x()) {
            return last.y();
        }
        for (Node node : nodes.subList(1, nodes.size())) {
            if (x <= node.x()) {
                double part = Math.log10(x / last.x()) / Math.log10(node.x() / last.x());
                return last.y() + part * (node.y() - last.y());
            }
            last = node;
        }
        return last.y();
    }
}
