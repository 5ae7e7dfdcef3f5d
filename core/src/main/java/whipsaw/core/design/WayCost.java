package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.table.PriceTable;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/**
 * What a way out costs or saves by the price list: modules, trays, blocks, attachments, strengthening with
 * its design and access. Nothing else is in it.
 */
final class WayCost {
    private WayCost() {}

    /** In words; empty when nothing of what is priced changes. */
    static String between(Design before, Design after, PriceTable prices) {
        UnitSystem units = before.job().project().units();
        List<String> parts = new ArrayList<>();
        double cost = 0;
        int modules = after.whole().modules() - before.whole().modules();
        if (modules != 0) {
            cost += modules * (prices.price("module") + prices.price("tray"));
            parts.add(signed(modules) + " modules with trays");
        }
        double lostKw = (watts(before) - watts(after)) / 1000;
        if (Math.abs(lostKw) > 1e-6) {
            cost += lostKw * prices.priceOrNone("lost_kw");
            parts.add(lostKw > 0 ? Show.number(lostKw, 1) + " kW not built" : Show.number(-lostKw, 1) + " kW more");
        }
        boolean known = before.holdDown().established() && after.holdDown().established();
        boolean same = before.job().array().block().equals(after.job().array().block());
        int blocks = known && same ? after.whole().blocks() - before.whole().blocks() : 0;
        if (blocks != 0) {
            cost += blocks * prices.price("block");
            parts.add(signed(blocks) + " blocks");
        }
        int attachments = DesignChange.attachments(after) - DesignChange.attachments(before);
        if (attachments != 0) {
            cost += attachments * prices.price("attachment");
            parts.add(signed(attachments) + " attachments");
        }
        double metres = metres(after) - metres(before);
        if (Math.abs(metres) > 1e-6) {
            cost += metres * prices.price("member");
            parts.add((metres > 0 ? "+" : "−") + Show.both(units, Dimension.ROOF_LENGTH, Math.abs(metres))
                    + " of members");
        }
        long supports = supports(after) - supports(before);
        if (supports != 0) {
            cost += supports * prices.price("support");
            parts.add(signed(supports) + " supports");
        }
        int works = works(after) - works(before);
        if (works != 0) {
            cost += works * prices.price("design");
            parts.add(signed(works) + " designed by an engineer");
        }
        long bays = bays(after) - bays(before);
        if (bays != 0) {
            cost += bays * prices.price("access");
            parts.add("access in " + signed(bays) + " bays");
        }
        return parts.isEmpty()
                ? ""
                : (cost < 0 ? "saves " : "costs ") + Show.number(Math.abs(cost), 0) + " " + prices.currency()
                        + " by the " + prices.table().status().words() + " price list: " + String.join(", ", parts);
    }

    private static double watts(Design design) {
        return design.whole().arrays().stream()
                .mapToDouble(a -> a.layout().modules().size()
                        * a.job().array().module().power().si())
                .sum();
    }

    private static String signed(long n) {
        return (n > 0 ? "+" : "−") + Math.abs(n);
    }

    /** Length of members that strengthening adds. */
    private static double metres(Design design) {
        double sum = 0;
        for (RoofMembers.Checked set : design.members().sets()) {
            for (RoofMembers.Member m : set.members()) {
                sum += m.line().added() ? m.line().spanM() : 0;
                sum += m.strengthened().contains("doubled") ? m.line().spanM() : 0;
            }
        }
        return sum;
    }

    private static int works(Design design) {
        return design.job().roof().fabric().structure().works().size();
    }

    /** Bays in which anything is strengthened. */
    private static long bays(Design design) {
        return design.members().sets().stream()
                .flatMap(s -> s.members().stream())
                .filter(m -> m.line().added() || !m.strengthened().isEmpty())
                .mapToInt(m -> m.line().bay())
                .distinct()
                .count();
    }

    private static long supports(Design design) {
        return design.members().sets().stream()
                .flatMap(s -> s.members().stream())
                .filter(m -> m.strengthened().contains("supported at midspan"))
                .count();
    }
}
