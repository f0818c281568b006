package app.layette.core.seat;

import app.layette.core.evidence.Id;

/**
 * A setting of the recline device, by the name printed on the seat; empty for a restraint without a device.
 *
 * @param text as documents and forms write it
 */
public record SettingId(String text) implements Id {
    @Override
    public String toString() {
        return text;
    }
}
