package whipsaw.core.array;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import whipsaw.core.job.KeptNumbers;

/**
 * Numbers of rows and positions as the crew counts them, one after the other from the ends where counting begins. What a
 * signed sheet had keeps its number; what came since counts on behind the last of it.
 *
 * @param rows numbers of the rows of the grid
 * @param places numbers of the columns of a row
 * @param joints numbers of the joints of a row, each by the column it is left of
 */
public record CrewNumbers(
        Map<Integer, Integer> rows,
        Map<Integer, Map<Integer, Integer>> places,
        Map<Integer, Map<Integer, Integer>> joints) {

    /**
     * Counts the modules of an array.
     *
     * @param kept by a signed sheet; null for none
     * @param columns of the grid that have modules, row by row of the grid
     */
    static CrewNumbers of(KeptNumbers kept, Map<Integer, List<Integer>> columns) {
        Map<Integer, List<Integer>> signed = new TreeMap<>();
        if (kept != null) {
            kept.rows().forEach(r -> signed.put(r.row(), r.columns()));
        }
        CrewNumbers numbers =
                new CrewNumbers(numbers(signed.keySet(), columns.keySet()), new HashMap<>(), new HashMap<>());
        columns.forEach((row, now) -> {
            List<Integer> then = signed.getOrDefault(row, List.of());
            numbers.places.put(row, numbers(then, now));
            numbers.joints.put(row, numbers(joints(then), joints(now)));
        });
        return numbers;
    }

    /** Ends and joints of runs of columns: each by the column it is left of. */
    private static Collection<Integer> joints(List<Integer> columns) {
        TreeSet<Integer> joints = new TreeSet<>(columns);
        columns.forEach(c -> joints.add(c + 1));
        return joints;
    }

    private static Map<Integer, Integer> numbers(Collection<Integer> kept, Collection<Integer> now) {
        Map<Integer, Integer> numbers = new HashMap<>();
        for (int key : kept) {
            numbers.put(key, numbers.size() + 1);
        }
        int next = numbers.size();
        for (int key : now) {
            if (!numbers.containsKey(key)) {
                numbers.put(key, ++next);
            }
        }
        return numbers;
    }

    /** Number of a row of the grid. */
    int row(int gridRow) {
        return rows.get(gridRow);
    }

    /** Number of a module in its row. */
    int place(int gridRow, int column) {
        return places.get(gridRow).get(column);
    }

    /**
     * Number of a joint in its row.
     *
     * @param column of the grid it is left of
     */
    public int joint(int gridRow, int column) {
        return joints.get(gridRow).get(column);
    }

    /** Modules of a layout row by row, to be kept. */
    public static List<KeptNumbers.Row> rowsOf(ArrayLayout layout) {
        Map<Integer, List<Integer>> rows = new TreeMap<>();
        layout.modules().forEach(m -> rows.computeIfAbsent(m.row(), r -> new ArrayList<>())
                .add(m.column()));
        return rows.entrySet().stream()
                .map(r -> new KeptNumbers.Row(r.getKey(), r.getValue()))
                .toList();
    }
}
