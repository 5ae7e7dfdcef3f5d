package whipsaw.core.holddown;

import java.util.List;
import whipsaw.core.array.ArrayLayout;

/**
 * Demand of every module and ballast of every position.
 *
 * @param method key of the load factors: {@code ASD} or {@code EN_EQU}
 * @param missing what has to be entered before anything is established
 * @param outsideScope limits of the wind method that the array passes
 * @param tooNearEdge modules nearer to a roof edge than the method allows
 * @param demands by module
 * @param positions where ballast lies
 * @param friction between feet and covering
 * @param block what one is worth
 * @param connected how blocks were worked out over connected positions; null where each was rounded up by itself
 */
public record HoldDown(
        String method,
        List<String> missing,
        List<String> outsideScope,
        List<ArrayLayout.Module> tooNearEdge,
        List<Demand> demands,
        List<Position> positions,
        double friction,
        WeighedBlock block,
        ConnectedBallast connected) {

    public HoldDown {
        missing = List.copyOf(missing);
        outsideScope = List.copyOf(outsideScope);
        tooNearEdge = List.copyOf(tooNearEdge);
        demands = List.copyOf(demands);
        positions = List.copyOf(positions);
    }

    /**
     * Wind on one module.
     *
     * @param zone roof zone, the most severe it touches
     * @param openSide the open side that decides exposure, or null when no side is open
     * @param exposed by 29.4.3
     * @param fromRowEndM from its nearer side to the end of the row
     * @param joined modules whose trays are joined to it, itself included
     */
    public record Demand(
            ArrayLayout.Module module,
            String zone,
            OpenSide openSide,
            boolean exposed,
            double fromRowEndM,
            int joined,
            PanelPressure pressure) {}

    /**
     * @param name left, right, front or rear, seen from the facing side
     * @param gapM to the next panel; infinite when there is none
     */
    public record OpenSide(String name, double toBuildingEdgeM, double gapM) {}

    /** Part of a module that a position holds. */
    public record Share(int module, double part) {}

    /**
     * A place that takes blocks.
     *
     * @param id place on the array's own grid: of the module, or of the joint left of it
     * @param row as the crew counts
     * @param kind {@code J} for a joint, else empty
     * @param place in the row as the crew counts
     * @param s middle along the row
     * @param t middle across the rows
     */
    public record Position(
            int index,
            String id,
            int row,
            String kind,
            int place,
            double s,
            double t,
            List<Share> shares,
            Ballast ballast) {
        /** The same held otherwise. */
        Position with(Ballast other) {
            return new Position(index, id, row, kind, place, s, t, shares, other);
        }

        /** The number it has on every sheet: {@code 3-12}, of a joint {@code 3-J12}. */
        public String number() {
            return row + "-" + label();
        }

        /** Its number in the row. */
        public String label() {
            return kind + place;
        }
    }

    /** Whether pressures and blocks can be stated at all; otherwise every count is 0 and means nothing. */
    public boolean established() {
        return missing.isEmpty() && outsideScope.isEmpty();
    }

    /** Blocks placed on all positions. */
    public int blocks() {
        return positions.stream().mapToInt(p -> p.ballast().blocksPlaced()).sum();
    }

    /** Mass of the blocks placed on all positions, kg. */
    public double ballastKg() {
        return positions.stream().mapToDouble(p -> p.ballast().placedKg()).sum();
    }

    /** Whether a position follows another without a break between the modules they hold. */
    public static boolean follows(ArrayLayout layout, Position before, Position p) {
        int a = before.shares().get(before.shares().size() - 1).module();
        int b = p.shares().get(0).module();
        return a == b
                || layout.adjacent(layout.modules().get(a), layout.modules().get(b));
    }

    /** Blocks that no position has room for, where nothing else holds it. */
    public int missingBlocks() {
        return positions.stream()
                .filter(p -> p.ballast().lacks())
                .mapToInt(p -> p.ballast().blocksNeeded() - p.ballast().blocksPlaced())
                .sum();
    }

    /** Positions that are full and that nothing else holds. */
    public List<Position> lacking() {
        return positions.stream().filter(p -> p.ballast().lacks()).toList();
    }

    /** Area of a module over which its load is shared, as the demand was found, in modules; at least 1. */
    public int sharedModules(int module, double moduleM2) {
        return sharedModules(demands.get(module), moduleM2);
    }

    static int sharedModules(Demand demand, double moduleM2) {
        return Math.max(1, (int) Math.floor(demand.pressure().effectiveAreaM2() / moduleM2 + 1e-9));
    }

    /** The position that needs most blocks, or null without modules. */
    public Position worst() {
        Position worst = null;
        for (Position p : positions) {
            if (worst == null || p.ballast().requiredKg() > worst.ballast().requiredKg()) {
                worst = p;
            }
        }
        return worst;
    }

    /** The same of those that weight alone holds; null where attachments hold the others and there are no more. */
    public Position worstByWeight() {
        Position worst = null;
        for (Position p : positions) {
            boolean heavier =
                    worst == null || p.ballast().requiredKg() > worst.ballast().requiredKg();
            worst = !p.ballast().attached() && heavier ? p : worst;
        }
        return worst;
    }
}
