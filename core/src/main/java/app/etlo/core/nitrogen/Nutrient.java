package app.etlo.core.nitrogen;

import app.etlo.core.knowledge.Product;
import app.etlo.core.knowledge.Removal.Nutrients;

/** Beside nitrogen, what a balance is held for. */
public enum Nutrient {
    P2O5("p2o5", "P2O5"),
    K2O("k2o", "K2O"),
    S("s", "S");

    private final String id;
    private final String symbol;

    Nutrient(String id, String symbol) {
        this.id = id;
        this.symbol = symbol;
    }

    public String id() {
        return id;
    }

    public String symbol() {
        return symbol;
    }

    /** Of an amount, kg a tonne. */
    public double of(Nutrients n) {
        return switch (this) {
            case P2O5 -> n.p2o5();
            case K2O -> n.k2o();
            case S -> n.s();
        };
    }

    /** Share of a product, 0 to 1. */
    public double of(Product p) {
        return switch (this) {
            case P2O5 -> p.p2o5Share();
            case K2O -> p.k2oShare();
            case S -> p.sShare();
        };
    }
}
