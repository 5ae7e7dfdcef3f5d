package whipsaw.core.energy;

/** How the diffuse light of the sky is spread over it. */
public enum SkyModel {
    /** Hay and Davies 1980: a circumsolar part by the clearness of the beam, the rest even. */
    HAY_DAVIES("hay_davies"),
    /** Perez and others 1990, all-sites coefficients: circumsolar, horizon and an even rest. */
    PEREZ("perez");

    private final String key;

    SkyModel(String key) {
        this.key = key;
    }

    /** Name in files. */
    public String key() {
        return key;
    }

    /**
     * By its name in files.
     *
     * @throws IllegalArgumentException for another one
     */
    public static SkyModel of(String key) {
        for (SkyModel m : values()) {
            if (m.key.equals(key)) {
                return m;
            }
        }
        throw new IllegalArgumentException("no sky model " + key);
    }
}
