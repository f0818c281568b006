/** Before the family drives: teach-back, cautions, and who signs (OUT). */
package app.layette.core.handover;
