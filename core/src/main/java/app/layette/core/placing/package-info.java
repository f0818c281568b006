/** Every seating position by every method: allowed, not allowed or not known, with reasons, and in which order (CAB-13). */
package app.layette.core.placing;
